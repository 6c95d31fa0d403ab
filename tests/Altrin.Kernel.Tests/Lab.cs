using System.Diagnostics;
using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>What a design leaves to the box, decided for one build of it.</summary>
internal sealed record Choosing
{
    /// <summary>Routers whose WAN side is set before their LAN side.</summary>
    public IReadOnlyList<string> OuterFirst { get; init; } = [];

    /// <summary>Whether rings are built, with spanning tree to break them; refused otherwise.</summary>
    public bool SpanningTree { get; init; }

    /// <summary>Ports that hosts answer on, beyond the one that every host answers on.</summary>
    public IReadOnlyList<int> Ports { get; init; } = [];
}

/// <summary>
/// A design built from the machine's own network stack: a namespace for each box and device, bridges for switches, virtual
/// cables, the kernel's routing, nftables for translation, dnsmasq for leases and names, udhcpc as the client.
/// </summary>
internal sealed class Lab : IDisposable
{
    public const string Internet = "internet";

    private readonly Dictionary<string, string> _names = [];
    private readonly Dictionary<Seat, MacAddress> _mac = [];
    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("altrin-kernel-");

    public Lab(Design design, Choosing? choosing = null)
    {
        (Design, Choosing) = (design, choosing ?? new());
        Wiring = new(design);
        if (Wiring.Ring && !Choosing.SpanningTree)
        {
            throw new InvalidOperationException("a ring of cables would keep the machine busy for ever");
        }
        foreach (
            var owner in design
                .SetUp.Boxes.Select(b => b.Box)
                .Concat(design.SetUp.Devices.Select(d => d.Device))
                .Append(PortRef.Street)
                .Append(Internet)
        )
        {
            _names[owner] = Spaces.Name();
        }
        Spaces.Make();
        Wire();
        Routers = new(this);
        Routers.SetUp();
        Clients = new(this);
    }

    public Design Design { get; }

    public Choosing Choosing { get; }

    public Wiring Wiring { get; }

    public Namespaces Spaces { get; } = new();

    public Routers Routers { get; }

    public Clients Clients { get; }

    public string Folder => _folder.FullName;

    public IEnumerable<string> Owners => _names.Keys;

    /// <summary>The namespace of a box, device, the street or the internet.</summary>
    public string Of(string owner) => _names[owner];

    /// <summary>Whose MAC address it is; null for none's.</summary>
    public Seat? Whose(MacAddress mac) => _mac.FirstOrDefault(h => h.Value == mac).Key;

    public MacAddress Mac(Seat seat) => _mac[seat];

    /// <summary>Whether a box does what its profile may say; what no one found out it does not do.</summary>
    public bool Does(string box, Func<BoxHabits, Known> habit) => Design.Box(box) is { } found && habit(found.Profile.Habits) == Known.Yes;

    public RouterMode? Router(string owner) => Design.Mode(owner) as RouterMode;

    /// <summary>Every interface that can hold an address, with how it comes by it.</summary>
    public IEnumerable<(Seat Seat, HostAddress Setting)> Hosts()
    {
        foreach (var box in Design.SetUp.Boxes)
        {
            switch (box.Mode)
            {
                case RouterMode router:
                    yield return (new(box.Box, "wan"), router.Wan);
                    yield return (new(box.Box, "lan"), new Fixed(router.Lan, null, []));
                    if (router.Guest is { } guest)
                    {
                        yield return (new(box.Box, "guest"), new Fixed(guest.Lan, null, []));
                    }
                    break;
                case AccessPointMode point:
                    yield return (new(box.Box, "lan"), point.Page);
                    break;
                case RepeaterMode repeater:
                    yield return (new(box.Box, "lan"), repeater.Page);
                    break;
                case WirelessBridgeMode bridge:
                    yield return (new(box.Box, "lan"), bridge.Page);
                    break;
                case SwitchMode { Page: { } page }:
                    yield return (new(box.Box, "lan"), page);
                    break;
            }
        }
        foreach (var device in Design.SetUp.Devices)
        {
            yield return (new(device.Device, "eth0"), device.Address);
        }
    }

    public void Dispose()
    {
        Spaces.Dispose();
        _folder.Delete(true);
    }

