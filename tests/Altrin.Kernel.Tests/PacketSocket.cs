using System.Diagnostics;
using System.Runtime.InteropServices;

namespace Altrin.Kernel.Tests;

/// <summary>Whole Ethernet frames in and out of one interface, or in and out of all (packet(7)).</summary>
internal sealed partial class PacketSocket : IDisposable
{
    private const int Packet = 17,
        Raw = 3,
        Readable = 1;
    private readonly int _handle;

    /// <summary>Opens it in the namespace of the calling thread; without an interface it hears all of them.</summary>
    public PacketSocket(string? device = null)
    {
        _handle = socket(Packet, Raw, 0x0300);
        if (_handle < 0)
        {
            throw new InvalidOperationException($"packet socket: error {Marshal.GetLastPInvokeError()}");
        }
        if (device is not null)
        {
            var address = new byte[20];
            BitConverter.TryWriteBytes(address, (ushort)Packet);
            address[2] = 0;
            address[3] = 3;
            BitConverter.TryWriteBytes(address.AsSpan(4), if_nametoindex(device));
            if (bind(_handle, address, address.Length) != 0)
            {
                throw new InvalidOperationException($"packet socket at {device}: error {Marshal.GetLastPInvokeError()}");
            }
        }
    }

    /// <summary>The number of an interface in the namespace of the calling thread.</summary>
    public static int Index(string device) => (int)if_nametoindex(device);

    public void Send(byte[] frame)
    {
        if (send(_handle, frame, frame.Length, 0) < 0)
        {
            throw new InvalidOperationException($"sending a frame: error {Marshal.GetLastPInvokeError()}");
        }
    }

    /// <summary>Frames as they come, with whether they went out here; ends once nothing more came for the given time.</summary>
    public IEnumerable<(byte[] Frame, bool Sent)> Hear(TimeSpan most)
    {
        var since = Stopwatch.StartNew();
        var buffer = new byte[2048];
        var from = new byte[20];
        while (since.Elapsed < most)
        {
            var waiting = new[]
            {
                new Waiting { Handle = _handle, Wanted = Readable },
            };
            if (poll(waiting, 1, (int)Math.Max(1, (most - since.Elapsed).TotalMilliseconds)) <= 0)
            {
                continue;
            }
            var length = from.Length;
            var count = recvfrom(_handle, buffer, buffer.Length, 0, from, ref length);
            if (count > 0)
            {
                yield return (buffer[..(int)count], from[10] == 4);
            }
        }
    }

    public void Dispose() => _ = close(_handle);

    [StructLayout(LayoutKind.Sequential)]
    private struct Waiting
    {
        public int Handle;
        public short Wanted;
        public short Got;
    }

    [LibraryImport("libc", SetLastError = true)]
    private static partial int socket(int family, int kind, int protocol);

    [LibraryImport("libc", SetLastError = true)]
    private static partial int bind(int handle, byte[] address, int length);

    [LibraryImport("libc", SetLastError = true)]
    private static partial nint send(int handle, byte[] frame, nint length, int flags);

    [LibraryImport("libc", SetLastError = true)]
    private static partial nint recvfrom(int handle, byte[] frame, nint most, int flags, byte[] from, ref int length);

    [LibraryImport("libc", SetLastError = true)]
    private static partial int poll([In, Out] Waiting[] waiting, nint count, int milliseconds);

    [LibraryImport("libc", StringMarshalling = StringMarshalling.Utf8)]
    private static partial uint if_nametoindex(string name);

    [LibraryImport("libc")]
    private static partial int close(int handle);
}
