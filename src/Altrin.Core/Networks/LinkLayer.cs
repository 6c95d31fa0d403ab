using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What is joined to what before any address is looked at: groups, cables, Wi-Fi, rings.</summary>
internal sealed class LinkLayer
{
    private readonly Dictionary<Group, Group> _parent = [];
    private readonly Dictionary<Group, List<(Group To, string Cable)>> _tree = [];
    private readonly Dictionary<string, string> _guestsOf = new(StringComparer.Ordinal);

    private LinkLayer(Design design, Situation situation)
    {
        var off = situation.Off.ToHashSet(StringComparer.Ordinal);
        var modes = design.SetUp.Boxes.ToDictionary(b => b.Box, b => b.Mode, StringComparer.Ordinal);
        Add(new(PortRef.Street, false));
        foreach (var (box, mode) in modes.Where(m => !off.Contains(m.Key)))
        {
            Add(new(box, false));
            if (KeepsWanApart(design.Box(box)!, mode))
            {
                Add(new(box, true));
            }
            if (mode is RouterMode { Guest: not null })
            {
                Add(new(box, false, true));
            }
        }
        foreach (var device in design.SetUp.Devices.Where(d => !off.Contains(d.Device)))
        {
            Add(new(device.Device, false));
        }

        var cabled = new HashSet<string>(StringComparer.Ordinal);
        foreach (var cable in design.SetUp.Cables.Where(c => !off.Contains(c.Id)).OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            if (GroupOf(design, modes, cable.A) is { } a && GroupOf(design, modes, cable.B) is { } b)
            {
                Cables.Add((cable.Id, a));
                cabled.Add(cable.A.Owner);
                cabled.Add(cable.B.Owner);
                Join(a, b, cable);
            }
        }

        foreach (var device in design.SetUp.Devices.Where(d => d.Wifi is not null && !off.Contains(d.Device) && !cabled.Contains(d.Device)).OrderBy(d => d.Device, StringComparer.Ordinal))
        {
            if (JoinWifi(device.Device, device.Wifi!, off.Contains(device.Wifi!.Box) ? null : modes.GetValueOrDefault(device.Wifi!.Box)) is { } why)
            {
                Refusals.Add(new(device.Device, device.Wifi!, why));
            }
        }
        if (situation.Laptop is { } laptop)
        {
            PlugLaptop(design, modes, laptop);
        }
    }

    /// <summary>Lets somebody into the Wi-Fi of a box, its own or its guests'; answers what stands in the way.</summary>
    private RefusalReason? JoinWifi(string owner, WifiJoin wifi, BoxMode? mode)
    {
        var why = Refused(mode?.Radios ?? [], wifi);
        var guest = why == RefusalReason.NameNotSent && Refused(GuestRadios(mode), wifi) is not RefusalReason.NameNotSent;
        why = guest ? Refused(GuestRadios(mode), wifi) : why;
        if (why is null)
        {
            if (guest && mode is AccessPointMode)
            {
                // An access point has no subnet for guests: they come into its segment, kept apart or not.
                _guestsOf[owner] = wifi.Box;
            }
            var to = new Group(wifi.Box, false, guest && mode is RouterMode);
            Union(new(owner, false), to);
            Links.Add(Link.OfWifi(owner, to));
        }
        return why;
    }

    private void PlugLaptop(Design design, Dictionary<string, BoxMode> modes, Laptop laptop)
    {
        var own = new Group(Laptop.Id, false);
        Add(own);
        if (laptop.Port is { } port && GroupOf(design, modes, port) is { } there && _parent.ContainsKey(there))
        {
            Union(own, there);
            Links.Add(new(Laptop.Id, PortRef.OfDevice(Laptop.Id), port, own, there, null));
        }
        else if (laptop.Wifi is { } wifi)
        {
            JoinWifi(Laptop.Id, wifi, _parent.ContainsKey(new(wifi.Box, false)) ? modes[wifi.Box] : null);
        }
    }

    /// <summary>The access point whose guest name a device is in; null for everybody else.</summary>
    public string? GuestOf(string device) => _guestsOf.GetValueOrDefault(device);

    public static LinkLayer Of(Design design, Situation situation) => new(design, situation);

    public List<(string Id, Group End)> Cables { get; } = [];

