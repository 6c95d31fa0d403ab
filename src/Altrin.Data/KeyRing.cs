using System.Xml;
using System.Xml.Linq;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.Extensions.DependencyInjection;

namespace Altrin.Data;

/// <summary>The ring of keys that secrets are encrypted with. It lies in the data folder, and is part of every backup.</summary>
public static class KeyRing
{
    /// <summary>Keeps the ring in a data folder, for this program alone.</summary>
    public static void Use(IServiceCollection services, DataFolder folder)
    {
        Disk.Real.MakeFolder(folder.Keys);
        services.AddDataProtection().SetApplicationName("altrin").PersistKeysToFileSystem(new DirectoryInfo(folder.Keys));
    }

    /// <summary>
    /// Renames the files of the ring that hold no key, so that new keys can be made; nothing is deleted. What was encrypted with them is
    /// listed as lost, and can be typed again.
    /// </summary>
    /// <returns>The files, by the name they have now.</returns>
    public static IReadOnlyList<string> SetAsideUnreadable(DataFolder folder)
    {
        var aside = new List<string>();
        foreach (var file in Directory.GetFiles(folder.Keys, "*.xml").Order(StringComparer.Ordinal))
        {
            if (!IsKey(file))
            {
                Disk.Real.Move(file, file + ".unreadable", replace: true);
                aside.Add(file + ".unreadable");
            }
        }
        return aside;
    }

    private static bool IsKey(string file)
    {
        try
        {
            using var reader = XmlReader.Create(file, new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit });
            return XElement.Load(reader).Name.LocalName is "key" or "revocation";
        }
        catch (XmlException)
        {
            return false;
        }
    }
}
