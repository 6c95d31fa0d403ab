using System.Buffers.Binary;
using System.Globalization;
using System.Net;
using System.Net.NetworkInformation;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using PacketDotNet;

namespace Altrin.Kernel.Tests;

/// <summary>What a client was given.</summary>
internal sealed record Got(
    Ipv4Address Server,
    Ipv4Address Address,
    int PrefixLength,
    Ipv4Address? Gateway,
    IReadOnlyList<Ipv4Address> Names,
    int LeaseSeconds
);

/// <summary>One answer to a question for an address.</summary>
/// <param name="From">Who answered, by MAC address.</param>
/// <param name="Address">What was offered.</param>
internal sealed record Heard(string From, Ipv4Address Address);

/// <summary>Those who ask for an address: a real client for leases, and raw questions that hear every server.</summary>
internal sealed class Clients
{
    private const string Script = """
        #!/bin/sh
        case "$1" in bound|renew) printf '%s\n' "$ip" "$mask" "${router%% *}" "$dns" "$serverid" "$lease" > "$ALTRIN_LEASE" ;; esac
        """;

    // The client that stays sets its interface itself, by cable before Wi-Fi.
    private const string StayingScript = """
        #!/bin/sh
        case "$1" in
          deconfig) ip -4 addr flush dev "$interface" ;;
          bound|renew)
            ip -4 addr flush dev "$interface"
            ip addr add "$ip/$mask" dev "$interface" valid_lft "$lease" preferred_lft "$lease"
            [ -z "$router" ] || ip route add default via "${router%% *}" dev "$interface" proto dhcp metric "$ALTRIN_METRIC"
            printf '%s\n' "$ip" "$mask" "${router%% *}" "$dns" "$serverid" "$lease" > "$ALTRIN_LEASE.new"
            mv "$ALTRIN_LEASE.new" "$ALTRIN_LEASE" ;;
        esac
        """;

    private readonly Lab _lab;
    private readonly string _script,
        _staying;

    public Clients(Lab lab)
    {
        _lab = lab;
        (_script, _staying) = (Path.Combine(lab.Folder, "script"), Path.Combine(lab.Folder, "staying"));
        File.WriteAllText(_script, Script);
        File.WriteAllText(_staying, StayingScript);
        Namespaces.Run("chmod", ["700", _script, _staying]);
    }

    /// <summary>Everybody who asks and has a link.</summary>
    public IEnumerable<Seat> All => _lab.Hosts().Where(h => h.Setting is Automatic && _lab.Wiring.Linked(h.Seat)).Select(h => h.Seat);

    /// <summary>Asks by the client until a lease is there, or three questions were in vain.</summary>
    public Got? Ask(Seat seat, params string[] more)
    {
        var lease = LeaseFile(seat);
        File.Delete(lease);
        Namespaces.In(
            _lab.Of(seat.Owner),
            "busybox",
            ["udhcpc", "-i", Lab.NameOf(seat), "-n", "-q", "-f", "-t", "4", "-T", "1", "-A", "0", "-s", _script, .. Checks(seat), .. more],
            null,
            new Dictionary<string, string> { ["ALTRIN_LEASE"] = lease }
        );
        return Lease(seat);
    }

    /// <summary>
    /// Asks by a client that stays in the background once it has a lease, and sets its interface itself: with the number of its process.
    /// </summary>
    public (Got Got, int Id)? Stay(Seat seat, int tries, params string[] more)
    {
        var (lease, id) = (LeaseFile(seat), Path.Combine(_lab.Folder, $"{seat.Owner}-{seat.Device}.client"));
        File.Delete(lease);
        File.Delete(id);
        Namespaces.In(
            _lab.Of(seat.Owner),
            "sh",
            [
                "-c",
                // What stays in the background must not hold on to what this call listens to.
                "exec busybox udhcpc \"$@\" </dev/null >/dev/null 2>&1",
                "udhcpc",
                .. new[] { "-i", Lab.NameOf(seat), "-n", "-t", $"{tries}", "-T", "1", "-A", "0", "-p", id, "-s", _staying },
                .. Checks(seat),
                .. more,
            ],
            null,
            new Dictionary<string, string> { ["ALTRIN_LEASE"] = lease, ["ALTRIN_METRIC"] = seat.Owner == Laptop.WifiId ? "600" : "100" }
        );
        return Lease(seat) is { } got ? (got, _lab.Spaces.Runs(id)) : null;
    }

    /// <summary>When the lease of a seat was written down last.</summary>
    public DateTime Stamp(Seat seat) => File.GetLastWriteTimeUtc(LeaseFile(seat));

    /// <summary>The lease that was written down last; null for none.</summary>
    public Got? Lease(Seat seat)
    {
        var lease = LeaseFile(seat);
        if (!File.Exists(lease))
        {
            return null;
        }
        var lines = File.ReadAllLines(lease);
        return new(
            Address(lines[4])!.Value,
            Address(lines[0])!.Value,
            int.Parse(lines[1], CultureInfo.InvariantCulture),
            Address(lines[2]),
            [.. lines[3].Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(n => Address(n)!.Value)],
            int.Parse(lines[5], CultureInfo.InvariantCulture)
        );

        static Ipv4Address? Address(string text) => Ipv4Address.Parse(text) is { Error: null } read ? read.Value : null;
    }

