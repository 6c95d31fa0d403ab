using Microsoft.AspNetCore.DataProtection;
using Microsoft.Extensions.DependencyInjection;

namespace Altrin.Data;

/// <summary>The ring of keys that secrets are encrypted with. It lies in the data folder, and is part of every backup.</summary>
public static class KeyRing
{
    /// <summary>Keeps the ring in a data folder, for this program alone.</summary>
    public static void Use(IServiceCollection services, DataFolder folder)
    {
        Directory.CreateDirectory(folder.Keys);
        services.AddDataProtection().SetApplicationName("altrin").PersistKeysToFileSystem(new DirectoryInfo(folder.Keys));
    }
}
