using System.Runtime.InteropServices;

namespace Altrin.Data;

/// <summary>Whatever this process makes, only its owner may read: the database, its log, keys, backups and logs alike.</summary>
public static partial class PrivateFiles
{
    /// <summary>What everybody else is not given: everything.</summary>
    private const uint NothingForOthers = 0x3F;

    /// <summary>From here on, for every file and folder that the process makes.</summary>
    public static void ByDefault()
    {
        if (!OperatingSystem.IsWindows())
        {
            _ = Mask(NothingForOthers);
        }
    }

    [LibraryImport("libc", EntryPoint = "umask")]
    private static partial uint Mask(uint mask);
}
