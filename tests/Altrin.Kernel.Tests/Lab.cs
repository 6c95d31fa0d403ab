using System.Diagnostics;
using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
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

    /// <summary>
    /// Whether it is changed in place: it begins dark, leases are written into files that outlive their server, and the clock is that of
    /// an evening.
    /// </summary>
    public bool InPlace { get; init; }

    /// <summary>
    /// How much longer a lease lasts by the machine's clock than by the evening's: on a busy machine an evening may take longer than it
    /// would in a home, and no lease may run out before the evening says so.
    /// </summary>
    public int LeaseStretch => InPlace ? 10 : 1;
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
    private readonly Dictionary<Joint, (string A, string B)> _plugged = [];
    private readonly Dictionary<string, List<string>> _lines = [];
    private uint _fresh;
    private int _next;
    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("altrin-kernel-");

    public Lab(Design design, Choosing? choosing = null)
    {
        (Design, Choosing) = (design, choosing ?? new());
        Wiring = new(design);
        foreach (var owner in OwnersOf(design, Choosing.InPlace))
        {
            _names[owner] = Spaces.Name();
        }
        if (Choosing.InPlace)
        {
            // One machine with two adapters.
            _names[Laptop.WifiId] = _names[Laptop.CableId];
        }
        Spaces.Make();
        foreach (var owner in _names.Keys)
        {
            Inside(owner, "link set lo up");
        }
        Namespaces.Batch(null, [$"link add up0 netns {Of(PortRef.Street)} type veth peer name eth0 netns {Of(Internet)}"]);
        Routers = new(this);
        Clients = new(this);
        Wire(Wiring.Joints);
        Routers.SetUp();
    }

    /// <summary>The design as it is built just now.</summary>
    public Design Design { get; private set; }

    public Choosing Choosing { get; }

    /// <summary>What is joined just now.</summary>
    public Wiring Wiring { get; private set; }

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

    /// <summary>From now on it is this design, joined in this way; what is there already stays.</summary>
    /// <returns>The joints that are new.</returns>
    public IReadOnlyList<Joint> Become(Design design, Wiring wiring)
    {
        (Design, Wiring) = (design, wiring);
        List<Joint> fresh = [.. wiring.Joints.Where(j => !_plugged.ContainsKey(j))];
        Wire(fresh);
        return fresh;
    }

    /// <summary>The bridges of a box that are there.</summary>
    public IEnumerable<string> BridgesOf(string owner) =>
        _mac.Keys.Where(s => s.Owner == owner && s.Device != "eth0").Select(s => s.Device);

    /// <summary>Takes a joint away.</summary>
    public void Unplug(Joint joint)
    {
        _plugged.Remove(joint, out var ends);
        Namespaces.Batch(Of(joint.A.Owner), [$"link del {ends.A}"]);
    }

    /// <summary>The joints that are there.</summary>
    public IReadOnlyCollection<Joint> Plugged => _plugged.Keys;

    /// <summary>The same with the names of their interfaces.</summary>
    public IReadOnlyDictionary<Joint, (string A, string B)> Wires => _plugged;

    /// <summary>The name of an interface in its namespace: the second adapter of a machine has its own.</summary>
    public static string NameOf(Seat seat) => seat.Owner == Laptop.WifiId ? "wlan0" : seat.Device;

    private static IEnumerable<string> OwnersOf(Design design, bool inPlace) =>
        inPlace
            ? design
                .Site.Boxes.Select(b => b.Id)
                .Concat(design.Site.Devices.Select(d => d.Id))
                .Concat([Laptop.CableId, PortRef.Street, Internet])
            : design.SetUp.Boxes.Select(b => b.Box).Concat(design.SetUp.Devices.Select(d => d.Device)).Concat([PortRef.Street, Internet]);

    private void Inside(string owner, string line)
    {
        if (!_lines.TryGetValue(owner, out var lines))
        {
            _lines[owner] = lines = [];
        }
        lines.Add(line);
    }

    /// <summary>Makes the bridges that are not there yet, and these joints.</summary>
    private void Wire(IReadOnlyList<Joint> joints)
    {
        if (Wiring.Ring && !Choosing.SpanningTree)
        {
            throw new InvalidOperationException("a ring of cables would keep the machine busy for ever");
        }
        foreach (var owner in Owners)
        {
            Namespaces.Inside(Of(owner), () => Sysctl(owner));
        }
        foreach (var (owner, device) in Bridges().Where(b => !_mac.ContainsKey(new(b.Owner, b.Device))))
        {
            Inside(
                owner,
                $"link add {device} type bridge {(Choosing.SpanningTree ? "stp_state 1 forward_delay 200" : "forward_delay 0")} mcast_snooping 0"
            );
            var box = Design.Box(owner);
            _mac[new(owner, device)] = (
                device == "wan" ? box?.WanMac
                : device == "guest" ? null
                : box?.Mac
            ) ?? Fresh();
            Inside(owner, $"link set {device} address {_mac[new(owner, device)]} up");
        }
        var wires = new List<string>();
        foreach (var joint in joints)
        {
            var number = _next++;
            _plugged[joint] = (End(joint.A, number), End(joint.B, number));
            wires.Add(
                $"link add {End(joint.A, number)} netns {Of(joint.A.Owner)} type veth peer name {End(joint.B, number)} netns {Of(joint.B.Owner)}"
            );
            Plug(joint.A);
            Plug(joint.B);

            void Plug(Seat seat)
            {
                if (seat.Device == "eth0")
                {
                    if (!_mac.TryGetValue(seat, out var mac))
                    {
                        _mac[seat] = mac = Design.Device(seat.Owner)!.Mac ?? Fresh();
                    }
                    Inside(seat.Owner, $"link set {NameOf(seat)} address {mac} up");
                    return;
                }
                Inside(seat.Owner, $"link set {End(seat, number)} master {seat.Device} up");
                if (joint.Guest)
                {
                    Inside(seat.Owner, $"link set {End(seat, number)} alias guest");
                    Guests.Add((seat.Owner, End(seat, number)));
                }
            }
        }
        Namespaces.Batch(null, wires);
        foreach (var (owner, lines) in _lines)
        {
            Namespaces.Batch(Of(owner), lines);
        }
        _lines.Clear();
        AwaitCarrier();

        static string End(Seat seat, int joint) =>
            seat.Device == "eth0" ? NameOf(seat) : string.Create(CultureInfo.InvariantCulture, $"p{joint}-{seat.Device}");

        MacAddress Fresh() => new(0x02000000F000UL + ++_fresh);
    }

    /// <summary>The kernel tells about links once a second at most: what is sent earlier is lost.</summary>
    private void AwaitCarrier()
    {
        // A bridge has a link once any of its ports has one: each end is waited for, and what it belongs to.
        var linked = _plugged
            .SelectMany(p => new[] { (Seat: p.Key.A, End: p.Value.A), (Seat: p.Key.B, End: p.Value.B) })
            .GroupBy(e => Of(e.Seat.Owner))
            .ToDictionary(g => g.Key, g => g.SelectMany(e => new[] { e.End, NameOf(e.Seat) }).Distinct().ToList());
        var since = Stopwatch.StartNew();
        foreach (var (space, devices) in linked)
        {
            Namespaces.Inside(space, () =>
            {
                using var links = new LinkSocket();
                while (!devices.All(links.Runs))
                {
                    if (since.Elapsed > TimeSpan.FromSeconds(20))
                    {
                        throw new InvalidOperationException($"no link at one of {string.Join(", ", devices)} in {space}");
                    }
                    links.Await();
                }
                return true;
            });
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
            if (Choosing.InPlace || box.Mode is RouterMode || (box.Mode is AccessPointMode && !Design.Box(box.Box)!.Profile.WanPortJoins))
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
        // Every hop of every route answers: by itself the kernel answers one host once a second.
        Set("ipv4/icmp_ratelimit", false);
        if (File.Exists("/proc/sys/net/bridge/bridge-nf-call-iptables"))
        {
            Set("bridge/bridge-nf-call-iptables", false);
            Set("bridge/bridge-nf-call-arptables", false);
        }
        return true;

        static void Set(string path, bool on) => File.WriteAllText($"/proc/sys/net/{path}", on ? "1" : "0");
    }
}
