using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A box in use that is connected to nothing, or an access point or a further router that sends and serves nothing.</summary>
public static class BoxServesNothing
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "box-serves-nothing",
            "serves nothing",
            "A box in use is connected to nothing, or an access point or a further router has its Wi-Fi off and nothing plugged in.",
            "It takes power and serves no device, and in a later search for a fault it is taken for a part of the network.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var box in e.Design.SetUp.Boxes.Where(b => b.Mode is not BridgeMode))
        {
            var cables = e.Design.SetUp.Cables.Count(c => c.Ends(box.Box));
            var radio = box.Mode.Joins is not null || box.Mode is SatelliteMode;
            var (name, own) = (e.Name(box.Box), e.Design.Box(box.Box)!.Profile.Radios);
            // The box at the line is the home's way out, whatever hangs at it today.
            if (box.Mode is RouterMode && (cables == 0 || e.Design.SetUp.Cables.Any(c => c.Ends(box.Box) && c.Ends(PortRef.Street))))
            {
                continue;
            }
            if (cables == 0 && !radio)
            {
                yield return Of(
                    box.Box,
                    $"{name} is in use and connected to nothing",
                    [Cures.Hopeful($"{name} is not in use", new TakeOutOfUse(box.Box))],
                    ["Follow its cable; where it has none, plug it in where it is to serve, or switch it off."]
                );
            }
            else if (
                box.Mode is AccessPointMode or RepeaterMode or RouterMode
                && own.Count > 0
                && cables < (radio ? 1 : 2)
                && box.Mode.Radios.All(r => !r.On)
            )
            {
                yield return Of(
                    box.Box,
                    $"{name} sends no Wi-Fi, and nothing is plugged into it",
                    [
                        Cures.Hopeful(
                            $"Switch the Wi-Fi of {name} on",
                            [.. box.Mode.Radios.Select(r => new SetRadio(box.Box, r.Radio, Partial<RadioSetting>.With(s => s.On, true)))]
                        ),
                        .. box.Mode is RouterMode
                            ? [Cures.Hopeful($"{name} is not in use", new TakeOutOfUse(box.Box))]
                            : Array.Empty<Remedy>(),
                    ],
                    []
                );
            }

            Finding Of(string id, string what, IEnumerable<Remedy> cures, IReadOnlyList<string> advice) =>
                e.Finding(Rule, [id], what, "Nothing comes from it.", cures, advice) with
                {
                    Idle = $"{name} serves nothing",
                };
        }
    }
}
