namespace Altrin.Data;

/// <summary>
/// What backup and restore do to files. Only the owner may read what is made (mode 0600, folders 0700). Tests put a layer of their own
/// in its place, to stop at each step.
/// </summary>
public class Disk
{
    /// <summary>Files of the owner alone.</summary>
    private const UnixFileMode FileMode600 = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    /// <summary>Folders of the owner alone.</summary>
    private const UnixFileMode FolderMode700 = FileMode600 | UnixFileMode.UserExecute;

    /// <summary>The files of this machine.</summary>
    public static Disk Real { get; } = new();

    /// <summary>A new file to write; one that is there is emptied.</summary>
    public virtual FileStream Create(string path)
    {
        var options = new FileStreamOptions
        {
            Mode = FileMode.Create,
            Access = FileAccess.ReadWrite,
            Share = FileShare.None,
        };
        if (!OperatingSystem.IsWindows())
        {
            options.UnixCreateMode = FileMode600;
        }
        return new(path, options);
    }

    /// <summary>Makes a folder, and those above it.</summary>
    public virtual void MakeFolder(string path)
    {
        if (OperatingSystem.IsWindows())
        {
            Directory.CreateDirectory(path);
            return;
        }
        Directory.CreateDirectory(path, FolderMode700);
    }

    /// <summary>Renames a file; one that has the name already is replaced only where that is said.</summary>
    public virtual void Move(string from, string to, bool replace) => File.Move(from, to, replace);

    /// <summary>Renames a folder.</summary>
    public virtual void MoveFolder(string from, string to) => Directory.Move(from, to);

    /// <summary>Deletes a file, if it is there.</summary>
    public virtual void Delete(string path)
    {
        if (File.Exists(path))
        {
            File.Delete(path);
        }
    }

    /// <summary>Deletes a folder with all that is in it, if it is there.</summary>
    public virtual void DeleteFolder(string path)
    {
        if (Directory.Exists(path))
        {
            Directory.Delete(path, recursive: true);
        }
    }

    /// <summary>Takes the rights of everybody but the owner from a file or folder.</summary>
    public virtual void KeepPrivate(string path)
    {
        if (OperatingSystem.IsWindows())
        {
            return;
        }
        var mode = Directory.Exists(path) ? FolderMode700 : FileMode600;
        if (File.GetUnixFileMode(path) != mode)
        {
            File.SetUnixFileMode(path, mode);
        }
    }
}
