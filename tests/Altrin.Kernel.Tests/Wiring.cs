using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>A bridge inside a box, or the one interface of a device or the provider.</summary>
/// <param name="Owner">Box, device or "street".</param>
/// <param name="Device">Name of the interface in its namespace.</param>
internal sealed record Seat(string Owner, string Device)
{
    public override string ToString() => $"{Owner}/{Device}";
}

/// <summary>One joint: two interfaces with a wire between them.</summary>
/// <param name="A">One end.</param>
/// <param name="B">The other end.</param>
/// <param name="Guest">Whether it is the guest name of an access point.</param>
internal sealed record Joint(Seat A, Seat B, bool Guest);

/// <summary>
/// What is plugged into what, read from a design without any help of the code under test. Who bridges what is the core table of
/// the trade: routers keep their sides apart, access points bridge all (the WAN port by profile), switches and bridged gateways
/// bridge all (common practice).
/// </summary>
internal sealed class Wiring
{
    private readonly Dictionary<Seat, Seat> _joined = [];

    /// <summary>Reads it.</summary>
    /// <param name="design">The design.</param>
    /// <param name="silent">Boxes whose radios send nothing just now.</param>
    public Wiring(Design design, IReadOnlyCollection<string>? silent = null)
    {
        silent ??= [];
        var modes = design.SetUp.Boxes.ToDictionary(b => b.Box, b => b.Mode);
        var cabled = design.SetUp.Cables.SelectMany(c => new[] { c.A.Owner, c.B.Owner }).ToHashSet();
        foreach (var cable in design.SetUp.Cables)
        {
            if (At(cable.A) is { } a && At(cable.B) is { } b)
            {
                Passers += Passed(cable.A, cable.B) || Passed(cable.B, cable.A) ? 1 : 0;
                Join(
                    Passed(cable.A, cable.B) ? a with { Device = "wan" } : Untagged(cable.A, a),
                    Passed(cable.B, cable.A) ? b with { Device = "wan" } : Untagged(cable.B, b),
                    false
                );
            }
            // This kernel knows no 802.1Q: a wire of its own stands for each tag that both ends of a cable know.
            foreach (var tag in Tags(design))
            {
                if (Tagged(cable.A, tag) is { } from && Tagged(cable.B, tag) is { } to)
                {
                    Join(from, to, false);
                }
            }
        }
        // The kernel has no radio here: where one joins another, a wire stands for it.
        foreach (var box in design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal))
        {
            if (
                Heard(box) is { } to
                && !silent.Contains(box.Box)
                && !silent.Contains(to)
                && !(design.Box(box.Box)!.Profile.Habits.StopsRings == Known.Yes && Same(new(box.Box, "lan"), new(to, "lan")))
            )
            {
                Join(new(box.Box, box.Mode is RouterMode { Uplink.Frames: not UplinkFrames.Wds } ? "wan" : "lan"), new(to, "lan"), false);
            }
        }
        foreach (var device in design.SetUp.Devices.Where(d => d.Wifi is not null && !cabled.Contains(d.Device)))
        {
            var wifi = device.Wifi!;
            if (!modes.TryGetValue(wifi.Box, out var mode) || silent.Contains(wifi.Box))
            {
                continue;
            }
            // A satellite sends what its main node sends.
            var sending = (mode is SatelliteMode { Main: var managed } ? modes[managed] : mode).Radios.Where(r => r.On).ToList();
            if (sending.Any(r => r.Name == wifi.Name))
            {
                if (sending.Any(r => r.Name == wifi.Name && Fits(r.Security, r.Password)))
                {
                    Join(new(device.Device, "eth0"), new(wifi.Box, "lan"), false);
                }
            }
            else if (
                sending.Count > 0
                && mode is RouterMode { Guest: { } own }
                && own.Name == wifi.Name
                && Fits(own.Security, own.Password)
            )
            {
                Join(new(device.Device, "eth0"), new(wifi.Box, "guest"), false);
            }
            else if (
                sending.Count > 0
                && mode is AccessPointMode { Guest: { } shared }
                && shared.Name == wifi.Name
                && Fits(shared.Security, shared.Password)
            )
            {
                // By a tag guests are apart already; otherwise it is for the box to keep them so.
                Join(new(device.Device, "eth0"), new(wifi.Box, shared.Vlan is { } tag ? $"v{tag}" : "lan"), shared.Vlan is null);
            }

            bool Fits(WifiSecurity security, string? key) => security == WifiSecurity.Open || (key is not null && key == wifi.Password);
        }

        // A managed switch sorts frames without a tag by its ports; who sorts nothing passes every tag on, and a router knows that of its
        // guests.
        Seat Untagged(PortRef end, Seat seat) =>
            modes.GetValueOrDefault(end.Owner) is SwitchMode { Vlans: { Count: > 0 } ports }
            && ports.FirstOrDefault(p => p.Port == end.Port) is { Untagged: not 1 and var vlan }
                ? seat with
                {
                    Device = $"v{vlan}",
                }
                : seat;

