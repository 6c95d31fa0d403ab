using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>
/// Which VLANs a home uses, and what each end of a cable does with a tag (IEEE 802.1Q). Switches that are not managed, access points
/// and bridging gateways pass tagged frames on as they are (common practice); radio links carry none.
/// </summary>
internal sealed class Vlans
{
    private readonly Dictionary<string, BoxMode> _modes;

    public Vlans(Design design)
    {
        _modes = design.SetUp.Boxes.ToDictionary(b => b.Box, b => b.Mode, StringComparer.Ordinal);
        Tags = [0, .. _modes.Values.SelectMany(Used).Where(v => v > 1).Distinct().Order()];
    }

    /// <summary>Every tag that is on some cable, 0 first for frames without one.</summary>
    public IReadOnlyList<int> Tags { get; }

    /// <summary>What a box has beside its ordinary sides: a part for each VLAN that it carries.</summary>
    public IEnumerable<Group> Groups(string box) =>
        Tags.Where(t => t > 0 && Carries(_modes[box], t)).Select(t => new Group(box, false, false, t));

    /// <summary>What the frames with a tag come into at one end of a cable; null where they are dropped.</summary>
    /// <param name="end">The end.</param>
    /// <param name="plain">What frames without a tag come into where nothing is known of VLANs.</param>
    /// <param name="tag">The tag on the cable; 0 for none.</param>
    public Group? At(PortRef end, Group plain, int tag)
    {
        if (!_modes.TryGetValue(end.Owner, out var mode))
        {
            return tag == 0 ? plain : null;
        }
        if (mode is SwitchMode { Vlans: { Count: > 0 } ports })
        {
            var port = ports.FirstOrDefault(p => p.Port == end.Port) ?? new(end.Port, 1, []);
            return tag == 0 ? plain with { Vlan = port.Untagged == 1 ? 0 : port.Untagged }
                : port.Tagged.Contains(tag) ? plain with { Vlan = tag }
                : null;
        }
        return tag == 0 ? plain
            : plain.Wan ? null
            : mode is RouterMode router
                ? router.Guest?.Vlan == tag ? plain with { Guest = true }
                    : null
            : plain with { Vlan = tag };
    }

    private static bool Carries(BoxMode mode, int tag) =>
        mode switch
        {
            RouterMode => false,
            SwitchMode { Vlans: { Count: > 0 } ports } => ports.Any(p => p.Untagged == tag || p.Tagged.Contains(tag)),
            _ => true,
        };

    private static IEnumerable<int> Used(BoxMode mode) =>
        mode switch
        {
            RouterMode { Guest.Vlan: { } guests } => [guests],
            AccessPointMode { Guest.Vlan: { } guests } => [guests],
            SwitchMode managed => managed.Vlans.SelectMany(p => p.Tagged.Append(p.Untagged)),
            _ => [],
        };
}
