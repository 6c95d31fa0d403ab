using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What is joined to what before any address is looked at: groups, cables, radio links, Wi-Fi, rings.</summary>
internal sealed class LinkLayer
{
    private readonly Design _design;
    private readonly Work _work;
    private readonly HashSet<string> _off;
    private readonly HashSet<string> _silent;
    private readonly Dictionary<string, BoxMode> _modes;
    private readonly Forest _forest = new();
    private readonly Vlans _vlans;
    private readonly Dictionary<string, string> _guestsOf = new(StringComparer.Ordinal);
    private readonly Dictionary<string, IReadOnlyList<Air>> _airs = new(StringComparer.Ordinal);
    private ILookup<Group, Link>? _ends;

    private LinkLayer(Design design, Situation situation, Work work)
    {
        _work = work;
        _design = design;
        _off = situation.Down().ToHashSet(StringComparer.Ordinal);
        _silent = situation.Silent().ToHashSet(StringComparer.Ordinal);
        _modes = design.SetUp.Boxes.ToDictionary(b => b.Box, b => b.Mode, StringComparer.Ordinal);
        _vlans = new(design);
        _forest.Add(new(PortRef.Street, false));
        foreach (var (box, mode) in _modes.Where(m => !_off.Contains(m.Key)))
        {
            _forest.Add(new(box, false));
            if (KeepsWanApart(design.Box(box)!, mode))
            {
                _forest.Add(new(box, true));
            }
            if (mode is RouterMode { Guest: not null })
            {
                _forest.Add(new(box, false, true));
            }
            foreach (var group in _vlans.Groups(box))
            {
                _forest.Add(group);
            }
        }
        foreach (var device in design.SetUp.Devices.Where(d => !_off.Contains(d.Device)))
        {
            _forest.Add(new(device.Device, false));
        }
        var cabled = PlugCables();
        foreach (var box in _modes.Keys.Where(b => !_silent.Contains(b)).Order(StringComparer.Ordinal))
        {
            JoinByRadio(box);
        }
        foreach (
            var device in design
                .SetUp.Devices.Where(d => d.Wifi is not null && !_off.Contains(d.Device) && !cabled.Contains(d.Device))
                .OrderBy(d => d.Device, StringComparer.Ordinal)
        )
        {
            if (JoinWifi(device.Device, device.Wifi!) is { } why)
            {
                Refusals.Add(new(device.Device, device.Wifi!, why));
            }
        }
        if (situation.Laptop is { } laptop)
        {
            PlugLaptop(laptop);
        }
    }

    public static LinkLayer Of(Design design, Situation situation, Work work) => new(design, situation, work);

    public List<(string Id, Group End)> Cables { get; } = [];

    /// <summary>Cables, radio links and Wi-Fi that join two things in use, rings included.</summary>
    public List<Link> Links { get; } = [];

    public List<(Loop Loop, Group In)> Loops { get; } = [];

    public List<WifiRefusal> Refusals { get; } = [];

    /// <summary>Boxes that should join another by radio and do not.</summary>
    public List<LinkRefusal> Unjoined { get; } = [];

    /// <summary>Radio links that carry something, with the side that joins and the other boxes that it may join instead.</summary>
    public List<(Link Link, UplinkFrames Frames, IReadOnlyList<string> Rivals, bool KeyOpen)> RadioLinks { get; } = [];

    /// <summary>The access point whose guest name a device is in; null for everybody else.</summary>
    public string? GuestOf(string device) => _guestsOf.GetValueOrDefault(device);

    /// <summary>The groups of each segment, groups in order, segments by their first group.</summary>
    public IEnumerable<Group[]> Domains() => _forest.Domains();