        Seat? Tagged(PortRef end, int tag) =>
            modes.GetValueOrDefault(end.Owner) switch
            {
                null => null,
                RouterMode router => router.Guest?.Vlan == tag && design.Box(end.Owner)!.Profile.Port(end.Port)!.Role == PortRole.Lan
                    ? new(end.Owner, "guest")
                    : null,
                SwitchMode { Vlans: { Count: > 0 } ports } => ports.Any(p => p.Port == end.Port && p.Tagged.Contains(tag))
                    ? new(end.Owner, $"v{tag}")
                    : null,
                _ => new(end.Owner, $"v{tag}"),
            };

        // Whether a gateway lets its public address out at a port, to what is plugged in there.
        bool Passed(PortRef end, PortRef other) =>
            modes.GetValueOrDefault(end.Owner) is RouterMode { Passing: { } passing }
            && design.Box(end.Owner)!.Profile.Port(end.Port)!.Role == PortRole.Lan
            && (
                passing.Kind == PassKind.Port ? passing.Port == end.Port
                : design.Box(other.Owner) is { } box ? box.Profile.Port(other.Port)?.Role == PortRole.Wan && box.WanMac == passing.To
                : design.Device(other.Owner)?.Mac == passing.To
            );

        // Whom a box joins by radio: name, key, protection and band as they are, four addresses unless they are not taken, WDS where both
        // were told.
        string? Heard(BoxSetting box)
        {
            if (box.Mode is SatelliteMode { By: { } node } satellite)
            {
                return
                    modes.ContainsKey(node)
                    && modes.GetValueOrDefault(satellite.Main) is RouterMode or AccessPointMode
                    && design.Box(satellite.Main)!.Profile.Kit == design.Box(box.Box)!.Profile.Kit
                    ? node
                    : null;
            }
            if (box.Mode.Joins is not { } link || link.Box == box.Box || !modes.TryGetValue(link.Box, out var main))
            {
                return null;
            }
            var takes = design.Box(link.Box)!.Profile.Radios.Any(r => r.FourAddress != Known.No);
            return main.Radios.Any(r =>
                r.On
                && r.Name == link.Name
                && r.Password is not null
                && r.Password == link.Password
                && r.Security == link.Security
                && (link.Frames != UplinkFrames.FourAddress || takes)
                && (link.Frames != UplinkFrames.Wds || (r.Channel is not null && r.Channel == link.Channel && r.WdsPeers.Contains(box.Box)))
            )
                ? link.Box
                : null;
        }

        Seat? At(PortRef end)
        {
            if (end.Owner == PortRef.Street)
            {
                return new(end.Owner, "line");
            }
            if (design.Box(end.Owner) is not { } box)
            {
                return design.SetUp.Devices.Any(d => d.Device == end.Owner) ? new(end.Owner, "eth0") : null;
            }
            return modes.TryGetValue(end.Owner, out var mode) && box.Profile.Port(end.Port) is { } port
                ? new(
                    end.Owner,
                    port.Role == PortRole.Wan && (mode is RouterMode || (mode is AccessPointMode && !box.Profile.WanPortJoins))
                        ? "wan"
                        : "lan"
                )
                : null;
        }
    }

    /// <summary>Every tag that is used in a home.</summary>
    public static IReadOnlyList<int> Tags(Design design) =>
        [
            .. design
                .SetUp.Boxes.SelectMany(b =>
                    b.Mode switch
                    {
                        RouterMode { Guest.Vlan: { } tag } => [tag],
                        AccessPointMode { Guest.Vlan: { } tag } => [tag],
                        SwitchMode managed => managed.Vlans.SelectMany(v => v.Tagged.Append(v.Untagged)).Where(t => t > 1),
                        _ => Enumerable.Empty<int>(),
                    }
                )
                .Distinct()
                .Order(),
        ];

    public List<Joint> Joints { get; } = [];

    /// <summary>How many gateways pass their public address on: each goes out by the same one, here by a second.</summary>
    public int Passers { get; private set; }

    /// <summary>Whether a ring of cables is closed: real switches would be busy with it for ever.</summary>
    public bool Ring { get; private set; }

    public bool Linked(Seat seat) => Joints.Any(j => j.A == seat || j.B == seat);

    public bool Same(Seat a, Seat b) => Root(a) == Root(b);

    private void Join(Seat a, Seat b, bool guest)
    {
        Ring |= Same(a, b);
        _joined[Root(a)] = Root(b);
        Joints.Add(new(a, b, guest));
    }

    private Seat Root(Seat seat)
    {
        while (_joined.TryGetValue(seat, out var next) && next != seat)
        {
            seat = next;
        }
        return seat;
    }
}