    private void Wire()
    {
        var inside = _names.Keys.ToDictionary(o => o, _ => new List<string> { "link set lo up" });
        var wires = new List<string>();
        foreach (var owner in _names.Keys)
        {
            Namespaces.Inside(Of(owner), () => Sysctl(owner));
        }
        var fresh = 0xF000u;
        foreach (var (owner, device) in Bridges())
        {
            inside[owner]
                .Add(
                    $"link add {device} type bridge {(Choosing.SpanningTree ? "stp_state 1 forward_delay 200" : "forward_delay 0")} mcast_snooping 0"
                );
            var box = Design.Box(owner);
            _mac[new(owner, device)] = (
                device == "wan" ? box?.WanMac
                : device == "guest" ? null
                : box?.Mac
            ) ?? new(0x020000000000UL + ++fresh);
            inside[owner].Add($"link set {device} address {_mac[new(owner, device)]} up");
        }
        for (var i = 0; i < Wiring.Joints.Count; i++)
        {
            var joint = Wiring.Joints[i];
            wires.Add(
                $"link add {End(joint.A, i)} netns {Of(joint.A.Owner)} type veth peer name {End(joint.B, i)} netns {Of(joint.B.Owner)}"
            );
            Plug(joint.A, joint);
            Plug(joint.B, joint);

            void Plug(Seat seat, Joint at)
            {
                if (seat.Device == "eth0")
                {
                    _mac[seat] = Design.Device(seat.Owner)!.Mac ?? new(0x020000000000UL + ++fresh);
                    inside[seat.Owner].Add($"link set eth0 address {_mac[seat]} up");
                    return;
                }
                inside[seat.Owner].Add($"link set {End(seat, i)} master {seat.Device} up");
                if (at.Guest)
                {
                    inside[seat.Owner].Add($"link set {End(seat, i)} alias guest");
                    Guests.Add((seat.Owner, End(seat, i)));
                }
            }
        }
        wires.Add($"link add up0 netns {Of(PortRef.Street)} type veth peer name eth0 netns {Of(Internet)}");
        Namespaces.Batch(null, wires);
        foreach (var (owner, lines) in inside)
        {
            Namespaces.Batch(Of(owner), lines);
        }

        AwaitCarrier();

        static string End(Seat seat, int joint) =>
            seat.Device == "eth0" ? "eth0" : string.Create(CultureInfo.InvariantCulture, $"p{joint}-{seat.Device}");
    }

    /// <summary>The kernel tells about links once a second at most: what is sent earlier is lost.</summary>
    private void AwaitCarrier()
    {
        var linked = Wiring
            .Joints.SelectMany(j => new[] { j.A, j.B })
            .Distinct()
            .GroupBy(s => s.Owner)
            .ToDictionary(g => g.Key, g => g.Select(s => s.Device).ToList());
        var since = Stopwatch.StartNew();
        foreach (var (owner, devices) in linked)
        {
            while (
                !devices.All(
                    Namespaces
                        .Run("ip", ["-n", Of(owner), "-br", "link", "show", "up"])
                        .Output.Split('\n')
                        .Where(l => l.Contains(" UP ", StringComparison.Ordinal))
                        .Select(l => l.Split(' ', '@')[0])
                        .Contains
                )
            )
            {
                if (since.Elapsed > TimeSpan.FromSeconds(20))
                {
                    throw new InvalidOperationException($"no link at {owner}");
                }
                Thread.Yield();
            }
        }
    }

    /// <summary>Ends of guests at access points: box and interface.</summary>
    public List<(string Owner, string Device)> Guests { get; } = [];

    private IEnumerable<(string Owner, string Device)> Bridges()
    {
        yield return (PortRef.Street, "line");
        foreach (var box in Design.SetUp.Boxes)
        {
            yield return (box.Box, "lan");
            if (box.Mode is RouterMode || (box.Mode is AccessPointMode && !Design.Box(box.Box)!.Profile.WanPortJoins))
            {
                yield return (box.Box, "wan");
            }
            foreach (var tag in box.Mode is RouterMode ? [] : Wiring.Tags(Design))
            {
                yield return (box.Box, $"v{tag}");
            }
            if (box.Mode is RouterMode { Guest: not null })
            {
                yield return (box.Box, "guest");
            }
        }
    }

    /// <summary>Reverse-path check and answering across sides as the box does it; IPv6 off, bridged frames unfiltered.</summary>
    private bool Sysctl(string owner)
    {
        var routes = Router(owner) is not null || owner == PortRef.Street;
        // What no one found out is built as Linux does it unless told otherwise: a router answers across its sides. A port that
        // stays out of an access point's bridge is a dead end.
        var across = Router(owner) is not null && Design.Box(owner)?.Profile.Habits.AnswersAcross != Known.No;
        var check = Does(owner, h => h.ChecksReversePath);
        Set("ipv4/ip_forward", routes);
        foreach (var scope in new[] { "all", "default" })
        {
            Set($"ipv4/conf/{scope}/rp_filter", check);
            Set($"ipv4/conf/{scope}/arp_ignore", !across);
            Set($"ipv4/conf/{scope}/send_redirects", false);
            Set($"ipv4/conf/{scope}/accept_redirects", false);
            Set($"ipv6/conf/{scope}/disable_ipv6", true);
        }
        if (File.Exists("/proc/sys/net/bridge/bridge-nf-call-iptables"))
        {
            Set("bridge/bridge-nf-call-iptables", false);
            Set("bridge/bridge-nf-call-arptables", false);
        }
        return true;

        static void Set(string path, bool on) => File.WriteAllText($"/proc/sys/net/{path}", on ? "1" : "0");
    }
}
