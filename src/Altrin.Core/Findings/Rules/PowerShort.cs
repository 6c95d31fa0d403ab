using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A box that takes its power from the cable gets none, or too little.</summary>
public static class PowerShort
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "power-short",
            "too little power",
            "A box that takes its power from the cable gets none, or too little.",
            "It stays dark, or starts again and again when it has to send.",
            "IEEE 802.3af, at, bt (from memory)",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        var fed = Feeds.Of(e.Design);
        foreach (var (box, power, source) in fed)
        {
            var what =
                source is null ? $"{box.Name} takes its power from the cable, and nothing at the other end gives any"
                : source.Kind == PowerKind.Passive || power.Takes == PowerKind.Passive
                    ? (
                        source.Kind != PowerKind.Passive
                            ? $"{box.Name} needs passive power, and {source.Box.Name} gives it only to what asks"
                            : null
                    )
                : power.NeedsWatts > PowerFacts.AtDeviceWatts(source.Kind)
                    ? string.Create(
                        System.Globalization.CultureInfo.InvariantCulture,
                        $"{box.Name} needs {power.NeedsWatts:0.##} W, and {source.Box.Name} gives at most {PowerFacts.AtDeviceWatts(source.Kind):0.##} at the far end"
                    )
                : null;
            if (what is not null)
            {
                yield return Short(e, box.Id, what, [.. Feeds.ToPower(e, box.Id), .. Injecting.Remedies(e, box.Id)]);
            }
        }
        foreach (
            var group in fed.Where(f => f.Source is not null)
                .GroupBy(f => f.Source!.Box.Id, StringComparer.Ordinal)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
        )
        {
            var source = group.First().Source!.Box;
            // What is lost on the way is the source's too: a device that wants all of its class costs the source all of its class.
            var asked = group.Sum(f =>
                f.Power.NeedsWatts is { } needs
                    ? PowerFacts.AtDeviceWatts(f.Source!.Kind) is { } most
                        ? needs * PowerFacts.AtSourceWatts(f.Source.Kind)!.Value / most
                        : needs
                    : 0
            );
            if (asked > source.Profile.Traits.Power!.BudgetWatts)
            {
                yield return Short(
                    e,
                    source.Id,
                    string.Create(
                        System.Globalization.CultureInfo.InvariantCulture,
                        $"{source.Name} can give {source.Profile.Traits.Power.BudgetWatts:0.##} W in all, and about {asked:0.#} are asked of it"
                    )
                );
            }
        }
    }

    private static Finding Short(Evidence e, string id, string what, params IEnumerable<Remedy> remedies) =>
        e.Finding(
            Rule,
            [id],
            what,
            "It stays dark, or starts again and again.",
            remedies,
            ["Use an injector or a switch of the right kind (802.3af, at or bt) and budget, or the plug of the box."]
        );
}
