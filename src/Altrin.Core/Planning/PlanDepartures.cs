using Altrin.Core.Findings;
using Altrin.Core.Planning.Moves;
using Altrin.Core.Procedures;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Where a set-up departs from the installer's own way of working.</summary>
internal static class PlanDepartures
{
    /// <summary>Each departure as a sentence; none where it goes the installer's way, or the way says nothing of it.</summary>
    /// <param name="task">What was asked for.</param>
    /// <param name="e">What is proven of the set-up.</param>
    /// <param name="roles">What each box is.</param>
    /// <param name="touched">Customer's devices that have to be touched.</param>
    public static IEnumerable<string> Of(PlanTask task, Evidence e, IReadOnlyList<BoxRole> roles, int touched)
    {
        var (design, ways) = (e.Design, task.Ways);
        var line = GatewayMoves.LineBox(design)?.Id;
        if (!ways.TouchesDevices && touched > 0)
        {
            yield return $"{touched} of the customer's devices {(touched == 1 ? "is" : "are")} touched, which they should not be.";
        }
        if (line is not null)
        {
            if (
                !ways.TouchesGateway
                && design.Setting(line)?.Mode is { } mode
                && (task.Found.Mode(line) is not { } was || !SetUpKey.Alike(mode, was))
            )
            {
                yield return $"{design.NameOf(line)} is changed, which the gateway should not be.";
            }
            if (ways.Gateway != GatewaySchool.Any && OfGateway(design, roles, line) is var way && way != ways.Gateway)
            {
                yield return $"{design.NameOf(line)}: {SchoolWords.Of(way)}; your way: {SchoolWords.Of(ways.Gateway)}.";
            }
        }
        foreach (var role in roles.Where(r => r.Box != line && ways.Further != FurtherSchool.Any && IsRouter(design, r.Box)))
        {
            if (OfFurther(role.Kind) is { } way && way != ways.Further)
            {
                yield return $"{design.NameOf(role.Box)}: {SchoolWords.Of(way)}; your way: {SchoolWords.Of(ways.Further)}.";
            }
        }
        foreach (var (what, way) in Backhauls(task.Found, design).Where(b => IsAgainst(ways.Backhaul, b.Way)))
        {
            yield return $"{what}: {SchoolWords.Of(way)}; your way: {SchoolWords.Of(ways.Backhaul)}.";
        }
        foreach (var (box, server) in DnsMoves.Departing(design, ways))
        {
            var handed =
                server.LeavesOutDns ? "no DNS server"
                : server.DnsServers.Count == 0 ? "itself"
                : string.Join(" and ", server.DnsServers);
            yield return $"{design.NameOf(box)} hands out {handed} for DNS; your way: {SchoolWords.Of(ways.Dns)}.";
        }
        foreach (var name in Shared(design, ways.Names))
        {
            yield return $"{name}; your way: {SchoolWords.Of(ways.Names)}.";
        }
        foreach (var box in UpnpMoves.Departing(design, roles, ways))
        {
            yield return $"{design.NameOf(box)} opens ports on request (UPnP); your way: it {SchoolWords.Of(ways.Upnp)}.";
        }
        foreach (var said in roles.Where(r => r.Box != line).Select(r => OfAddress(e, ways.Address, r)).OfType<string>())
        {
            yield return said;
        }
    }

    private static bool IsRouter(Design design, string box) => design.Box(box)!.Profile is { Kind: BoxKind.Router or BoxKind.Gateway };

    /// <summary>Which way the box at the internet line goes.</summary>
    public static GatewaySchool OfGateway(Design design, IReadOnlyList<BoxRole> roles, string line) =>
        design.Mode(line) switch
        {
            BridgeMode => GatewaySchool.Bridge,
            RouterMode { Passing.Kind: PassKind.Mapping } => GatewaySchool.Mapping,
            RouterMode { Passing: not null } => GatewaySchool.PassThrough,
            RouterMode { Dmz: not null } => GatewaySchool.Dmz,
            _ => roles.Any(r => r.Kind == RoleKind.Cascade && r.Behind == line) ? GatewaySchool.RouterBehind : GatewaySchool.StaysRouter,
        };

