using System.Collections.Concurrent;
using Altrin.Core.Networks;
using PacketDotNet;

namespace Altrin.Kernel.Tests;

/// <summary>Looks on in every routing namespace while packets to the internet pass: from which addresses they come and go.</summary>
internal sealed class Watch : IDisposable
{
    private readonly ConcurrentDictionary<(string Owner, int Port, string Source), bool> _sources = new();
    private readonly List<Thread> _threads = [];
    private volatile bool _done;

    public Watch(Lab lab)
    {
        foreach (var owner in lab.Owners.Where(o => lab.Router(o) is not null || o == Core.Sites.PortRef.Street))
        {
            var socket = Namespaces.Inside(lab.Of(owner), () => new PacketSocket());
            var thread = new Thread(() =>
            {
                using (socket)
                {
                    // What came before the end may still lie in the socket: it is heard out once more.
                    bool last;
                    do
                    {
                        last = _done;
                        foreach (var (frame, _) in socket.Hear(TimeSpan.FromMilliseconds(100)))
                        {
                            Note(owner, frame);
                        }
                    } while (!last);
                }
            });
            thread.Start();
            _threads.Add(thread);
        }
    }

    /// <summary>For each router, and each client by the number of its port, from how many addresses its packets were seen.</summary>
    public IReadOnlyList<(string Owner, int Port, int Sources)> Sources(int clients)
    {
        Dispose();
        return
        [
            .. _sources
                .Keys.Where(k => k.Port >= 0 && k.Port < clients)
                .GroupBy(k => (k.Owner, k.Port))
                .Select(g => (g.Key.Owner, g.Key.Port, g.Count())),
        ];
    }

    public void Dispose()
    {
        _done = true;
        _threads.ForEach(t => t.Join());
    }

    private void Note(string owner, byte[] frame)
    {
        if (
            Packet.ParsePacket(LinkLayers.Ethernet, frame) is EthernetPacket { Type: EthernetType.IPv4 } ethernet
            && ethernet.Extract<IPv4Packet>() is { } ip
            && $"{ip.DestinationAddress}" == $"{Provider.Host}"
            && ip.Extract<TcpPacket>() is { } tcp
        )
        {
            _sources[(owner, tcp.DestinationPort - Services.Port, $"{ip.SourceAddress}")] = true;
        }
    }
}
