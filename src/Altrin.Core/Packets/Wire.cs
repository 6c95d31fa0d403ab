using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>What becomes of a packet inside one segment: who takes it, and what lies between.</summary>
internal sealed class Wire(World world, Choices choices, Addresses addresses, Trail trail, IReadOnlyCollection<Interface> aims)
{
    /// <summary>Who takes the packet in the segment: the host that answers for the address (RFC 826).</summary>
    public Interface? Handed(Hop hop, Packet packet, bool answer)
    {
        var segment = world.Network.Segment(hop.Out.Segment);
        foreach (var ring in segment.Loops)
        {
            var cause = World.Ring(ring);
            if (
                ring.Perhaps
                && choices.Pick(new("ring", ring.Cables[0]), () => new(["its box stops the radio link", "no box stops the ring"], [cause]))
                    == 0
            )
            {
                continue;
            }
            // A ring stops everything, but hides nothing: the way is followed all the same, so that what else is wrong on it is told.
            trail.StopsAt(hop.Out.Owner);
            trail.Wrong.Add(cause);
        }
        var takers = addresses.Takers(hop.Out, hop.Next);
        if (takers.Count == 0)
        {
            // It was not found out whether a router answers there for the address of its other side.
            var perhaps = addresses.Across(hop.Out, hop.Next).FirstOrDefault();
            if (
                perhaps is null
                || choices.Pick(new("across", perhaps.Owner, Address: hop.Next), () =>
                    new(
                        [$"{world.Name(perhaps.Owner)} answers for its other side", $"{world.Name(perhaps.Owner)} does not"],
                        [Silence(hop, packet, IsForwarded(hop, packet, answer), answer)]
                    )
                ) == 1
            )
            {
                return Unanswered(hop, packet, answer);
            }
            takers = [perhaps];
        }
        var taker = takers[0];
        if (takers.Count > 1)
        {
            var pick = choices.Pick(new("takes", segment.Id, Address: hop.Next), () =>
                new([.. takers.Select(t => $"{world.Name(t.Owner)} answers for {hop.Next}")], addresses.Clash(hop.Next, takers))
            );
            taker = takers[Math.Min(pick, takers.Count - 1)];
        }
        return (Apart(hop.Out, taker) is { } barrier && !Passes(barrier)) || !Crosses(hop.Out, taker) ? null : taker;

        bool Passes(string point)
        {
            var habit = world.HabitsOf(point).GuestsApart;
            if (habit == Known.Unknown)
            {
                trail.Open.Add(
                    Cause.Of(CauseCodes.GuestsNotIsolated, $"Whether {world.Name(point)} keeps its guests apart was not found out.", point)
                );
            }
            if (habit != Known.Yes)
            {
                return true;
            }
            trail.Stop(point, Cause.Of(CauseCodes.GuestsApart, $"{world.Name(point)} keeps its guests apart.", point));
            return false;
        }
    }

    /// <summary>Whether what is said between two sides of a segment gets over the radio links between them.</summary>
    private bool Crosses(Interface a, Interface b)
    {
        foreach (var (link, _, strays, wanders, untold) in world.Radio.Between(a, b))
        {
            if (
                strays is not null
                && choices.Pick(new("joins", link.Box), () =>
                    new([$"{world.Name(link.Box)} joins {world.Name(link.To)}", $"{world.Name(link.Box)} joins another"], [strays])
                ) == 1
            )
            {
                trail.Stop(link.Box, strays);
                return false;
            }
            if (
                wanders is not null
                && choices.Pick(new("channel", link.Box), () =>
                    new(
                        [
                            $"{world.Name(link.To)} is on a channel that {world.Name(link.Box)} may use",
                            $"{world.Name(link.To)} is on another",
                        ],
                        [wanders]
                    )
                ) == 1
            )
            {
                trail.Stop(link.Box, wanders);
                return false;
            }
            if (untold is not null)
            {
                trail.Open.Add(untold);
            }
        }
        return true;
    }

    private Interface? Unanswered(Hop hop, Packet packet, bool answer)
    {
        var (outer, next) = (hop.Out, hop.Next);
        var forwarded = IsForwarded(hop, packet, answer);
        if (forwarded && aims.FirstOrDefault(a => a.Segment == outer.Segment && addresses.MayBeLeased(a, next)) is { } aim)
        {
            var cause = Cause.Of(
                CauseCodes.PortForwardToLease,
                $"{world.Name(outer.Owner)} forwards to {next}, which {world.Name(aim.Owner)} has only by luck.",
                outer.Owner,
                aim.Owner
            );
            if (
                choices.Pick(new("aim", aim.Owner, Address: next), () =>
                    new([$"{world.Name(aim.Owner)} has {next}", $"another host or none has {next}"], [cause])
                ) == 0
            )
            {
                addresses.Give(aim, next);
                return aim;
            }
            trail.Stop(outer.Owner, cause);
            return null;
        }
        trail.Stop(forwarded || !hop.ByDefault ? outer.Owner : hop.Blame, Silence(hop, packet, forwarded, answer));
        return null;
    }

    /// <summary>Whether a router hands the packet to whom it forwards it.</summary>
    private bool IsForwarded(Hop hop, Packet packet, bool answer) => !answer && hop.Next == packet.Target && trail.Forwarded(hop.Out.Owner);

    /// <summary>That no host answers for the address of a hop.</summary>
    private Cause Silence(Hop hop, Packet packet, bool forwarded, bool answer)
    {
        var (outer, next) = (hop.Out, hop.Next);
        return forwarded
                ? Cause.Of(
                    CauseCodes.NotForwarded,
                    $"{world.Name(outer.Owner)} forwards port {packet.Port} to {next}, where no host answers.",
                    outer.Owner
                )
            : hop.ByDefault
                ? Cause.Of(
                    CauseCodes.GatewayWrong,
                    $"No host answers at the default gateway {next} {world.Whose(outer, hop.Blame)}.",
                    hop.Blame
                )
            : addresses.Overlap(outer.Owner) is { } overlap ? world.OverlapCause(overlap)
            : answer
                ? Cause.Of(
                    CauseCodes.NoReturnRoute,
                    $"The answer is to go to {next}, and no such host is there beside {world.Name(outer.Owner)}.",
                    outer.Owner
                )
            : next != packet.Target
                ? Cause.Of(CauseCodes.NoRoute, $"A route of {world.Name(outer.Owner)} leads to {next}, where no host answers.", outer.Owner)
            : Cause.Of(CauseCodes.NoAnswer, $"No host answers at {next} beside {world.Name(outer.Owner)}.", outer.Owner);
    }

    /// <summary>
    /// The access point that keeps two hosts of one segment apart, where one is its guest; null where none does. Guests get to routers.
    /// </summary>
    internal static string? Apart(Interface a, Interface b) =>
        a.GuestOf is { } of && !b.IsInner && b.Side != Side.Provider ? of
        : b.GuestOf is { } other && !a.IsInner && a.Side != Side.Provider ? other
        : null;
}
