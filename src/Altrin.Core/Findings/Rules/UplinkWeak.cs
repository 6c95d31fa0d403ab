using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A box joins another by radio from where it hears it too weakly.</summary>
public static class UplinkWeak
{
    /// <summary>The level that a link between boxes wants where the box stands, in dBm (common practice).</summary>
    public const double WantedDbm = -65;

    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "uplink-weak",
            "too far for its link",
            "A box joins another by radio where it hears it at less than -70 dBm, or surely at less than -65 dBm.",
            "What it repeats is no better than what it hears: all behind it are slow, and the link drops.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var link in e.Network.RadioLinks)
        {
            if (
                e.Rates.Link(link.Link) is not { Level: { Basis: > LevelBasis.Distance } level }
                || !(level.Dbm < SignalLevel.LimitDbm || level.Reaches(WantedDbm) == Known.No)
            )
            {
                continue;
            }
            yield return e.Finding(
                Rule,
                [link.Box],
                $"{e.Name(link.Box)} hears {e.Name(link.To)} at {LevelWords.Of(level)}",
                $"All behind {e.Name(link.Box)} are slow, and cut off at times; {WantedDbm:0} dBm is wanted where it stands.",
                Nearer(e, link),
                [$"{HowMuch(e, link, level)}A cable, mains wiring or coax to {e.Name(link.Box)} takes the radio link away."]
            );
        }
    }

    /// <summary>How much nearer it must stand, by the distance alone; ended with a blank.</summary>
    private static string HowMuch(Evidence e, RadioLink link, SignalLevel level)
    {
        if (
            Stands(e, link.Box) is not { } here
            || Stands(e, link.To) is not { } there
            || e.Rates.Signals.Way(here, there) is not { Measured: true } way
        )
        {
            return "";
        }
        var metres = way.Metres * Math.Pow(10, (level.Dbm - WantedDbm) / RoomLoss.Coefficient);
        return $"It lacks {WantedDbm - level.Dbm:0} dB: about {metres:0.#} m from {e.Name(link.To)} instead of {way.Metres:0.#} m, or fewer walls between. ";
    }

    /// <summary>The place nearest to where it stands from which it hears the other well enough.</summary>
    private static IEnumerable<Remedy> Nearer(Evidence e, RadioLink link)
    {
        var joins = e.Design.Mode(link.Box)?.Joins;
        var bands = e.Design.Box(link.Box)!.Profile.Radios.Where(r => joins is null || r.Id == joins.Radio).Select(r => r.Band).ToHashSet();
        var heard = e.Rates.Airs.Where(a => a.Box == link.To && bands.Contains(a.Radio.Band) && !a.Guest).ToList();
        return Stands(e, link.Box) is not { } here
            ? []
            : e
                .Design.Site.Places.Where(p => p.Id != here.Id && p.Kind != PlaceKind.Outdoors && p.Id != Stands(e, link.To)?.Id)
                .Where(p => heard.Exists(a => e.Rates.Signals.Of(a, p) is { } level && level.Dbm + RadioPower.BoxEarDb >= WantedDbm))
                .OrderBy(p => e.Rates.Signals.Way(p, here)?.Metres ?? double.MaxValue)
                .ThenBy(p => p.Id, StringComparer.Ordinal)
                .Take(1)
                .Select(p => Cures.Hopeful($"Move {e.Name(link.Box)} to {p.Name}", new PlaceBox(link.Box, p.Id)));
    }

    private static Place? Stands(Evidence e, string box) => e.Design.Site.Place(e.Design.Setting(box)?.Place);
}
