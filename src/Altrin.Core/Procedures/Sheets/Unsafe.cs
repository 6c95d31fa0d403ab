using Altrin.Core.Procedures.Ordering;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>An act that breaks an invariant though no better order was found.</summary>
/// <param name="Says">The act.</param>
/// <param name="Broken">What it breaks.</param>
/// <param name="Cure">What would make it safe.</param>
public sealed record Unsafe(string Says, Broken Broken, string Cure)
{
    /// <summary>Those of acts that were done, each violation once; what is so in the plan itself is left out.</summary>
    internal static IEnumerable<Unsafe> Of(Aim aim, IReadOnlyList<PlayedStep> acts)
    {
        var told = new HashSet<(int, string)>();
        return acts.SelectMany(a => a.Broken.Select(b => (Act: a, Broken: b)))
            .Where(b => !aim.IsPlanned(b.Broken) && told.Add((b.Broken.Rule.Number, b.Broken.Violation.Identity)))
            .Select(b => new Unsafe(b.Act.Says, b.Broken, Cured(b.Broken)))
            .ToList();
    }

    private static string Cured(Broken broken) =>
        broken.Rule.Number switch
        {
            1 => "Open its page and write it down first; where it has none any more, use what was written down earlier.",
            2 => "Choose an address outside the pool, or make the pool smaller some days earlier.",
            3 => "Shorten the lease time at an earlier visit, or give every device a new link.",
            4 => "Give one of the two another subnet in the plan, or let one wait without power.",
            5 => "Use a temporary Wi-Fi name for the evening, or switch the old radio off first.",
            6 or 9 or 10 => "Take a laptop with an Ethernet socket, or an adapter, and a second lead.",
            7 => "Keep one end of the link without power while the cable is plugged in.",
            8 => "Switch off the box that answers at the same address.",
            11 => "Set the mode first, and what it clears afterwards.",
            12 => "Change its admin password at the table, before it meets the live network.",
            13 => "Reserve its address at the DHCP server before it is carried.",
            14 => "Reserve the address first, remove the forwardings, and use a cable.",
            15 => "Wait until it is ready.",
            16 => "Have a mobile phone ready that calls from this house, and the alarm set to test by its centre.",
            17 => "Undo it before you leave.",
            _ => "Ask the provider how IPv6 arrives, and look at the page of the box.",
        };
}
