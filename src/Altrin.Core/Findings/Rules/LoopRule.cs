using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A ring of cables, or of a cable beside a radio link.</summary>
public static class LoopRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.Loop,
            "ring of cables",
            "Cables form a ring, or a cable lies beside a radio link.",
            "Broadcasts go round for ever and take the whole segment down.",
            "IEEE 802.1D; plain switches do not guard against it: common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Network.Segments.SelectMany(s => s.Loops)
            .Select(loop =>
                e.Finding(
                    Rule,
                    loop.Cables,
                    $"{Verdict.Count(loop.Cables.Count, loop.Cables.Any(IsRadio) ? "link" : "cable")} {(loop.Perhaps ? "may form" : loop.Cables.Count == 1 ? "forms" : "form")} a ring: {string.Join(", ", Ends(e, loop))}",
                    loop.Cables.Any(IsRadio)
                        ? "A cable beside the radio link takes the whole network down."
                        : "The whole network stands still, every port light blinking together.",
                    Cheapest(e, loop).Take(4).SelectMany(c => Open(e, c)),
                    loop.Perhaps ? ["Find out whether the box stops its radio link while a cable leads the same way; many kits do."] : []
                )
            );

    /// <summary>
    /// The links of a ring, the one that costs least first: a second lead beside another, then a lead before a run in the walls, inside
    /// one place before across places, the shorter first, a radio link last.
    /// </summary>
    private static IEnumerable<string> Cheapest(Evidence e, Loop loop)
    {
        var cables = e.Design.SetUp.Cables.Where(c => loop.Cables.Contains(c.Id)).ToDictionary(c => c.Id, StringComparer.Ordinal);
        return loop
            .Cables.OrderBy(IsRadio)
            .ThenBy(id =>
                !cables.TryGetValue(id, out var own) || !cables.Values.Any(c => c.Id != id && c.Ends(own.A.Owner) && c.Ends(own.B.Owner))
            )
            .ThenBy(id => cables.GetValueOrDefault(id)?.Run is not null)
            .ThenBy(id => cables.GetValueOrDefault(id) is not { } own || Place(own.A) is null || Place(own.A) != Place(own.B))
            .ThenBy(id => cables.GetValueOrDefault(id)?.LengthMetres ?? double.MaxValue);

        string? Place(PortRef end) => e.Design.Setting(end.Owner)?.Place ?? e.Design.Device(end.Owner)?.Place;
    }

    private static bool IsRadio(string link) => link.StartsWith("radio:", StringComparison.Ordinal);

    private static IEnumerable<Remedy> Open(Evidence e, string link)
    {
        if (!IsRadio(link))
        {
            return [Cures.Hopeful(new Unpatch(link).Describe(e.Design), new Unpatch(link))];
        }
        var box = link["radio:".Length..];
        return e.Design.Mode(box) switch
        {
            SatelliteMode =>
            [
                Cures.Hopeful($"Let {e.Name(box)} join by cable only", new SetSatellite(box, Partial<SatelliteMode>.With(s => s.By, null))),
            ],
            RouterMode => [Cures.Hopeful($"Remove the radio link of {e.Name(box)}", new RemoveUplink(box))],
            RepeaterMode when e.Design.Box(box)!.Profile.Modes.Contains(ModeKind.AccessPoint) =>
            [
                Cures.Hopeful($"Set {e.Name(box)} to access-point mode", new SetMode(box, ModeKind.AccessPoint)),
            ],
            _ => [],
        };
    }

    private static IEnumerable<string> Ends(Evidence e, Loop loop) =>
        loop
            .Cables.Select(id => e.Network.Links.First(l => l.Id == id))
            .Select(l => $"{e.Name(l.A.Owner)} to {e.Name(l.B.Owner)}{(l.IsRadio ? " by radio" : "")}");
}