    private string LeaseFile(Seat seat) => Path.Combine(_lab.Folder, $"{seat.Owner}-{seat.Device}.lease");

    private string[] Checks(Seat seat) =>
        (_lab.Design.Box(seat.Owner)?.Profile.Habits.ChecksLease ?? _lab.Design.Device(seat.Owner)!.ChecksLease) == Known.Yes ? ["-a"] : [];

    /// <summary>Asks once by a raw question and hears every answer.</summary>
    public IReadOnlyList<Heard> Offers(Seat seat, TimeSpan most)
    {
        var number = Number(seat);
        var heard = new List<Heard>();
        foreach (var frame in Frames(seat, most))
        {
            if (
                Packet.ParsePacket(LinkLayers.Ethernet, frame) is EthernetPacket ethernet
                && ethernet.Extract<UdpPacket>() is { SourcePort: 67 }
                && ethernet.Extract<DhcpV4Packet>() is { } answer
                && answer.TransactionId == number
            )
            {
                heard.Add(
                    new(
                        _lab.Whose(Mac(ethernet.SourceHardwareAddress))?.Owner ?? $"{ethernet.SourceHardwareAddress}",
                        Ipv4Address.Parse($"{answer.YourAddress}").Value
                    )
                );
            }
        }
        return heard;
    }

    /// <summary>Asks once by a raw question and hears whatever comes.</summary>
    public IReadOnlyList<byte[]> Frames(Seat seat, TimeSpan most) => Namespaces.Inside(_lab.Of(seat.Owner), () =>
        {
            using var socket = new PacketSocket(Lab.NameOf(seat));
            socket.Send(Question(_lab.Mac(seat), Number(seat)));
            return socket.Hear(most).Where(f => !f.Sent).Select(f => f.Frame).ToList();
        });

    private static uint Number(Seat seat) => (uint)HashCode.Combine(seat.Owner, seat.Device) | 1;

    /// <summary>Gives a lease back (RFC 2131, section 4.4.6), in the name that the client goes by.</summary>
    public void GiveBack(Seat seat, Ipv4Address address, Ipv4Address server) => Namespaces.Inside(_lab.Of(seat.Owner), () =>
        {
            using var socket = new PacketSocket(Lab.NameOf(seat));
            var own = _lab.Mac(seat);
            socket.Send(Message(own, 1, address, [53, 1, 7, 54, 4, .. Bytes(server), 61, 7, 1, .. Physical(own).GetAddressBytes(), 255]));
            return true;
        });

    private static byte[] Question(MacAddress own, uint number) => Message(own, number, Ipv4Address.Any, [53, 1, 1, 55, 3, 1, 3, 6, 255]);

    private static byte[] Message(MacAddress own, uint number, Ipv4Address inUse, byte[] options)
    {
        // 236 bytes of fixed fields, the magic number, then options (RFC 2131, section 2).
        var dhcp = new byte[300];
        (dhcp[0], dhcp[1], dhcp[2], dhcp[10]) = (1, 1, 6, 0x80);
        BinaryPrimitives.WriteUInt32BigEndian(dhcp.AsSpan(4), number);
        BinaryPrimitives.WriteUInt32BigEndian(dhcp.AsSpan(12), inUse.Bits);
        Physical(own).GetAddressBytes().CopyTo(dhcp, 28);
        new byte[] { 99, 130, 83, 99 }.CopyTo(dhcp, 236);
        options.CopyTo(dhcp, 240);
        var udp = new UdpPacket(68, 67) { PayloadData = dhcp };
        var ip = new IPv4Packet(IPAddress.Parse($"{inUse}"), IPAddress.Broadcast) { PayloadPacket = udp, TimeToLive = 64 };
        udp.UpdateUdpChecksum();
        ip.UpdateIPChecksum();
        return new EthernetPacket(Physical(own), PhysicalAddress.Parse("FF-FF-FF-FF-FF-FF"), EthernetType.IPv4)
        {
            PayloadPacket = ip,
        }.Bytes;
    }

    private static byte[] Bytes(Ipv4Address address)
    {
        var bytes = new byte[4];
        BinaryPrimitives.WriteUInt32BigEndian(bytes, address.Bits);
        return bytes;
    }

    /// <summary>A MAC address as the packet library takes it.</summary>
    public static PhysicalAddress Physical(MacAddress own) => PhysicalAddress.Parse($"{own}".Replace(':', '-').ToUpperInvariant());

    public static MacAddress Mac(PhysicalAddress address) =>
        MacAddress.Parse(string.Join(':', address.GetAddressBytes().Select(b => b.ToString("x2", CultureInfo.InvariantCulture)))).Value;
}