    /// <summary>Everything behind a radio link, seen from the box that is joined.</summary>
    public HashSet<Group> Behind(Link link)
    {
        _work.Check();
        var ends = _ends ??= Links.SelectMany(l => new[] { (At: l.From, Link: l), (At: l.To, Link: l) }).ToLookup(e => e.At, e => e.Link);
        var seen = new HashSet<Group> { link.From };
        var queue = new Queue<Group>(seen);
        while (queue.TryDequeue(out var at))
        {
            foreach (var next in ends[at].Where(l => l != link).Select(l => l.OtherEnd(at)).Where(seen.Add))
            {
                queue.Enqueue(next);
            }
        }
        return seen;
    }

    /// <summary>A router keeps its sides apart; so does an access point whose WAN port stays out of the bridge.</summary>
    public static bool KeepsWanApart(Box box, BoxMode mode) => mode is RouterMode || (mode is AccessPointMode && !box.Profile.WanPortJoins);

    private HashSet<string> PlugCables()
    {
        var cabled = new HashSet<string>(StringComparer.Ordinal);
        foreach (var cable in _design.SetUp.Cables.Where(c => !_off.Contains(c.Id)).OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            if (GroupOf(cable.A, cable) is { } a && GroupOf(cable.B, cable) is { } b)
            {
                cabled.Add(cable.A.Owner);
                cabled.Add(cable.B.Owner);
                foreach (var tag in _vlans.Tags)
                {
                    // One cable may carry several networks, each by its tag; 0 is what goes without.
                    if (
                        _vlans.At(cable.A, a, tag) is { } from
                        && _vlans.At(cable.B, b, tag) is { } to
                        && _forest.Has(from)
                        && _forest.Has(to)
                    )
                    {
                        Cables.Add((cable.Id, from));
                        Join(new(cable.Id, cable.A, cable.B, from, to, cable));
                    }
                }
            }
        }
        return cabled;
    }

    /// <summary>Lets a device into the Wi-Fi of a box, its own or its guests'; answers what stands in the way.</summary>
    private RefusalReason? JoinWifi(string owner, WifiJoin wifi)
    {
        var (airs, device) = (AirsOf(wifi.Box), _design.Device(owner));
        var why = Association.OfDevice([.. airs.Where(a => !a.Guest)], wifi, device);
        var asGuest =
            why == RefusalReason.NameNotSent
                ? Association.OfDevice([.. airs.Where(a => a.Guest)], wifi, device)
                : RefusalReason.NameNotSent;
        var guest = asGuest is not RefusalReason.NameNotSent;
        why = guest ? asGuest : why;
        if (why is null)
        {
            var vlan = guest && _modes[wifi.Box] is AccessPointMode { Guest.Vlan: { } tag } ? tag : 0;
            if (guest && vlan == 0 && _modes[wifi.Box] is AccessPointMode)
            {
                // An access point has no subnet for guests: they come into its segment, kept apart or not.
                _guestsOf[owner] = wifi.Box;
            }
            var to = new Group(wifi.Box, false, guest && _modes[wifi.Box] is RouterMode, vlan);
            _forest.Union(new(owner, false), to);
            Links.Add(Link.OfWifi(owner, to));
        }
        return why;
    }

    private void JoinByRadio(string box)
    {
        _work.Check();
        switch (_modes[box])
        {
            case { Joins: { } link } mode:
                Join(box, link, mode is RouterMode && link.Frames != UplinkFrames.Wds);
                break;
            case SatelliteMode { By: { } node } satellite:
                if (Stranger(box, satellite, node))
                {
                    Unjoined.Add(new(box, node, "", RefusalReason.NotOfKit));
                }
                else if (!_off.Contains(node))
                {
                    Join(box, node, UplinkFrames.FourAddress, [], false);
                }
                break;
        }
    }

