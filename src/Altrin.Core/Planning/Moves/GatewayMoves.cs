using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>What the provider's box becomes, and which box routes behind it.</summary>
internal static class GatewayMoves
{
    /// <summary>Each way that the box at the internet line can go, with each router of the home behind it.</summary>
    public static IEnumerable<Design> Of(Evidence e, HomeName? name)
    {
        var design = e.Design;
        if (LineBox(design) is not { } gateway || design.Mode(gateway.Id) is null)
        {
            yield break;
        }
        foreach (var (router, place) in Routers(design, gateway).SelectMany(r => Places(design, gateway, r).Select(p => (r, p))))
        {
            if (
                gateway.Profile.Modes.Contains(ModeKind.Bridge)
                && Behind(design, gateway, router, place, name, bridged: true) is { } bridged
            )
            {
                yield return bridged;
            }
            if (
                !gateway.Profile.Modes.Contains(ModeKind.Router)
                || Behind(design, gateway, router, place, name, bridged: false) is not { } behind
            )
            {
                continue;
            }
            yield return behind;
            foreach (var passing in gateway.Profile.Passes)
            {
                if (Passed(behind, gateway, router, passing) is { } passed)
                {
                    yield return passed;
                }
            }
            if (gateway.Profile.Traits.TakesDmz == Known.Yes && Dmz(behind, gateway, router) is { } dmz)
            {
                yield return dmz;
            }
        }
        if (design.Mode(gateway.Id) is not RouterMode && gateway.Profile.Modes.Contains(ModeKind.Router))
        {
            if (new Draft(design).Do(new SetMode(gateway.Id, ModeKind.Router)).Name(gateway.Id, name).Made is { } routes)
            {
                yield return routes;
            }
        }
    }

    /// <summary>The box at the internet line: the one in whose port it is, else the one at which the provider hands over.</summary>
    public static Box? LineBox(Design design) =>
        design
            .SetUp.Cables.Where(c => c.Ends(PortRef.Street))
            .Select(c => design.Box(c.A.Owner == PortRef.Street ? c.B.Owner : c.A.Owner))
            .FirstOrDefault(b => b is not null)
        ?? design.Site.Boxes.FirstOrDefault(b => b.Id == design.Site.Service.HandOff);

    /// <summary>Boxes that can be the router behind it, those in use first; of alike ones the first.</summary>
    private static IEnumerable<Box> Routers(Design design, Box gateway) =>
        Supply.Kinds(
            design
                .Site.Boxes.Where(b =>
                    b.Id != gateway.Id
                    && b.Profile.Modes.Contains(ModeKind.Router)
                    && Wan(b) is not null
                    && b.Profile.Ports.Any(p => p.Role == PortRole.Lan)
                    && design.Mode(b.Id) is null or RouterMode or AccessPointMode
                )
                .OrderBy(b => design.Mode(b.Id) is null)
                .ThenBy(b => b.Id, StringComparer.Ordinal)
        );

    /// <summary>Where a router may stand behind the gateway: where it is, and beside it.</summary>
    private static IEnumerable<string?> Places(Design design, Box gateway, Box router)
    {
        var beside = design.Setting(gateway.Id)?.Place;
        return new[] { design.Setting(router.Id)?.Place ?? beside ?? router.Place, beside }
            .Where((p, i) => i == 0 || p is not null)
            .Distinct();
    }

    private static PortRef? Wan(Box box) =>
        box
            .Profile.Ports.Where(p => p.Role == PortRole.Wan && p.Kind is PortKind.Unknown or PortKind.Copper)
            .Select(p => (PortRef?)new PortRef(box.Id, p.Id))
            .FirstOrDefault();

    /// <summary>
    /// The router with its WAN port in a port of the gateway, which stops routing or goes on. What was in the ports of a gateway that stops
    /// goes to the router's; the gateway's own Wi-Fi goes off where the router sends.
    /// </summary>
    private static Design? Behind(Design design, Box gateway, Box router, string? place, HomeName? name, bool bridged)
    {
        var wan = Wan(router)!.Value;
        var draft = new Draft(design);
        // What leads to the router today leads to it still, in the port for it.
        var today = design.SetUp.Cables.FirstOrDefault(c => c.Ends(router.Id) && c.Ends(gateway.Id));
        if (today is not null)
        {
            draft.Do(new Unpatch(today.Id));
        }
        var hang = design
            .SetUp.Cables.Where(c => bridged && c != today && c.Ends(gateway.Id) && !c.Ends(PortRef.Street))
            .OrderBy(c => c.Id, StringComparer.Ordinal)
            .ToList();
        draft.Do(hang.Select(c => new Unpatch(c.Id)));
        if (bridged)
        {
            draft.Do(new SetMode(gateway.Id, ModeKind.Bridge));
        }
        draft.Do(new SetMode(router.Id, ModeKind.Router)).Do(new PlaceBox(router.Id, place));
        draft.Set(router.Id, m => m is RouterMode own ? own with { Server = own.Server with { On = true }, Wan = new Automatic() } : m);
        // A cable in the walls stays where it leads.
        var known = (design.Setting(router.Id)?.Place == place ? today?.Known : null)
            ?? Supply.Ways(draft.Design, draft.Design.Setting(gateway.Id)?.Place, place).FirstOrDefault()
            ?? CableFacts.NotLookedAt;
        if (
            gateway
                .Profile.Ports.Where(p => p.Role == PortRole.Lan && p.Kind is PortKind.Unknown or PortKind.Copper)
                .Select(p => (PortRef?)new PortRef(gateway.Id, p.Id))
                .FirstOrDefault(p => draft.Design.CableAt(p!.Value) is null)
            is not { } port
        )
        {
            return null;
        }
        draft.Do(new Patch(port, wan, known));
        foreach (var cable in hang)
        {
            if (InnerPorts.Free(draft.Design, router.Id) is not { } free)
            {
                return null;
            }
            draft = draft.From(free.Design);
            draft.Do(new Patch(free.Port, cable.A.Owner == gateway.Id ? cable.B : cable.A, cable.Known));
        }
        if (router.Profile.Radios.Count > 0)
        {
            draft.Set(gateway.Id, m => m.WithRadios([.. m.Radios.Select(r => r with { On = false })])).Name(router.Id, name);
        }
        return draft.Made;
    }

    private static Design? Passed(Design behind, Box gateway, Box router, PassKind kind)
    {
        var cable = behind.SetUp.Cables.First(c => c.Ends(gateway.Id) && c.Ends(router.Id));
        var port = cable.A.Owner == gateway.Id ? cable.A.Port : cable.B.Port;
        return kind != PassKind.Port && router.WanMac is null
            ? null
            : new Draft(behind).Do(new SetPassing(gateway.Id, new(kind, port, router.WanMac))).Made;
    }

    /// <summary>The gateway sends the router whatever comes from outside, at an address that stays.</summary>
    private static Design? Dmz(Design behind, Box gateway, Box router)
    {
        if (behind.Mode(gateway.Id) is not RouterMode mode)
        {
            return null;
        }
        var kept = mode.Server.Reservations.Select(r => r.Address).Append(mode.Lan.Address).ToHashSet();
        var free = new AddressPlan(mode.Lan.Subnet, mode.Server.Pool, kept, new HashSet<Ipv4Address>()).FirstFree()
            ?? mode.Server.Pool.FirstFree(kept);
        return free is not { } address || router.WanMac is not { } mac
            ? null
            : new Draft(behind).Do(new Reserve(gateway.Id, mac, address)).Do(new SetDmz(gateway.Id, address)).Made;
    }
}
