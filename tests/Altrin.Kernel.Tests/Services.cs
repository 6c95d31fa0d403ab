using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Text;
using Altrin.Core.Addressing;

namespace Altrin.Kernel.Tests;

/// <summary>
/// What answers in each namespace: a client is told who answers and from which address the connection seems to come;
/// questions to everybody are written down and answered.
/// </summary>
internal sealed class Services : IDisposable
{
    /// <summary>The port that every host answers on.</summary>
    public const int Port = 7000;

    private const int Everybody = 5353;
    private static readonly IPAddress Group = IPAddress.Parse("224.0.0.251");
    private readonly List<Socket> _open = [];
    private readonly HashSet<(string From, string To)> _questions = [];

    public Services(Lab lab)
    {
        foreach (var owner in lab.Owners.DistinctBy(lab.Of))
        {
            Namespaces.Inside(lab.Of(owner), () =>
            {
                foreach (var port in owner == Lab.Internet ? lab.Owners.Select((_, i) => Port + i) : lab.Choosing.Ports.Prepend(Port))
                {
                    var socket = new Socket(AddressFamily.InterNetwork, SocketType.Stream, ProtocolType.Tcp);
                    socket.Bind(new IPEndPoint(IPAddress.Any, port));
                    socket.Listen(64);
                    _open.Add(socket);
                    _ = Answer(socket, owner);
                }
                foreach (var port in owner == Lab.Internet ? [] : lab.Choosing.Ports)
                {
                    var socket = new Socket(AddressFamily.InterNetwork, SocketType.Dgram, ProtocolType.Udp);
                    socket.Bind(new IPEndPoint(IPAddress.Any, port));
                    _open.Add(socket);
                    _ = Echo(socket, owner);
                }
                if (lab.Design.SetUp.Devices.Any(d => d.Device == owner) && lab.Wiring.Linked(new(owner, "eth0")))
                {
                    var hears = new Socket(AddressFamily.InterNetwork, SocketType.Dgram, ProtocolType.Udp);
                    hears.Bind(new IPEndPoint(IPAddress.Any, Everybody));
                    // Joined at the second interface, the one after the loopback, so that it hears also without an address.
                    hears.SetSocketOption(
                        SocketOptionLevel.IP,
                        SocketOptionName.AddMembership,
                        new MulticastOption(Group, PacketSocket.Index(Lab.NameOf(new(owner, "eth0"))))
                    );
                    _open.Add(hears);
                    _ = Hear(hears, owner);
                }
                return true;
            });
        }
    }

    /// <summary>A connection; who answers and as whom it sees the client, or null where none does in time.</summary>
    public static async Task<(string Who, string SeenAs)?> Connect(Lab lab, string from, IPEndPoint to, TimeSpan most)
    {
        using var socket = Namespaces.Inside(lab.Of(from), () =>
            new Socket(AddressFamily.InterNetwork, SocketType.Stream, ProtocolType.Tcp) { NoDelay = true }
        );
        using var late = new CancellationTokenSource(most);
        try
        {
            await socket.ConnectAsync(to, late.Token);
            var buffer = new byte[256];
            var length = 0;
            while (true)
            {
                var count = await socket.ReceiveAsync(buffer.AsMemory(length), late.Token);
                if (count == 0)
                {
                    break;
                }
                length += count;
            }
            return Encoding.ASCII.GetString(buffer, 0, length).Split('|') is [var who, var seen] ? (who, seen) : null;
        }
        catch (Exception e) when (e is SocketException or OperationCanceledException)
        {
            return null;
        }
    }

    /// <summary>The same over UDP (RFC 768): a question, and whose answer comes back from where it was sent.</summary>
    public static async Task<string?> Ask(Lab lab, string from, IPEndPoint to, TimeSpan most)
    {
        using var late = new CancellationTokenSource(most);
        try
        {
            using var socket = Namespaces.Inside(lab.Of(from), () =>
                new Socket(AddressFamily.InterNetwork, SocketType.Dgram, ProtocolType.Udp)
            );
            // A connected socket hears no other than the one it asked.
            await socket.ConnectAsync(to, late.Token);
            await socket.SendAsync("?"u8.ToArray(), late.Token);
            var buffer = new byte[256];
            var count = await socket.ReceiveAsync(buffer, late.Token);
            return Encoding.ASCII.GetString(buffer, 0, count);
        }
        catch (Exception e) when (e is SocketException or OperationCanceledException)
        {
            return null;
        }
    }

    /// <summary>Whether a ping is answered (ICMP echo, RFC 792).</summary>
    public static async Task<bool> Pings(Lab lab, string from, Ipv4Address to, TimeSpan most)
    {
        using var ping = new Ping();
        try
        {
            // The socket is opened before the first wait, so in the namespace.
            var sent = Namespaces.Inside(lab.Of(from), () => ping.SendPingAsync(IPAddress.Parse($"{to}"), most));
            return (await sent).Status == IPStatus.Success;
        }
        catch (PingException)
        {
            // There is no route to it from here.
            return false;
        }
    }

