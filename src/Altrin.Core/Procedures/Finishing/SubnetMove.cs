using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>
/// What is looked up while it still works, before the subnet of devices changes: what is known by its address, and who can log into what
/// has its address typed (common practice).
/// </summary>
public static class SubnetMove
{
    /// <summary>The items of a sheet; empty where no device changes its subnet.</summary>
    public static IReadOnlyList<CheckItem> Of(RunSheet sheet)
    {
        if (sheet.Steps.Count == 0)
        {
            return [];
        }
        var (before, after) = (State.Morning(sheet.Start.Design), sheet.Aim.Planned);
        var (was, will) = (SubnetsOf(before), SubnetsOf(after));
        var moved = was.Where(d => will.TryGetValue(d.Key, out var to) && !to.Contains(d.Value[0])).Select(d => d.Key).ToList();
        if (moved.Count == 0)
        {
            return [];
        }
        var design = before.Design;
        var old = moved.SelectMany(d => was[d]).Distinct().ToList();
        return
        [
            .. moved
                .GroupBy(d => (From: was[d][0], To: will[d][0]))
                .Select(
                    (g, i) =>
                        new CheckItem(
                            $"move-{i + 1}",
                            $"{g.Key.From} to {g.Key.To}",
                            $"{g.Count()} {(g.Count() == 1 ? "device changes its" : "devices change their")} subnet:",
                            [.. g.Select(design.NameOf)]
                        )
                ),
            .. CheckItem.OfEach(
                "move-typed",
                "Typed addresses",
                "Into each of these someone has to log in tonight. Where that cannot be done, the old subnet is kept: "
                    + "give the main router of the plan its address there, and note why.",
                moved.Where(d => Of(design, d)?.Address is Fixed).Select(d => Typed(design, after.Design, d))
            ),
            .. CheckItem.OfEach(
                "move-known",
                "Known by address",
                "What calls these by their address finds them no more, unless it is set anew:",
                moved.Select(d => Known(design, d)).OfType<string>()
            ),
            .. CheckItem.OfEach("move-rules", "Rules with an address", "These name an address that changes:", Rules(design, old)),
            .. CheckItem.OfEach("move-pages", "Pages", "The pages of these boxes move:", Pages(before, after)),
            new(
                "move-asked",
                "Asked of the household",
                "Is a VPN, remote access, a shared drive or a rule of a smart home set up with an address of this home? Who has its login?",
                []
            ),
        ];
    }

    private static DeviceSetting? Of(Design design, string device) => design.SetUp.Devices.FirstOrDefault(d => d.Device == device);

    /// <summary>The subnets in which each device is, its leading router's first.</summary>
    private static Dictionary<string, IReadOnlyList<Subnet>> SubnetsOf(State now) =>
        now.Seen()
            .Sheet.Segments.Where(s => s.Subnets.Count > 0 && s.Id != PortRef.Street)
            .SelectMany(s => s.Devices.Select(d => (Device: d, s.Subnets)))
            .DistinctBy(d => d.Device)
            .ToDictionary(d => d.Device, d => d.Subnets, StringComparer.Ordinal);

    private static string Typed(Design before, Design after, string device)
    {
        var has = ((Fixed)Of(before, device)!.Address).Address.Address;
        var gets = Of(after, device)?.Address switch
        {
            Fixed { Address.Address: var to } when to == has => "the plan leaves it so, and it will not be reached",
            Fixed { Address.Address: var to } => $"gets {to}",
            Automatic => "is set to automatic",
            _ => "is not in use any more",
        };
        return $"{before.NameOf(device)}: {has} typed, {gets}. Who can log into it?";
    }

    private static string? Known(Design design, string id) =>
        design.Device(id)!.Kind switch
        {
            DeviceKind.Printer => $"{design.NameOf(id)}: each computer that prints to it by its address",
            DeviceKind.Recorder => $"{design.NameOf(id)}: its cameras, and the application that shows them",
            DeviceKind.Storage => $"{design.NameOf(id)}: shares and backups of each computer",
            DeviceKind.Controller => $"{design.NameOf(id)}: its application, and what it switches",
            _ => null,
        };

    private static IEnumerable<string> Rules(Design design, List<Subnet> old)
    {
        foreach (var (box, router) in design.SetUp.Boxes.Where(b => b.Mode is RouterMode).Select(b => (b.Box, (RouterMode)b.Mode)))
        {
            foreach (var forward in router.Forwards.Where(f => old.Exists(s => s.Contains(f.To))))
            {
                yield return $"{design.NameOf(box)} forwards {ProtocolWords.Of(forward.Protocol)} {forward.OutsidePort} "
                    + $"to {forward.To}";
            }
            if (router.Dmz is { } dmz && old.Exists(s => s.Contains(dmz)))
            {
                yield return $"{design.NameOf(box)} sends everything unclaimed to {dmz} (DMZ)";
            }
            foreach (var kept in router.Server.Reservations.Where(r => old.Exists(s => s.Contains(r.Address))))
            {
                var whose = design.Site.Devices.FirstOrDefault(d => d.Mac == kept.Mac)?.Name ?? $"{kept.Mac}";
                yield return $"{design.NameOf(box)} reserves {kept.Address} for {whose}";
            }
            foreach (var route in router.Routes.Where(r => old.Exists(s => s.Contains(r.Via) || s.Overlaps(r.To))))
            {
                yield return $"{design.NameOf(box)} has a static route to {route.To} by {route.Via}";
            }
        }
    }

    private static IEnumerable<string> Pages(State before, State after)
    {
        var will = Certain(after);
        foreach (var (box, address) in Certain(before).Where(p => !PageAt.HasNone(before.Design.Box(p.Key)!.Profile)))
        {
            if (will.TryGetValue(box, out var to) && to != address)
            {
                yield return $"{before.Design.NameOf(box)}: from {address} to {to}";
            }
        }
    }

    private static Dictionary<string, Ipv4Address> Certain(State now) =>
        now.Seen()
            .Sheet.Addresses.Where(a => a is { Side: Side.Lan or Side.Page, Address: not null, From: null })
            .DistinctBy(a => a.Owner)
            .ToDictionary(a => a.Owner, a => a.Address!.Value, StringComparer.Ordinal);
}
