using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Devices on the other ports of a gateway that passes its address on.</summary>
public static class PassThroughCutsOffRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.PassThroughCutsOff,
            "left behind",
            "IP pass-through: the other ports or the Wi-Fi of the gateway lose the internet, or may.",
            "All that is to be one network belongs behind the router that gets the public address.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Cited(CauseCodes.PassThroughCutsOff)
            .Select(cause =>
                e.Finding(
                    Rule,
                    cause.Subjects,
                    cause.Text.TrimEnd('.'),
                    "Whatever is still plugged into the gateway has an address and no internet.",
                    Move(e, cause.Subjects[0]),
                    ["Plug all of it into the router behind it, and let that send the Wi-Fi name of the home."]
                )
            );

    /// <summary>What is plugged into the gateway goes into free ports of the router that gets the address.</summary>
    private static IEnumerable<Remedy> Move(Evidence e, string gateway)
    {
        if (
            Passer.CableOf(e.Design, gateway) is not { } passes
            || e.Design.Box(passes.A.Owner == gateway ? passes.B.Owner : passes.A.Owner) is not { } router
        )
        {
            yield break;
        }
        var free = new Queue<PortRef>(
            router
                .Profile.Ports.Where(p => p.Role == PortRole.Lan)
                .Select(p => new PortRef(router.Id, p.Id))
                .Where(p => e.Design.CableAt(p) is null)
        );
        var changes = new List<Change>();
        foreach (
            var cable in e
                .Design.SetUp.Cables.Where(c => c != passes && c.Ends(gateway) && !c.Ends(PortRef.Street))
                .OrderBy(c => c.Id, StringComparer.Ordinal)
        )
        {
            if (free.TryDequeue(out var port))
            {
                changes.AddRange([
                    new Unpatch(cable.Id),
                    new Patch(cable.OtherEnd(cable.A.Owner == gateway ? cable.A : cable.B), port, cable.Known),
                ]);
            }
        }
        if (changes.Count > 0)
        {
            yield return Cures.Hopeful($"Move the cables of {e.Name(gateway)} to {router.Name}", changes);
        }
    }
}
