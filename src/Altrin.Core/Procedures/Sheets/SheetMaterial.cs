using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>What has to be at hand for the acts of a sheet.</summary>
internal static class SheetMaterial
{
    /// <summary>Tools and material, in sentences.</summary>
    public static IEnumerable<string> Of(State start, IReadOnlyList<PlayedStep> acts)
    {
        var bought = Bought(start.Design, acts).Select(b => b.Name).ToList();
        if (bought.Count > 0)
        {
            yield return $"To buy before the evening: {string.Join(", ", bought)}.";
        }
        if (acts.Any(a => a.Act is LaptopToPort))
        {
            yield return "Laptop with an Ethernet socket or adapter, its lead, its charger.";
        }
        else if (acts.Any(a => a.Act is LaptopToWifi))
        {
            yield return "Laptop, its charger.";
        }
        var design = start.Design;
        var held = design.SetUp.Cables.Select(c => c.Id).ToHashSet(StringComparer.Ordinal);
        foreach (
            var patch in acts.Select(a => a.Act)
                .OfType<PatchCable>()
                .Where(p => p.Known?.Medium is not (Medium.Powerline or Medium.Coax) && !held.Contains(p.Id ?? ""))
                .DistinctBy(p => (p.A, p.B))
        )
        {
            yield return $"{Lead(patch.Known)}, {PortWords.Of(design, patch.A)} to {PortWords.Of(design, patch.B)}.";
        }
        var reset = acts.Select(a => a.Act).OfType<ResetBox>().Select(r => design.Box(r.Box)!).ToList();
        if (reset.Exists(b => b.Profile.Traits.Reset?.By is null or ResetBy.Pinhole))
        {
            yield return $"A pin, to reset {string.Join(" and ", reset.Select(b => b.Name))}.";
        }
        var fresh = acts.Select(a => a.Act)
            .OfType<PowerOn>()
            .Where(p => design.Mode(p.Id) is null && design.Box(p.Id) is not null)
            .ToList();
        if (fresh.Count > 0)
        {
            var names = string.Join(", ", fresh.Select(p => design.NameOf(p.Id)).Distinct());
            yield return $"Power supplies of {names}; a free socket at the table.";
            yield return "A label and a pen for each box.";
        }
        if (acts.Select(a => a.Act).OfType<SetInApp>().Select(s => design.Box(s.Box)!).FirstOrDefault() is { } kit)
        {
            var account = kit.Profile.Traits.App?.Account == Known.Yes ? ", and the customer's own account" : "";
            yield return $"A phone with the application of {kit.Name}{account}.";
        }
        if (acts.Any(a => a.Act is SavePage or ResetBox or PatchCable))
        {
            yield return "A phone with a mobile hotspot, for when the internet is away.";
        }
    }

    /// <summary>What has yet to be bought of what is switched on or plugged in: an injector has no switch of its own.</summary>
    private static IEnumerable<Box> Bought(Design design, IReadOnlyList<PlayedStep> acts)
    {
        var used = acts.SelectMany(a =>
                a.Act switch
                {
                    PowerOn on => [on.Id],
                    PatchCable patch => [patch.A.Owner, patch.B.Owner],
                    _ => Array.Empty<string>(),
                }
            )
            .ToHashSet(StringComparer.Ordinal);
        return design.Site.Boxes.Where(b => b.ToBuy && used.Contains(b.Id));
    }

    private static string Lead(CableFacts? known) =>
        known is { LengthMetres: { } metres } ? $"Lead of at least {metres:0.#} m"
        : known?.Run is not null ? "Lead for the socket of a run"
        : "Lead, length to be measured";
}
