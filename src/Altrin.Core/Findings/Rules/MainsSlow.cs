using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Mains wiring brings less than the service that was sold to what is behind it.</summary>
public static class MainsSlow
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "mains-slow",
            "slower than the service",
            "Powerline adapters bring less than the service that was sold to what is behind them.",
            "Their class is the sum of both directions on a bench; through the wiring of a home 30 to 95 Mb/s arrive, up to 150 with gigabit ports.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        if (e.Design.Site.Service.DownMbps is not { } sold)
        {
            yield break;
        }
        foreach (var mains in e.Design.SetUp.Cables.Where(c => c.Medium == Medium.Powerline).OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            var behind = e
                .Seen.Internet.Where(i => i.Links.Contains(mains.Id))
                .Select(i => e.Rates.ToInternet(i.Device))
                .OfType<RateFact>()
                .ToList();
            if (
                behind.Count > 0
                && behind[0].Parts.First(p => p.Id == mains.Id) is var part
                && part.Down.Usual < sold * MeasuredRate.Capped
            )
            {
                var names = behind.Select(r => e.Name(r.From)).Order(StringComparer.Ordinal).ToList();
                yield return e.Finding(
                    Rule,
                    [mains.Id],
                    $"{Sentence.Capital(part.Says)} brings {LevelWords.Of(part.Down)}{(part.IsMeasured ? ", as measured," : "")} of the {sold} Mb/s sold",
                    $"{(names.Count == 1 ? $"{names[0]} gets" : $"{names.Count} devices share")} what arrives there, however fast the line is.",
                    [],
                    [
                        "A cable brings all of it, coax most; adapters with gigabit ports straight in the wall, on one phase, bring more than others. Measure there: homes differ.",
                    ]
                );
            }
        }
    }
}