    private void Join(string box, Uplink link, bool wan)
    {
        var why = Association.OfBox(_design.Box(box)!, link, AirsOf(link.Box));
        // A password that is not recorded may well fit: the link is taken to stand, and what crosses it is not known.
        if (why is not null and not RefusalReason.PasswordNotKnown)
        {
            Unjoined.Add(new(box, link.Box, link.Name, why.Value));
            return;
        }
        var others =
            link.Locked || link.Frames == UplinkFrames.Wds
                ? []
                : _modes.Keys.Where(other =>
                    other != link.Box
                    && !_off.Contains(other)
                    && _modes[other] is RepeaterMode or RouterMode { Uplink: not null }
                    && (
                        other == box
                            ? Sends(box, link)
                            : Association.OfBox(_design.Box(box)!, link with { Box = other }, AirsOf(other)) is null
                    )
                );
        Join(box, link.Box, link.Frames, [.. others.Order(StringComparer.Ordinal)], wan, why is not null);
    }

    /// <summary>Whether a box sends on the radio of its link the very name that it looks for: it may find itself.</summary>
    private bool Sends(string box, Uplink link) =>
        AirsOf(box).Any(a => a.Radio.Id == link.Radio && a.Setting.Name == link.Name && a.Setting.Password == link.Password);

    private void Join(string box, string to, UplinkFrames frames, IReadOnlyList<string> rivals, bool wan, bool keyOpen = false)
    {
        var link = new Link(RadioLink.IdOf(box), new(box, ""), new(to, ""), new(box, wan), new(to, false), null) { IsRadio = true };
        var stops = _design.Box(box)!.Profile.Habits.StopsRings;
        // A router's WAN side is one socket or the radio, never both: a cable is preferred there (common practice).
        if (_forest.Same(link.From, link.To) && (wan || stops == Known.Yes))
        {
            return;
        }
        RadioLinks.Add((link, frames, rivals, keyOpen));
        Join(link, stops == Known.Unknown);
    }

    private bool Stranger(string box, SatelliteMode satellite, string node)
    {
        var kit = _design.Box(box)!.Profile.Kit;
        return kit is null
            || box == node
            || _design.Box(satellite.Main)?.Profile.Kit != kit
            || _modes.GetValueOrDefault(satellite.Main) is not (RouterMode or AccessPointMode)
            || (node != satellite.Main && (_modes.GetValueOrDefault(node) as SatelliteMode)?.Main != satellite.Main);
    }

    private void PlugLaptop(Laptop laptop)
    {
        foreach (var (owner, _) in laptop.Adapters())
        {
            _forest.Add(new(owner, false));
        }
        if (laptop.Cable?.Port is { } port && GroupOf(port, null) is { } there && _forest.Has(there))
        {
            var own = new Group(Laptop.CableId, false);
            _forest.Union(own, there);
            // Another port is another link: what was learned on the one is forgotten.
            Links.Add(new($"{Laptop.CableId}@{port}", PortRef.OfDevice(Laptop.CableId), port, own, there, null));
        }
        if (laptop.Wifi is { } wifi)
        {
            JoinWifi(Laptop.WifiId, wifi.Join);
        }
    }

    private IReadOnlyList<Air> AirsOf(string box) =>
        _silent.Contains(box) ? []
        : _airs.TryGetValue(box, out var known) ? known
        : _airs[box] = Air.Of(_design, box);

    private Group? GroupOf(PortRef end, Cable? cable)
    {
        if (_design.Box(end.Owner) is not { } box)
        {
            return new(end.Owner, false);
        }
        if (!_modes.TryGetValue(end.Owner, out var mode) || box.Profile.Port(end.Port) is not { } port)
        {
            return null;
        }
        return new(
            end.Owner,
            KeepsWanApart(box, mode) && (port.Role == PortRole.Wan || (cable is not null && Passer.Passes(_design, end, cable)))
        );
    }

    private void Join(Link link, bool perhaps = false)
    {
        if (!_forest.Has(link.From) || !_forest.Has(link.To))
        {
            return;
        }
        Links.Add(link);
        if (_forest.Grow(link.From, link.To, link.Id) is { } ring)
        {
            Loops.Add((new(ring) { Perhaps = perhaps }, link.From));
        }
    }
}
