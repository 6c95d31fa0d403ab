using System.Runtime.InteropServices;
using System.Text;

namespace Altrin.Kernel.Tests;

/// <summary>
/// Hears of links of a namespace as they come and go (rtnetlink(7)), so that one waits for them without asking again and again.
/// </summary>
internal sealed partial class LinkSocket : IDisposable
{
    private const int Netlink = 16,
        Inet = 2,
        Raw = 3,
        Datagram = 2,
        Links = 1,
        SocketLevel = 1,
        ReceiveTimeout = 20,
        GetFlags = 0x8913,
        Up = 0x1,
        Running = 0x40;
    private readonly int _events;
    private readonly int _asks;

    /// <summary>Opens it in the namespace of the calling thread.</summary>
    public LinkSocket()
    {
        (_events, _asks) = (socket(Netlink, Raw, 0), socket(Inet, Datagram, 0));
        // Family, process (the kernel's choice), groups.
        var address = new byte[12];
        BitConverter.TryWriteBytes(address, (ushort)Netlink);
        BitConverter.TryWriteBytes(address.AsSpan(8), Links);
        // Whole seconds and microseconds (socket(7)).
        var most = new byte[16];
        most[0] = 1;
        if (
            _events < 0
            || _asks < 0
            || bind(_events, address, address.Length) != 0
            || setsockopt(_events, SocketLevel, ReceiveTimeout, most, most.Length) != 0
        )
        {
            throw new InvalidOperationException($"netlink socket: error {Marshal.GetLastPInvokeError()}");
        }
    }

    /// <summary>Whether an interface is up and the kernel has told that its link is (netdevice(7)).</summary>
    public bool Runs(string device)
    {
        var asked = new byte[40];
        Encoding.ASCII.GetBytes(device, asked);
        return ioctl(_asks, GetFlags, asked) == 0 && (BitConverter.ToInt16(asked, 16) & (Up | Running)) == (Up | Running);
    }

    /// <summary>Waits until anything is told of a link, for a second at most.</summary>
    public void Await()
    {
        var heard = new byte[8192];
        _ = recv(_events, heard, heard.Length, 0);
    }

    public void Dispose()
    {
        _ = close(_events);
        _ = close(_asks);
    }

    [LibraryImport("libc", SetLastError = true)]
    private static partial int socket(int domain, int type, int protocol);

    [LibraryImport("libc", SetLastError = true)]
    private static partial int bind(int handle, byte[] address, int length);

    [LibraryImport("libc", SetLastError = true)]
    private static partial int ioctl(int handle, nint request, byte[] asked);

    [LibraryImport("libc", SetLastError = true)]
    private static partial int recv(int handle, byte[] buffer, nint length, int flags);

    [LibraryImport("libc", SetLastError = true)]
    private static partial int setsockopt(int handle, int level, int name, byte[] value, int length);

    [LibraryImport("libc")]
    private static partial int close(int handle);
}
