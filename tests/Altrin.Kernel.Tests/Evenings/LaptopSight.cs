using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Readings;
using Altrin.Formats;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>What the laptop prints at a moment, by the commands that an installer types, and what its browser gets to.</summary>
internal sealed class LaptopSight(LiveHome home, Laptop laptop)
{
    private Lab Lab => home.Lab;

    private IEnumerable<Seat> Adapters => laptop.Adapters().Select(a => new Seat(a.Owner, "eth0"));

    /// <summary>
    /// Its adapters, routes, DNS servers, a ping and, where that is answered, a route to the internet, and its address table.
    /// </summary>
    public Reading Prints(IReadOnlyCollection<Ipv4Address> speaksTo)
    {
        SpeakTo(speaksTo);
        var ping = Command("ping", "-n", "-c", "1", "-W", "1", $"{Provider.Host}");
        string[] printed =
        [
            Command("ip", "-4", "addr"),
            Command("ip", "-4", "route"),
            .. Names.Select(n => $"nameserver {n}\n"),
            ping,
            ping.Contains(" 0% packet loss", StringComparison.Ordinal)
                ? Command("traceroute", "-n", "-I", "-q", "1", "-w", "2", "-m", "12", $"{Provider.Host}")
                : "",
            Command("ip", "-4", "neigh"),
        ];
        return ReadingText.Read(string.Join('\n', printed)).Value;
    }

    /// <summary>Who offers an address by an adapter, as a capture of the wire shows it.</summary>
    public Reading Captures(string adapter) =>
        CaptureReader.Read(Capture.Of(Lab.Clients.Frames(new(adapter, "eth0"), TimeSpan.FromMilliseconds(900)))).Value;

    /// <summary>Whose page opens at an address; null where none does.</summary>
    public async Task<string?> Opens(Ipv4Address address, bool patient) =>
        (await Services.Connect(Lab, Laptop.CableId, new(IPAddress.Parse($"{address}"), Services.Port), Patience(patient)))?.Who;

    public static TimeSpan Patience(bool patient) => TimeSpan.FromMilliseconds(patient ? 5000 : 700);

    private IEnumerable<Ipv4Address> Names =>
        laptop
            .Adapters()
            .SelectMany(a =>
                a.Address is Core.Sites.Fixed typed ? typed.DnsServers
                : home.Leases.Held.TryGetValue(new(a.Owner, "eth0"), out var got) ? got.Names
                : []
            )
            .Distinct();

    private string Command(string program, params string[] arguments)
    {
        // What ip has to say of namespaces that other tests take away at that moment goes to its other stream.
        return Namespaces.In(Lab.Of(Laptop.CableId), "sh", ["-c", "exec \"$@\" 2>/dev/null", "sh", program, .. arguments]).Output;
    }

    /// <summary>One datagram to each: the system asks who has the address, and writes down what it hears.</summary>
    private void SpeakTo(IReadOnlyCollection<Ipv4Address> addresses)
    {
        // What it remembers from before is cleared: what is expected is the table of one that has just asked everybody.
        Command("ip", "neigh", "flush", "all");
        foreach (var adapter in Adapters.Where(Lab.Wiring.Linked))
        {
            // A shortened timer: an address that no host has is given up after 0.6 s, not 3 s.
            Command("ip", "ntable", "change", "name", "arp_cache", "dev", Lab.NameOf(adapter), "retrans", "200");
        }
        Namespaces.Inside(Lab.Of(Laptop.CableId), () =>
        {
            using var socket = new Socket(AddressFamily.InterNetwork, SocketType.Dgram, ProtocolType.Udp);
            foreach (var address in addresses)
            {
                try
                {
                    socket.SendTo([0], new IPEndPoint(IPAddress.Parse($"{address}"), 9));
                }
                catch (SocketException)
                {
                    // There is no way to it, or it does not listen.
                }
            }
            return true;
        });
        // The system asks three times before it gives up.
        var since = Stopwatch.StartNew();
        while (since.Elapsed < TimeSpan.FromSeconds(4) && Command("ip", "-4", "neigh").Contains("INCOMPLETE", StringComparison.Ordinal))
        {
            Thread.Yield();
        }
    }
}
