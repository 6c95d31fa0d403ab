using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What a box that is not in use would do to the network if it were plugged in as it lies there.</summary>
/// <param name="Box">Its id.</param>
/// <param name="Says">What to do first, in a sentence.</param>
public sealed record WakingBox(string Box, string Says)
{
    /// <summary>
    /// Every box that is not in use and may wake at an address that is taken, or with its DHCP server on; in the order of the survey.
    /// What such a box holds is as after a reset, or as in its last home: it is reckoned with the former (common practice).
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
        var serves = box.Profile.Modes is [ModeKind.Router, ..];
        var holder = box.FactoryAddress is { } own ? Holder(found, own.Address) : null;
        var wakes =
            holder is null ? "with its DHCP server on, beside the one of the home"
            : serves ? $"at {box.FactoryAddress!.Value.Address}, which {found.NameOf(holder)} has, and with its DHCP server on"
            : $"at {box.FactoryAddress!.Value.Address}, which {found.NameOf(holder)} has";
        return holder is null && !serves ? null : $"Do not plug it in yet: it may wake {wakes}. Set it at the laptop alone first.";
    }

    /// <summary>Who has an address in what was found, typed or as its own.</summary>
    private static string? Holder(Design found, Ipv4Address address) =>
        found
            .SetUp.Boxes.Where(b => b.Mode is RouterMode router ? router.Lan.Address == address : PageOf(b.Mode) == address)
            .Select(b => b.Box)
            .Concat(found.SetUp.Devices.Where(d => d.Address is Fixed typed && typed.Address.Address == address).Select(d => d.Device))
            .Order(StringComparer.Ordinal)
            .FirstOrDefault();

    private static Ipv4Address? PageOf(BoxMode mode) =>
        mode switch
        {
            AccessPointMode { Page: Fixed page } => page.Address.Address,
            RepeaterMode { Page: Fixed page } => page.Address.Address,
            WirelessBridgeMode { Page: Fixed page } => page.Address.Address,
            SwitchMode { Page: Fixed page } => page.Address.Address,
            BridgeMode { Page: { } page } => page.Address,
            _ => null,
        };
}
