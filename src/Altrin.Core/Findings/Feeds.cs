using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>A port that gives power.</summary>
/// <param name="Box">Whose.</param>
/// <param name="Kind">How.</param>
public sealed record PowerSource(Box Box, PowerKind Kind);

/// <summary>Who gets power over a data cable from whom.</summary>
internal static class Feeds
{
    /// <summary>Boxes in use that live on power from the cable alone, each with what feeds it; nothing where none does.</summary>
    public static IReadOnlyList<(Box Box, PowerFacts Power, PowerSource? Source)> Of(Design design) =>
        [
            .. design
                .SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal)
                .Select(b => design.Box(b.Box)!)
                .Where(b =>
                    b.Profile.Traits.Power is { Takes: not null, OwnPlug: not Known.Yes } && design.SetUp.Cables.Any(c => c.Ends(b.Id))
                )
                .Select(b =>
                    (
                        b,
                        b.Profile.Traits.Power!,
                        design
                            .SetUp.Cables.Where(c => c.Ends(b.Id))
                            .OrderBy(c => c.Id, StringComparer.Ordinal)
                            .Select(c => At(design, c.A.Owner == b.Id ? c.B : c.A))
                            .OfType<PowerSource>()
                            .FirstOrDefault()
                    )
                ),
        ];

    /// <summary>What gives power at a port; null where nothing does.</summary>
    public static PowerSource? At(Design design, PortRef port) =>
        design.Box(port.Owner) is { Profile: { Traits.Power: { Gives: { } kind } power } profile } box
        && profile.Port(port.Port) is { Role: PortRole.Lan }
        && (power.GivesAt is null || power.GivesAt.Contains(port.Port))
            ? new(box, kind)
            : null;
}