    private static FurtherSchool? OfFurther(RoleKind kind) =>
        kind switch
        {
            RoleKind.LanToLan => FurtherSchool.LanToLan,
            RoleKind.AccessPoint => FurtherSchool.AccessPointMode,
            RoleKind.Cascade => FurtherSchool.Cascade,
            _ => null,
        };

    private static bool IsAgainst(BackhaulSchool school, BackhaulSchool way) => school != BackhaulSchool.Any && way != school;

    /// <summary>By what rooms are connected that were not before.</summary>
    private static IEnumerable<(string What, BackhaulSchool Way)> Backhauls(Design found, Design design)
    {
        foreach (var box in design.SetUp.Boxes.Where(b => BoxRole.JoinsByRadio(b.Mode) && !JoinedBefore(found, b)))
        {
            yield return (design.NameOf(box.Box), BackhaulSchool.Radio);
        }
        foreach (
            var cable in design.SetUp.Cables.Where(c =>
                c.Medium is Medium.Powerline or Medium.Coax && found.SetUp.Cables.All(f => f.Id != c.Id)
            )
        )
        {
            yield return ($"{design.NameOf(cable.A.Owner)} and {design.NameOf(cable.B.Owner)}", BackhaulSchool.Powerline);
        }
        foreach (var metres in WiresLaid.Of(found, design))
        {
            yield return (metres is { } known ? $"{known:0} m between rooms" : "Between rooms", BackhaulSchool.Cable);
        }
    }

    /// <summary>Names of several boxes, or bands, where each should have its own; the nodes of a kit are one box.</summary>
    private static IEnumerable<string> Shared(Design design, NamesSchool school) =>
        school is not (NamesSchool.OnePerBox or NamesSchool.OnePerBand)
            ? []
            : Air.Of(design)
                .Where(a => !a.Guest && !a.Further && a.SetAt.Box == a.Box)
                .GroupBy(
                    a => a.Setting.Name,
                    a => school == NamesSchool.OnePerBox ? design.NameOf(a.Box) : BandWords.Of(a.Radio.Band),
                    StringComparer.Ordinal
                )
                .Select(g => (g.Key, By: g.Distinct().Order(StringComparer.Ordinal).ToList()))
                .Where(g => g.By.Count > 1)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => $"\"{g.Key}\" is sent {(school == NamesSchool.OnePerBox ? "by" : "at")} {string.Join(" and ", g.By)}");

    private static bool JoinedBefore(Design found, BoxSetting box) =>
        found.Mode(box.Box) is { } before && before.Kind == box.Mode.Kind && BoxRole.JoinsByRadio(before);

    private static string? OfAddress(Evidence e, AddressSchool school, BoxRole role)
    {
        if (
            school == AddressSchool.Any
            || ManagementPages.Of(e, role.Box) is not var (segment, page)
            || e.PlanOf(segment) is not { } main
            || main.MainRouter == role.Box
        )
        {
            return null;
        }
        var name = e.Name(role.Box);
        var typed = (page.Setting as Fixed)?.Address.Address;
        var kept = e.Network.Router(main.MainRouter)!.Server.Reservations.Any(r => r.Mac == page.Mac);
        return (school, typed, main.Plan.Pool) switch
        {
            (AddressSchool.Reserved, null, _) when page.Mac is not null && !kept =>
                $"{name} leases an address that is not reserved; your way: leased and reserved.",
            // A box that is a router by its mode cannot lease the address of its page.
            (AddressSchool.Reserved, { } at, _)
                when role.Kind is not (RoleKind.LanToLan or RoleKind.Wds) && !main.Plan.Reserved.Contains(at) =>
                $"{name} has {at} typed in; your way: leased and reserved.",
            (AddressSchool.Low, { } at, { } pool) when at > pool.First => $"{name} has {at}; your way: below the pool.",
            (AddressSchool.High, { } at, { } pool) when at < pool.Last => $"{name} has {at}; your way: above the pool.",
            (AddressSchool.Low or AddressSchool.High, null, _) => $"{name} leases its address; your way: typed in.",
            _ => null,
        };
    }
}