    /// <summary>One host asks everybody; answers who heard it (see <see cref="Asked"/>) and whose answer came back.</summary>
    public static async Task<IReadOnlyList<string>> AskEverybody(Lab lab, string from, TimeSpan most)
    {
        var back = new List<string>();
        using var late = new CancellationTokenSource(most);
        try
        {
            using var socket = Namespaces.Inside(lab.Of(from), () =>
            {
                var asks = new Socket(AddressFamily.InterNetwork, SocketType.Dgram, ProtocolType.Udp);
                asks.SetSocketOption(
                    SocketOptionLevel.IP,
                    SocketOptionName.MulticastInterface,
                    IPAddress.HostToNetworkOrder(PacketSocket.Index(Lab.NameOf(new(from, "eth0"))))
                );
                asks.SendTo(Encoding.ASCII.GetBytes(from), new IPEndPoint(Group, Everybody));
                return asks;
            });
            var buffer = new byte[256];
            while (true)
            {
                var got = await socket.ReceiveFromAsync(buffer, new IPEndPoint(IPAddress.Any, 0), late.Token);
                back.Add(Encoding.ASCII.GetString(buffer, 0, got.ReceivedBytes));
            }
        }
        catch (Exception e) when (e is SocketException or OperationCanceledException or InvalidOperationException)
        {
            return back;
        }
    }

    /// <summary>Whether a question of one host was heard at another.</summary>
    public bool Asked(string from, string to)
    {
        lock (_questions)
        {
            return _questions.Contains((from, to));
        }
    }

    /// <summary>Asks a DNS server for a name; whether it answers with the address.</summary>
    public static async Task<bool> Resolves(Lab lab, string from, IPAddress server, TimeSpan most)
    {
        // A question for the address of probe.example (RFC 1035, section 4).
        byte[] question = [0x12, 0x34, 1, 0, 0, 1, 0, 0, 0, 0, 0, 0, 5, .. "probe"u8, 7, .. "example"u8, 0, 0, 1, 0, 1];
        using var late = new CancellationTokenSource(most);
        try
        {
            using var socket = Namespaces.Inside(lab.Of(from), () =>
                new Socket(AddressFamily.InterNetwork, SocketType.Dgram, ProtocolType.Udp)
            );
            await socket.ConnectAsync(new IPEndPoint(server, 53), late.Token);
            await socket.SendAsync(question, late.Token);
            var buffer = new byte[512];
            var count = await socket.ReceiveAsync(buffer, late.Token);
            return count > 16 && buffer.AsSpan(count - 4, 4).SequenceEqual(new byte[] { 198, 51, 100, 10 });
        }
        catch (Exception e) when (e is SocketException or OperationCanceledException)
        {
            return false;
        }
    }

    public void Dispose() => _open.ForEach(s => s.Dispose());

    private static async Task Answer(Socket listener, string owner)
    {
        while (true)
        {
            try
            {
                using var client = await listener.AcceptAsync();
                await client.SendAsync(Encoding.ASCII.GetBytes($"{owner}|{((IPEndPoint)client.RemoteEndPoint!).Address}"));
                client.Shutdown(SocketShutdown.Both);
            }
            catch (SocketException)
            {
                if (!listener.IsBound)
                {
                    return;
                }
            }
            catch (ObjectDisposedException)
            {
                return;
            }
        }
    }

    private static async Task Echo(Socket socket, string owner)
    {
        var buffer = new byte[256];
        while (true)
        {
            try
            {
                var got = await socket.ReceiveFromAsync(buffer, new IPEndPoint(IPAddress.Any, 0));
                await socket.SendToAsync(Encoding.ASCII.GetBytes(owner), got.RemoteEndPoint);
            }
            catch (SocketException)
            {
                // The way back may be closed; the next question is heard all the same.
            }
            catch (ObjectDisposedException)
            {
                return;
            }
        }
    }

    private async Task Hear(Socket socket, string owner)
    {
        var buffer = new byte[256];
        while (true)
        {
            try
            {
                var got = await socket.ReceiveFromAsync(buffer, new IPEndPoint(IPAddress.Any, 0));
                lock (_questions)
                {
                    _questions.Add((Encoding.ASCII.GetString(buffer, 0, got.ReceivedBytes), owner));
                }
                await socket.SendToAsync(Encoding.ASCII.GetBytes(owner), got.RemoteEndPoint);
            }
            catch (SocketException)
            {
                // The way back may be closed; the next question is heard all the same.
            }
            catch (ObjectDisposedException)
            {
                return;
            }
        }
    }
}
