using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>UPnP of routers that are used as access points, by the installer's way of working.</summary>
internal static class UpnpMoves
{
    /// <summary>The home with it off at all of them where that is the way; null where it is, or the way leaves it.</summary>
    public static Design? Of(Design design, Func<IReadOnlyList<BoxRole>> roles, Ways ways) =>
        ways.Upnp == UpnpSchool.Off && Departing(design, roles(), ways).ToList() is { Count: > 0 } open
            ? open.Aggregate(new Draft(design), (d, box) => d.Do(new SetPortRequests(box, false))).Made
            : null;

    /// <summary>Routers that are used as access points and open ports on request, where the way of working wants it off.</summary>
    public static IEnumerable<string> Departing(Design design, IReadOnlyList<BoxRole> roles, Ways ways) =>
        ways.Upnp != UpnpSchool.Off
            ? []
            : roles
                .Where(r => r.Kind is RoleKind.LanToLan or RoleKind.Wds && design.Mode(r.Box) is RouterMode { PortRequests: true })
                .Select(r => r.Box);
}
