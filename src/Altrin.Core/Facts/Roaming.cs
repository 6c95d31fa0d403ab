using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>A box that joins another by radio, or should.</summary>
/// <param name="Box">Who joins.</param>
/// <param name="To">Whom.</param>
/// <param name="Why">What stands in the way; null where it joins.</param>
/// <param name="Frames">How it carries what others behind it send; null where it does not join.</param>
/// <param name="Instead">Other boxes that it may join instead; empty where it joins no other.</param>
public sealed record RadioFact(string Box, string To, RefusalReason? Why, UplinkFrames? Frames, IReadOnlyList<string> Instead);

/// <summary>
/// One Wi-Fi name of the home. With more than one group it only looks like one network: no device moves from one to the other.
/// </summary>
/// <param name="Name">The name.</param>
/// <param name="Groups">Radios between which devices move by themselves.</param>
public sealed record RoamingFact(string Name, IReadOnlyList<RoamingGroup> Groups);

/// <summary>Radios with one name, one key, a protection in common and one segment.</summary>
/// <param name="Segment">The segment that they lead into.</param>
/// <param name="Radios">The radios: box, stroke, radio.</param>
/// <param name="Bands">The bands that they are on.</param>
public sealed record RoamingGroup(string Segment, IReadOnlyList<string> Radios, IReadOnlyList<RadioBand> Bands)
{
    /// <summary>What is sent there: a radio may send one name for its own people and for guests.</summary>
    internal IReadOnlyList<Air> Members { get; init; } = [];
}

/// <summary>What a device hears whose bands are recorded.</summary>
/// <param name="Device">The device.</param>
/// <param name="Names">Names of the home on a band that it knows.</param>
public sealed record HeardFact(string Device, IReadOnlyList<string> Names);

/// <summary>Looks at the air of a home.</summary>
public static class Roaming
{
    /// <summary>Boxes that join others by radio, or should, by box.</summary>
    public static IReadOnlyList<RadioFact> Links(Network network) =>
        [
            .. network
                .RadioLinks.Select(l => new RadioFact(l.Box, l.To, l.KeyOpen ? RefusalReason.PasswordNotKnown : null, l.Frames, l.Rivals))
                .Concat(network.Unjoined.Select(u => new RadioFact(u.Box, u.To, u.Why, null, [])))
                .OrderBy(r => r.Box, StringComparer.Ordinal),
        ];

    /// <summary>The names of the home, in order, each with its groups.</summary>
    public static IReadOnlyList<RoamingFact> Names(Network network) =>
        [
            .. Airs(network)
                .GroupBy(a => a.Setting.Name, StringComparer.Ordinal)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => new RoamingFact(
                    g.Key,
                    [
                        .. Groups(network, g)
                            .Select(x => new RoamingGroup(
                                x.Segment,
                                [.. x.Members.Select(a => $"{a.Box}/{a.Radio.Id}")],
                                [.. x.Members.Select(a => a.Radio.Band).Distinct().Order()]
                            )
                            {
                                Members = x.Members,
                            }),
                    ]
                )),
        ];

    /// <summary>What devices hear whose bands are recorded, by device.</summary>
    public static IReadOnlyList<HeardFact> Heard(Network network) =>
        [
            .. network
                .Design.Site.Devices.Where(d => d.Bands.Count > 0)
                .OrderBy(d => d.Id, StringComparer.Ordinal)
                .Select(d => new HeardFact(
                    d.Id,
                    [
                        .. Airs(network)
                            .Where(a => d.Bands.Contains(a.Radio.Band))
                            .Select(a => a.Setting.Name)
                            .Distinct()
                            .Order(StringComparer.Ordinal),
                    ]
                )),
        ];

    private static IEnumerable<Air> Airs(Network network) =>
        network
            .Design.SetUp.Boxes.Select(b => b.Box)
            .Except(network.Situation.Silent())
            .Order(StringComparer.Ordinal)
            .SelectMany(b => Air.Of(network.Design, b))
            .OrderBy(a => a.Box, StringComparer.Ordinal)
            .ThenBy(a => a.Guest)
            .ThenBy(a => a.Radio.Id, StringComparer.Ordinal);

    private static List<(string Segment, List<Air> Members)> Groups(Network network, IEnumerable<Air> airs)
    {
        var groups = new List<(string Segment, List<Air> Members)>();
        foreach (var air in airs)
        {
            var segment = SegmentOf(network, air);
            var fits = groups.FirstOrDefault(g =>
                g.Segment == segment
                && g.Members.TrueForAll(m =>
                    m.Setting.Password == air.Setting.Password && Association.InCommon(m.Setting.Security, air.Setting.Security)
                )
            );
            if (fits.Members is { } there)
            {
                there.Add(air);
            }
            else
            {
                groups.Add((segment, [air]));
            }
        }
        return groups;
    }

    /// <summary>Where a name leads: a router's guests have a segment of their own, an access point's where a tag leads them.</summary>
    internal static string SegmentOf(Network network, Air air) =>
        network.Parts[
            network.Design.Mode(air.Box) switch
            {
                RouterMode => new(air.Box, false, air.Guest),
                AccessPointMode { Guest.Vlan: { } tag } when air.Guest => new(air.Box, false, false, tag),
                _ => new(air.Box, false),
            }
        ];
}
