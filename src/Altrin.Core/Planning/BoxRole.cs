using Altrin.Core.Facts;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What a box is in a set-up.</summary>
public enum RoleKind
{
    /// <summary>Not in use.</summary>
    Unused,

    /// <summary>It routes, next to the internet line or to a box that does not.</summary>
    Router,

    /// <summary>It routes behind another router (cascade).</summary>
    Cascade,

    /// <summary>It routes and passes its public address on, or sends all that comes to one host (DMZ).</summary>
    Passing,

    /// <summary>It stops routing: the next box gets the public address.</summary>
    Bridge,

    /// <summary>Access-point mode.</summary>
    AccessPoint,

    /// <summary>A router as an access point (LAN to LAN, DHCP off).</summary>
    LanToLan,

    /// <summary>Repeater.</summary>
    Repeater,

    /// <summary>A router as an access point that is joined by WDS (DHCP off).</summary>
    Wds,

    /// <summary>Wireless bridge.</summary>
    WirelessBridge,

    /// <summary>A node of a mesh kit.</summary>
    Satellite,

    /// <summary>A switch, or half of a pair over the mains or television cable.</summary>
    Switch,
}

/// <summary>What a box is in a set-up, and behind which one it hangs.</summary>
/// <param name="Box">The box.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Behind">
/// The next box towards the internet line that is more than a switch or a pair; "street" at the line, null where it hangs at nothing.
/// </param>
/// <param name="ByRadio">Whether it joins that by radio.</param>
/// <param name="Place">Where it stands; null where not noted, or not in use.</param>
public sealed record BoxRole(string Box, RoleKind Kind, string? Behind, bool ByRadio, string? Place)
{
    /// <summary>Every box of a home, by id.</summary>
    public static IReadOnlyList<BoxRole> Of(Observation seen)
    {
        var design = seen.Network.Design;
        var uplinks = seen.Sheet.Uplinks.ToLookup(u => u.Owner, StringComparer.Ordinal);
        return
        [
            .. design
                .Site.Boxes.OrderBy(b => b.Id, StringComparer.Ordinal)
                .Select(b =>
                    design.Setting(b.Id) is not { } setting
                        ? new BoxRole(b.Id, RoleKind.Unused, null, false, null)
                        : new(b.Id, KindOf(seen, setting), NextTo(design, uplinks, b.Id), JoinsByRadio(setting.Mode), setting.Place)
                ),
        ];
    }

    /// <summary>The box behind which something hangs, switches and pairs passed over.</summary>
    public static string? NextTo(Design design, ILookup<string, UplinkFact> uplinks, string owner)
    {
        var at = uplinks[owner].FirstOrDefault()?.To;
        for (var steps = 0; at is not null && design.Mode(at) is SwitchMode && steps < Site.MostBoxes; steps++)
        {
            at = uplinks[at].FirstOrDefault()?.To;
        }
        return at;
    }

    /// <summary>Whether a box in this mode joins another by radio.</summary>
    internal static bool JoinsByRadio(BoxMode mode) => mode.Joins is not null || mode is SatelliteMode { By: not null };

    private static RoleKind KindOf(Observation seen, BoxSetting setting) =>
        setting.Mode switch
        {
            RouterMode { Passing: not null } or RouterMode { Dmz: not null } => RoleKind.Passing,
            RouterMode { Uplink.Frames: UplinkFrames.Wds } => RoleKind.Wds,
            RouterMode router => !router.Server.On && IsUnlinked(seen, setting.Box) ? RoleKind.LanToLan
            : seen.Sheet.Nats.Any(n => n.Router == setting.Box) && IsBehindRouter(seen, setting.Box) ? RoleKind.Cascade
            : RoleKind.Router,
            BridgeMode => RoleKind.Bridge,
            AccessPointMode => RoleKind.AccessPoint,
            RepeaterMode => RoleKind.Repeater,
            WirelessBridgeMode => RoleKind.WirelessBridge,
            SatelliteMode => RoleKind.Satellite,
            _ => RoleKind.Switch,
        };

    private static bool IsUnlinked(Observation seen, string box) => seen.Network.Find(box, Networks.Side.Wan) is not { Linked: true };

    private static bool IsBehindRouter(Observation seen, string box) =>
        seen.Network.Find(box, Networks.Side.Wan) is { Linked: true } wan && !seen.Network.Segment(wan.Segment).HasStreet;
}
