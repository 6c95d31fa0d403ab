using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What boxes become, in the trade's words.</summary>
public static class RoleWords
{
    /// <summary>What a box is, such as "access point (LAN to LAN, DHCP off)".</summary>
    public static string Of(RoleKind kind) =>
        kind switch
        {
            RoleKind.Unused => "not in use",
            RoleKind.Router => "router",
            RoleKind.Cascade => "router behind a router (cascade)",
            RoleKind.Passing => "router that passes on what comes from outside",
            RoleKind.Bridge => "bridge mode",
            RoleKind.AccessPoint => "access-point mode",
            RoleKind.LanToLan => "access point (LAN to LAN, DHCP off)",
            RoleKind.Repeater => "repeater",
            RoleKind.Wds => "access point joined by WDS (DHCP off)",
            RoleKind.WirelessBridge => "wireless bridge",
            RoleKind.Satellite => "mesh satellite",
            RoleKind.Switch => "switch",
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };

    /// <summary>A box with what it is, behind which one and where, such as "access-point mode behind Hall gateway by radio, in Study".</summary>
    public static string Of(Design design, BoxRole role)
    {
        var kind =
            role.Kind == RoleKind.Passing && design.Mode(role.Box) is RouterMode mode
                ? mode.Passing?.Kind switch
                {
                    PassKind.Mapping => "router with public-address mapping",
                    null => "router with a DMZ host",
                    _ => "router with IP pass-through",
                }
            : role.Kind == RoleKind.Cascade && role.Behind is not null ? "router (cascade)"
            : role.Kind == RoleKind.Switch ? KindWords(design.Box(role.Box)!.Profile.Kind)
            : Of(role.Kind);
        var behind = role.Behind is null or PortRef.Street
            ? ""
            : $" behind {design.NameOf(role.Behind)}{(role.ByRadio ? " by radio" : "")}";
        var place = design.Site.Place(role.Place) is { } stands ? $", {stands.Name}" : "";
        return $"{kind}{behind}{place}";
    }

    private static string KindWords(BoxKind kind) =>
        kind switch
        {
            BoxKind.Powerline => "powerline unit",
            BoxKind.Coax => "coax unit",
            BoxKind.Injector => "injector",
            _ => Of(RoleKind.Switch),
        };
}
