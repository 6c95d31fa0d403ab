using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>
/// What a router drops: connections from outside that were not asked for, and everything between its guests and the others.
/// </summary>
internal sealed class Firewall(World world, Trail trail)
{
    /// <summary>
    /// Why a packet that came in by one side does not go out by another; null where it does, also where that was not found out, which is
    /// noted on the way.
    /// </summary>
    public Cause? Bars(Interface at, Interface onto, RouterMode router)
    {
        if ((at.Side, onto.Side) is (Side.Guest, Side.Lan) or (Side.Lan, Side.Guest))
        {
            return Cause.Of(CauseCodes.GuestsApart, $"{world.Name(at.Owner)} keeps its guests apart.", at.Owner);
        }
        if (at.Side != Side.Wan || trail.Forwarded(at.Owner))
        {
            return null;
        }
        var on = router.Nat ? Known.Yes : world.HabitsOf(at.Owner).FirewallWithoutNat;
        var (drops, which) =
            onto.IsInner ? (on, "lets in while its NAT is off")
            : on == Known.Yes ? (Knowing.Not(world.HabitsOf(at.Owner).ForwardsOutside), "forwards from its WAN side to its WAN side")
            : (on, "forwards from its WAN side while its NAT is off");
        if (drops == Known.Unknown)
        {
            trail.Open.Add(
                Cause.Of(CauseCodes.NotForwarded, $"What the firewall of {world.Name(at.Owner)} {which} was not found out.", at.Owner)
            );
        }
        return drops != Known.Yes ? null
            : onto.IsInner
                ? Cause.Of(
                    CauseCodes.NotForwarded,
                    $"{world.Name(at.Owner)} lets in no connection that was not opened from inside.",
                    at.Owner
                )
            : Cause.Of(
                CauseCodes.NotForwarded,
                $"{world.Name(at.Owner)} forwards nothing that comes in by its WAN side and is to leave by it again.",
                at.Owner
            );
    }
}
