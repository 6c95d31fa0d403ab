using Altrin.Core.Changes;
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

    /// <summary>
    /// Moves a box that hangs at a port without power to one that gives some, at the same injector or switch: a free one, or that of
    /// something which takes none, in exchange.
    /// </summary>
    public static IEnumerable<Remedy> ToPower(Evidence e, string box)
    {
        var design = e.Design;
        foreach (var cable in design.SetUp.Cables.Where(c => c.Ends(box)).OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            var here = cable.A.Owner == box ? cable.B : cable.A;
            if (design.Box(here.Owner) is not { Profile.Traits.Power.Gives: not null } source || At(design, here) is not null)
            {
                continue;
            }
            var powered = source.Profile.Ports.Select(p => new PortRef(source.Id, p.Id)).Where(p => At(design, p) is not null).ToList();
            foreach (var port in powered.Where(p => design.CableAt(p) is null).Take(1))
            {
                yield return Cures.Hopeful(
                    $"Move the cable of {e.Name(box)} to {PortWords.Of(design, port)}",
                    new Unpatch(cable.Id),
                    new Patch(cable.OtherEnd(here), port, cable.Known)
                );
            }
            foreach (var port in powered.Where(p => design.CableAt(p) is { } other && !TakesPower(design, other.OtherEnd(p).Owner)).Take(1))
            {
                var other = design.CableAt(port)!;
                yield return Cures.Hopeful(
                    $"Swap the cables in {PortWords.Of(design, here)} and {PortWords.Of(design, port)}",
                    new Unpatch(cable.Id),
                    new Unpatch(other.Id),
                    new Patch(cable.OtherEnd(here), port, cable.Known),
                    new Patch(other.OtherEnd(port), here, other.Known)
                );
            }
        }
    }

    private static bool TakesPower(Design design, string box) => design.Box(box)?.Profile.Traits.Power?.Takes is not null;

    /// <summary>What gives power at a port; null where nothing does.</summary>
    public static PowerSource? At(Design design, PortRef port) =>
        design.Box(port.Owner) is { Profile: { Traits.Power: { Gives: { } kind } power } profile } box
        && profile.Port(port.Port) is { Role: PortRole.Lan }
        && (power.GivesAt is null || power.GivesAt.Contains(port.Port))
            ? new(box, kind)
            : null;
}
