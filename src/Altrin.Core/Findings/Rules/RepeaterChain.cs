using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A box that joins by radio a box that joins by radio itself.</summary>
public static class RepeaterChain
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "repeater-chain",
            "chained by radio",
            "A box joins by radio another one that is itself connected by radio.",
            "Each radio hop repeated on the same radio roughly halves the rate; a star around the main box is faster than a chain.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        var links = e.Network.RadioLinks.ToDictionary(l => l.Box, StringComparer.Ordinal);
        foreach (var link in e.Network.RadioLinks.Where(l => links.ContainsKey(l.To)))
        {
            var (hops, at) = (1, link);
            while (hops <= links.Count && links.TryGetValue(at.To, out var next))
            {
                (hops, at) = (hops + 1, next);
            }
            yield return e.Finding(
                Rule,
                [link.Box],
                $"{e.Name(link.Box)} is {hops} radio hops away from {e.Name(at.To)}",
                "Devices behind it have a slow network, and each hop can fail by itself.",
                Nearer(e, link, at.To),
                ["A cable to any box of the chain takes its hops away."]
            );
        }
    }

    private static IEnumerable<Remedy> Nearer(Evidence e, RadioLink link, string main)
    {
        if (e.Design.Mode(link.Box) is SatelliteMode satellite)
        {
            yield return Cures.Hopeful(
                $"Let {e.Name(link.Box)} join {e.Name(main)} itself",
                new SetSatellite(link.Box, Partial<SatelliteMode>.With(s => s.By, main))
            );
        }
        else if (
            e.Design.Mode(link.Box)?.Joins is { } joins
            && Air.Of(e.Design, main)
                .FirstOrDefault(a =>
                    !a.Guest && e.Design.Box(link.Box)!.Profile.Radios.Any(r => r.Id == joins.Radio && r.Band == a.Radio.Band)
                )
                is { } air
        )
        {
            yield return Cures.Hopeful(
                $"Let {e.Name(link.Box)} join {e.Name(main)} itself",
                SetUplink.Between(
                    link.Box,
                    joins,
                    joins with
                    {
                        Box = main,
                        Name = air.Setting.Name,
                        Security = air.Setting.Security,
                        Password = air.Setting.Password,
                    }
                )
            );
        }
    }
}
