namespace Altrin.Data.Tests;

/// <summary>
/// Files whose owner is killed at a step that was counted to, after which nothing is done; or whose disk is full from there on, after which
/// nothing is made or written.
/// </summary>
public sealed class FaultyDisk(int at, Fault fault = Fault.Kill) : Disk
{
    // ENOSPC of Linux (from memory).
    private const int NoSpace = 28;

    /// <summary>How many steps were counted.</summary>
    public int Seen { get; private set; }

    public override FileStream Create(string path)
    {
        Step(needsRoom: true);
        return new FaultyStream(this, path);
    }

    public override void MakeFolder(string path)
    {
        Step(needsRoom: !Directory.Exists(path));
        base.MakeFolder(path);
    }

    public override void Move(string from, string to, bool replace)
    {
        Step();
        base.Move(from, to, replace);
    }

    public override void MoveFolder(string from, string to)
    {
        Step();
        base.MoveFolder(from, to);
    }

    public override void Delete(string path)
    {
        Step();
        base.Delete(path);
    }

    public override void DeleteFolder(string path)
    {
        if (Directory.Exists(path))
        {
            // Killed while deleting: some files are gone, others not.
            foreach (var file in Directory.GetFiles(path, "*", SearchOption.AllDirectories))
            {
                Delete(file);
            }
        }
        Step();
        base.DeleteFolder(path);
    }

    public override void KeepPrivate(string path)
    {
        Step();
        base.KeepPrivate(path);
    }

    private void Step(bool needsRoom = false)
    {
        if (fault == Fault.Full && !needsRoom)
        {
            return;
        }
        Seen++;
        if (at > 0 && Seen >= at)
        {
            throw fault == Fault.Full ? new IOException("No space left on device", NoSpace) : new KilledException();
        }
    }

    private sealed class FaultyStream(FaultyDisk disk, string path)
        : FileStream(path, FileMode.Create, FileAccess.ReadWrite, FileShare.None, 1)
    {
        // Every other way of writing of a derived stream leads here.
        public override void Write(byte[] array, int offset, int count)
        {
            try
            {
                disk.Step(needsRoom: true);
            }
            catch (Exception e) when (e is KilledException or IOException)
            {
                base.Write(array, offset, count / 2);
                throw;
            }
            base.Write(array, offset, count);
        }
    }
}

/// <summary>The process was killed here. Nothing catches it.</summary>
public sealed class KilledException : Exception;
