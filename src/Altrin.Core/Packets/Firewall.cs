using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>
/// What a router drops: connections from outside that were not asked for, and everything between its guests and the others.
/// </summary>
internal sealed class Firewall(World world, Trail trail)
{
    /// <summary>Why a packet that came in by one side does not go out by another; null where it does.</summary>
    public Cause? Bars(Interface at, Interface onto, RouterMode router) =>
        at.Side == Side.Wan && onto.IsInner && router.Nat && !trail.Forwarded(at.Owner)
            ? Cause.Of(CauseCodes.NotForwarded, $"{world.Name(at.Owner)} lets in no connection that was not opened from inside.", at.Owner)
        : (at.Side, onto.Side) is (Side.Guest, Side.Lan) or (Side.Lan, Side.Guest)
            ? Cause.Of(CauseCodes.GuestsApart, $"{world.Name(at.Owner)} keeps its guests apart.", at.Owner)
        : null;
}
