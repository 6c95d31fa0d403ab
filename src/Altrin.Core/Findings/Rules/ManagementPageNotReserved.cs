using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;

namespace Altrin.Core.Findings.Rules;

/// <summary>An access point or managed switch whose page is at a leased address that nothing keeps.</summary>
public static class ManagementPageNotReserved
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "management-page-not-reserved",
            "page address may change",
            "The page of a box is at a leased address that is not reserved.",
            "Once the lease has changed it opens elsewhere, and has to be found by its MAC address again.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Sheet.Addresses.Where(a => a is { Side: Side.Page, Origin: AddressOrigin.Leased } && a.Segment != Sites.PortRef.Street)
            .Select(a =>
                e.Finding(
                    Rule,
                    [a.Owner],
                    $"The page of {e.Name(a.Owner)} is at an address that may change",
                    "At the next visit it has to be found first.",
                    Keep(e, a.Owner),
                    e.Design.Box(a.Owner)!.Mac is null ? ["Read its MAC address off the label; then its address can be reserved."] : []
                )
            );

    private static IEnumerable<Remedy> Keep(Evidence e, string box)
    {
        var page = e.Network.Find(box, Side.Page)!;
        if (page.Mac is { } mac && e.PlanOf(e.Network.Segment(page.Segment)) is var (plan, main) && plan.FirstFree() is { } free)
        {
            yield return Cures.Hopeful($"Reserve {free} for {e.Name(box)}", new Reserve(main, mac, free));
        }
    }
}
