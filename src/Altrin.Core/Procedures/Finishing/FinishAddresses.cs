using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>Who hands out addresses, and where the pages of the boxes are.</summary>
internal static class FinishAddresses
{
    /// <summary>The items of a plan.</summary>
    public static IEnumerable<CheckItem> Of(State planned)
    {
        var (design, sheet) = (planned.Design, planned.Seen().Sheet);
        var segments = sheet.Segments.Where(s => s.Id != PortRef.Street && s.Servers.Count > 0).ToList();
        return
        [
            .. CheckItem.OfEach(
                "dhcp",
                "DHCP",
                "By cable DHCP offers are counted once in each network:",
                segments
                    .Where(s => GuestId.BoxOf(s.Id) is null)
                    .Select(s =>
                        $"in {string.Join(" and ", s.Subnets)} only {string.Join(" and ", s.Servers.Select(design.NameOf))} offers"
                    )
            ),
            .. CheckItem.OfEach(
                "dhcp-guests",
                "DHCP for guests",
                "One join with a made-up MAC address, three rounds of discover, never a request:",
                segments
                    .Where(s => GuestId.BoxOf(s.Id) is not null)
                    .Select(s => $"in {design.NameOf(s.Id)} only {string.Join(" and ", s.Servers.Select(design.NameOf))} offers")
            ),
            .. CheckItem.OfEach(
                "dhcp-alone",
                "No second DHCP server",
                "With its cable or link to the rest away, the laptop in a port of each box that could run one ends at an address of "
                    + "169.254.0.0/16 within 90 seconds:",
                design.SetUp.Boxes.Where(b => CouldServe(design, b)).Select(b => Alone(design, b.Box))
            ),
            .. segments.Count == 0
                ? []
                : new[]
                {
                    new CheckItem(
                        "conflicts",
                        "Address conflicts",
                        "No address is there twice, in the list of leases and in the laptop's address table.",
                        []
                    ),
                },
            .. CheckItem.OfEach(
                "pages",
                "Pages",
                "The page of each box opens at its address, asked where the box now stands:",
                design.SetUp.Boxes.Select(b => Page(planned, b.Box)).OfType<string>()
            ),
        ];
    }

    /// <summary>Whether a box that hands out no addresses in the plan has a DHCP server in it.</summary>
    private static bool CouldServe(Design design, BoxSetting box) =>
        design.Box(box.Box) is { } kind
        && box.Mode is not RouterMode { Server.On: true }
        && box.Mode is not BridgeMode
        && kind.Profile.Modes.Contains(ModeKind.Router);

    private static string Alone(Design design, string box) =>
        design.Box(box)!.Profile.Habits.ServesWhenAlone switch
        {
            Known.Yes when design.Mode(box) is AccessPointMode =>
                $"{design.NameOf(box)}: its server comes on while it is alone, and has to be silent once the cable is back",
            Known.Unknown when design.Mode(box) is AccessPointMode =>
                $"{design.NameOf(box)}: whether its server comes on while it is alone is not known of its kind",
            _ => design.NameOf(box),
        };

    private static string? Page(State planned, string box)
    {
        var (design, sheet) = (planned.Design, planned.Seen().Sheet);
        if (PageAt.HasNone(design.Box(box)!.Profile))
        {
            return null;
        }
        var fact = sheet.Addresses.FirstOrDefault(a => a.Owner == box && a.Side is (Side.Lan or Side.Page));
        return (fact?.Address, fact?.From) switch
        {
            (_, { } pool) => $"{design.NameOf(box)}: an address of {pool}, found by its MAC address",
            ({ } address, _) => $"{design.NameOf(box)}: {address}",
            _ when design.Mode(box) is BridgeMode { Page: { } page } => $"{design.NameOf(box)}: {page.Address}, from a port of its own",
            _ => null,
        };
    }
}
