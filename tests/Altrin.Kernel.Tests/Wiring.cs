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

    public Wiring(Design design)
    {
        var modes = design.SetUp.Boxes.ToDictionary(b => b.Box, b => b.Mode);
        var cabled = design.SetUp.Cables.SelectMany(c => new[] { c.A.Owner, c.B.Owner }).ToHashSet();
        foreach (var cable in design.SetUp.Cables)
        {
            if (At(cable.A) is { } a && At(cable.B) is { } b)
            {
                Join(a, b, false);
            }
        }
        foreach (var device in design.SetUp.Devices.Where(d => d.Wifi is not null && !cabled.Contains(d.Device)))
        {
            var wifi = device.Wifi!;
            if (!modes.TryGetValue(wifi.Box, out var mode))
            {
                continue;
            }
            var sending = mode.Radios.Where(r => r.On).ToList();
            if (sending.Any(r => r.Name == wifi.Name))
            {
                if (sending.Any(r => r.Name == wifi.Name && Fits(r.Security, r.Key)))
                {
                    Join(new(device.Device, "eth0"), new(wifi.Box, "lan"), false);
                }
            }
            else if (sending.Count > 0 && mode is RouterMode { Guest: { } own } && own.Name == wifi.Name && Fits(own.Security, own.Key))
            {
                Join(new(device.Device, "eth0"), new(wifi.Box, "guest"), false);
            }
            else if (sending.Count > 0 && mode is AccessPointMode { Guest: { } shared } && shared.Name == wifi.Name && Fits(shared.Security, shared.Key))
            {
                Join(new(device.Device, "eth0"), new(wifi.Box, "lan"), true);
            }

            bool Fits(WifiSecurity security, string? key) => security == WifiSecurity.Open || (key is not null && key == wifi.Key);
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
                ? new(end.Owner, port.Role == PortRole.Wan && (mode is RouterMode || (mode is AccessPointMode && !box.Profile.WanPortJoins)) ? "wan" : "lan")
                : null;
        }
    }

    public List<Joint> Joints { get; } = [];

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
