using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;

namespace Altrin.Testing;

/// <summary>What happens at the write that was counted to.</summary>
public enum Fault
{
    /// <summary>The process is killed: half of the write is done, and nothing after it.</summary>
    Kill,

    /// <summary>The disk is full, from this write on.</summary>
    Full,
}

/// <summary>
/// The file layer (VFS) of SQLite with faults: it counts what is written, cut and deleted under one folder, and lets one of them fail,
/// and all that follow. What has reached the files by then is what a process leaves that is killed there. Structures after sqlite3.h
/// (from memory; a wrong one would fail every test here).
/// </summary>
public static unsafe class FaultyFiles
{
    private const int Ok = 0;
    private const int InputOutput = 10;
    private const int FullDisk = 13;

    // Members of sqlite3_io_methods and sqlite3_vfs, counted in words of eight bytes.
    private const int MethodsWords = 19;
    private const int Write = 3;
    private const int Truncate = 4;
    private const int VfsWords = 22;
    private const int VfsName = 3;
    private const int VfsOpen = 5;
    private const int VfsDelete = 6;

    private static readonly Lock Gate = new();
    private static readonly Dictionary<nint, nint> Tables = [];
    private static readonly HashSet<nint> Watched = [];
    private static nint _base;
    private static nint* _methods;
    private static string? _folder;
    private static Fault _fault;
    private static int _at;
    private static int _seen;

    /// <summary>Puts the layer under every database that this process opens from here on; it does nothing before it is armed.</summary>
    public static void Install()
    {
        lock (Gate)
        {
            if (_base != 0)
            {
                return;
            }
            SQLitePCL.Batteries_V2.Init();
            _base = Find(0);
            var own = (nint*)NativeMemory.AllocZeroed(VfsWords, 8);
            Unsafe.CopyBlock(own, (void*)_base, VfsWords * 8);
            own[VfsName] = Marshal.StringToCoTaskMemUTF8("faulty");
            own[VfsOpen] = (nint)(delegate* unmanaged[Cdecl]<nint, byte*, nint*, int, int*, int>)&Open;
            own[VfsDelete] = (nint)(delegate* unmanaged[Cdecl]<nint, byte*, int, int>)&Delete;
            Assert.Equal(Ok, Register((nint)own, 1));
        }
    }

    /// <summary>Lets the given act under a folder fail, counted from 1; 0 only counts.</summary>
    public static void Arm(string folder, Fault fault, int at)
    {
        lock (Gate)
        {
            (_folder, _fault, _at, _seen) = (folder, fault, at, 0);
        }
    }

    /// <summary>Lets everything succeed again.</summary>
    /// <returns>How many acts were counted.</returns>
    public static int Disarm()
    {
        lock (Gate)
        {
            _folder = null;
            return _seen;
        }
    }

    /// <summary>
    /// What an act answers instead of being done; null where it is done. First says that it is the one that was counted to.
    /// </summary>
    private static (int Answer, bool First)? Struck()
    {
        lock (Gate)
        {
            if (_folder is null)
            {
                return null;
            }
            _seen++;
            return _at == 0 || _seen < _at ? null : (_fault == Fault.Kill ? InputOutput : FullDisk, _seen == _at);
        }
    }

    private static bool IsWatched(byte* name)
    {
        var folder = _folder;
        return folder is not null && name is not null && Marshal.PtrToStringUTF8((nint)name)!.StartsWith(folder, StringComparison.Ordinal);
    }

    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static int Open(nint vfs, byte* name, nint* file, int flags, int* given)
    {
        var opened = ((delegate* unmanaged[Cdecl]<nint, byte*, nint*, int, int*, int>)((nint*)_base)[VfsOpen])(
            vfs,
            name,
            file,
            flags,
            given
        );
        if (opened != Ok || file[0] == 0)
        {
            return opened;
        }
        lock (Gate)
        {
            // One and the same place in memory may be opened anew for another file.
            Watched.Remove((nint)file);
            if (!IsWatched(name))
            {
                return opened;
            }
            Watched.Add((nint)file);
            if (!Tables.TryGetValue(file[0], out var table))
            {
                var own = (nint*)NativeMemory.AllocZeroed(MethodsWords, 8);
                Unsafe.CopyBlock(own, (void*)file[0], MethodsWords * 8);
                _methods = (nint*)file[0];
                own[Write] = (nint)(delegate* unmanaged[Cdecl]<nint, byte*, int, long, int>)&Written;
                own[Truncate] = (nint)(delegate* unmanaged[Cdecl]<nint, long, int>)&Cut;
                table = Tables[file[0]] = (nint)own;
            }
            file[0] = table;
        }
        return opened;
    }

    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static int Written(nint file, byte* bytes, int count, long offset)
    {
        var write = (delegate* unmanaged[Cdecl]<nint, byte*, int, long, int>)_methods[Write];
        if (Struck() is not var (answer, first))
        {
            return write(file, bytes, count, offset);
        }
        if (first && answer == InputOutput)
        {
            write(file, bytes, count / 2, offset);
        }
        return answer;
    }

    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static int Cut(nint file, long size) =>
        Struck() is var (answer, _) && answer == InputOutput
            ? answer
            : ((delegate* unmanaged[Cdecl]<nint, long, int>)_methods[Truncate])(file, size);

    [UnmanagedCallersOnly(CallConvs = [typeof(CallConvCdecl)])]
    private static int Delete(nint vfs, byte* name, int sync) =>
        IsWatched(name) && Struck() is var (answer, _) && answer == InputOutput
            ? answer
            : ((delegate* unmanaged[Cdecl]<nint, byte*, int, int>)((nint*)_base)[VfsDelete])(vfs, name, sync);

    [DllImport("e_sqlite3", EntryPoint = "sqlite3_vfs_find", CallingConvention = CallingConvention.Cdecl)]
    private static extern nint Find(nint name);

    [DllImport("e_sqlite3", EntryPoint = "sqlite3_vfs_register", CallingConvention = CallingConvention.Cdecl)]
    private static extern int Register(nint vfs, int asDefault);
}
