using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What a box that is not in use would do to the network if it were plugged in as it lies there.</summary>
/// <param name="Box">Its id.</param>
/// <param name="Says">What to do first, in a sentence.</param>
public sealed record WakingBox(string Box, string Says)
{
    /// <summary>
    /// Every box that is not in use and wakes, or may wake, at an address that is taken or with its DHCP server on; in the order of the
    /// survey. Where it was not found out what it holds, it is reckoned with the settings of the factory (common practice).
    /// </summary>
    public static IReadOnlyList<WakingBox> Of(Design found) =>
        [
            .. found
                .Site.Boxes.Where(b => found.Mode(b.Id) is null)
                .Select(b => (Box: b, Says: Warning(found, b)))
                .Where(b => b.Says is not null)
                .Select(b => new WakingBox(b.Box.Id, b.Says!)),
        ];

    private static string? Warning(Design found, Box box)
    {
        var stored = box.Stored;
        var first = box.Profile.Modes is [var mode, ..] ? mode : (ModeKind?)null;
        // Of its last home only what was typed is known.
        var (routes, address, server) =
            stored.State == StoredState.LastHome
                ? (
                    stored.Mode is null ? first == ModeKind.Router : stored.Mode == ModeKind.Router,
                    stored.Address?.Address,
                    stored.DhcpServer
                )
                : (first == ModeKind.Router, box.FactoryAddress?.Address, stored.State == StoredState.Factory ? Known.Yes : Known.Unknown);
        var holder = address is { } own ? Holder(found, own) : null;
        var serves = routes && server != Known.No;
        if (holder is null && !serves)
        {
            return null;
        }
        var sure =
            stored.State == StoredState.Factory || (stored.State == StoredState.LastHome && (holder is not null || server == Known.Yes));
        List<string> ways = [];
        if (holder is not null)
        {
            ways.Add($"at {address}, which {found.NameOf(holder)} has");
        }
        if (serves)
        {
            // What is sure of the address need not be sure of the server.
            ways.Add(
                $"{(sure && server == Known.Unknown ? "perhaps " : "")}with its DHCP server on{(holder is null ? ", beside the one of the home" : "")}"
            );
        }
        return $"Do not plug it in yet: it {(sure ? "wakes" : "may wake")} {string.Join(", and ", ways)}. Set it at the laptop alone first.";
    }

    /// <summary>Who has an address in what was found, typed or as its own.</summary>
    private static string? Holder(Design found, Ipv4Address address) =>
        found
            .SetUp.Boxes.Where(b =>
                b.Mode is RouterMode router ? router.Lan.Address == address : PageAddress.Of(b.Mode)?.Address == address
            )
            .Select(b => b.Box)
            .Concat(found.SetUp.Devices.Where(d => d.Address is Fixed typed && typed.Address.Address == address).Select(d => d.Device))
            .Order(StringComparer.Ordinal)
            .FirstOrDefault();
}