    /// <summary>Cables and Wi-Fi that join two things in use, rings included.</summary>
    public List<Link> Links { get; } = [];

    public List<(Loop Loop, Group In)> Loops { get; } = [];

    public List<WifiRefusal> Refusals { get; } = [];

    /// <summary>The groups of each segment, groups in order, segments by their first group.</summary>
    public IEnumerable<Group[]> Domains() => _parent.Keys.GroupBy(Root).Select(g => g.Order().ToArray()).OrderBy(g => g[0]);

    /// <summary>A router keeps its sides apart; so does an access point whose WAN port stays out of the bridge.</summary>
    public static bool KeepsWanApart(Box box, BoxMode mode) => mode is RouterMode || (mode is AccessPointMode && !box.Profile.WanPortJoins);

    private static Group? GroupOf(Design design, Dictionary<string, BoxMode> modes, PortRef end)
    {
        if (design.Box(end.Owner) is not { } box)
        {
            return new(end.Owner, false);
        }
        return modes.TryGetValue(end.Owner, out var mode) && box.Profile.Port(end.Port) is { } port
            ? new(end.Owner, port.Role == PortRole.Wan && KeepsWanApart(box, mode))
            : null;
    }

    /// <summary>The guest name of a box as its radios send it; nothing while all of them are off.</summary>
    private static IReadOnlyList<RadioSetting> GuestRadios(BoxMode? mode) => mode switch
    {
        RouterMode { Guest: { } guest } => Sent(mode, guest.Name, guest.Security, guest.Key),
        AccessPointMode { Guest: { } guest } => Sent(mode, guest.Name, guest.Security, guest.Key),
        _ => [],
    };

    private static IReadOnlyList<RadioSetting> Sent(BoxMode mode, string name, WifiSecurity security, string? key) =>
        [.. mode.Radios.Where(r => r.On).Select(r => r with { Name = name, Security = security, Key = key })];

    private static RefusalReason? Refused(IReadOnlyList<RadioSetting> radios, WifiJoin wifi)
    {
        var sent = radios.Where(r => r.On && r.Name == wifi.Name).ToList();
        return sent.Count == 0 ? RefusalReason.NameNotSent
            : sent.Any(r => r.Security == WifiSecurity.Open || (r.Key is not null && r.Key == wifi.Key)) ? null
            : wifi.Key is null || sent.Any(r => r.Key is null) ? RefusalReason.KeyNotKnown
            : RefusalReason.KeyDiffers;
    }

    private void Add(Group group)
    {
        _parent[group] = group;
        _tree[group] = [];
    }

    private Group Root(Group group)
    {
        while (_parent[group] != group)
        {
            group = _parent[group] = _parent[_parent[group]];
        }
        return group;
    }

    private void Join(Group a, Group b, Cable cable)
    {
        if (!_parent.ContainsKey(a) || !_parent.ContainsKey(b))
        {
            return;
        }
        Links.Add(new(cable.Id, cable.A, cable.B, a, b, cable));
        if (Root(a) == Root(b))
        {
            Loops.Add((new([.. PathBetween(a, b).Append(cable.Id).Order(StringComparer.Ordinal)]), a));
            return;
        }
        Union(a, b);
        _tree[a].Add((b, cable.Id));
        _tree[b].Add((a, cable.Id));
    }

    private void Union(Group a, Group b)
    {
        var (low, high) = Root(a).CompareTo(Root(b)) <= 0 ? (Root(a), Root(b)) : (Root(b), Root(a));
        _parent[high] = low;
    }

    /// <summary>The cables between two groups that cables already join; a cable from a group to itself has none between.</summary>
    private List<string> PathBetween(Group from, Group to)
    {
        var cameBy = new Dictionary<Group, (Group From, string Cable)> { [from] = (from, "") };
        var queue = new Queue<Group>([from]);
        while (queue.TryDequeue(out var at) && !cameBy.ContainsKey(to))
        {
            foreach (var (next, cable) in _tree[at])
            {
                if (cameBy.TryAdd(next, (at, cable)))
                {
                    queue.Enqueue(next);
                }
            }
        }
        var path = new List<string>();
        for (var at = to; at != from; at = cameBy[at].From)
        {
            path.Add(cameBy[at].Cable);
        }
        return path;
    }
}
