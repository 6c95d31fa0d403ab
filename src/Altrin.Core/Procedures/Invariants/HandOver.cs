using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>
/// A gateway's public address is handed over to the box that is meant, by cable, and no forwarding is left behind. Whether the target's own
/// firewall is on, and its remote administration off, is no setting of the model.
/// </summary>
public static class HandOver
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            14,
            "hand-over-of-the-public-address",
            "A DMZ host is reserved or typed; pass-through and mapping name a WAN MAC address; forwardings go first; all of it by cable.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        var design = step.After.Design;
        foreach (var (id, mode) in design.SetUp.Boxes.Where(b => b.Mode is RouterMode).Select(b => (b.Box, (RouterMode)b.Mode)))
        {
            var name = design.NameOf(id);
            if (
                mode.Dmz is { } host
                && mode.Server is { On: true } server
                && server.Pool.Contains(host)
                && server.Reservations.All(r => r.Address != host)
            )
            {
                yield return new(
                    [id, $"{host}"],
                    $"{name} opens everything to {host}, which it may lease to any device: reserve it first."
                );
            }
            if (mode.Passing is { To: { } to } && design.Site.Boxes.All(b => b.WanMac != to))
            {
                yield return new([id, $"{to}"], $"{name} gives its public address to {to}, which is the WAN MAC address of no box.");
            }
            if ((mode.Passing is not null || mode.Dmz is not null) && mode.Forwards.Count > 0)
            {
                yield return new(
                    [id, "forwards"],
                    $"{name} hands over what comes from the internet, and still forwards port {mode.Forwards[0].OutsidePort} itself."
                );
            }
        }
        if (
            step is { Act: SavePage { Box: var box } save, Before.Laptop: { Cable: null, Wifi.Join: var join } }
            && save.Changes.Any(c => c is SetPassing or SetDmz)
        )
        {
            yield return new(
                [box, join.Box, join.Name],
                "The public address is handed over from Wi-Fi, which may drop meanwhile: use a cable."
            );
        }
    }
}
