using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Sets what a box is. What the new mode still has is kept (radios, where both have them); the rest takes the factory values.
/// A box that was on the shelf comes into use by it.
/// </summary>
public sealed record SetMode(string Box, ModeKind Mode) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design)
    {
        if (design.Box(Box) is not { } box)
        {
            return Parsed<SetUp>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.");
        }
        if (!box.Profile.Modes.Contains(Mode))
        {
            return Parsed<SetUp>.Fail(
                $"The {box.Name} cannot be set to {ModeWords.Of(Mode)}; it can be {string.Join(" or ", box.Profile.Modes.Select(ModeWords.Of))}."
            );
        }
        var old = design.Mode(Box);
        return old?.Kind == Mode ? design.SetUp : Edit.WithMode(design.SetUp, Box, Factory.Mode(design, box, Mode, old));
    }

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} becomes {ModeWords.WithArticle(Mode)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        design.Mode(Box) is { } old
            ? [new(Setting.Mode, Box), .. ModeSettings.Of(old.Kind).Union(ModeSettings.Of(Mode)).Select(s => new Touch(s, Box))]
            : [new(Setting.InUse, Box)];
}

/// <summary>Leaves a box or device out of the set-up: its cables are pulled, its settings are gone. It stays in the survey.</summary>
public sealed record PutAway(string Id) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        design.Box(Id) is null && design.Device(Id) is null
            ? Parsed<SetUp>.Fail($"There is no box or device '{Ipv4Address.Shown(Id)}'.")
            : design.SetUp with
            {
                Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != Id)],
                Devices = [.. design.SetUp.Devices.Where(d => d.Device != Id)],
                Cables = [.. design.SetUp.Cables.Where(c => c.A.Owner != Id && c.B.Owner != Id)],
            };

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.Box(Id) is null ? $"{design.NameOf(Id)} is left out" : $"{design.NameOf(Id)} goes on the shelf";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Id];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [new(Setting.InUse, Id), .. design.SetUp.Cables.Where(c => c.Ends(Id)).Select(c => new Touch(Setting.Plugged, c.Id))];
}

/// <summary>
/// Gives a router another own address on its LAN side. Pool and reservations move with it, as boxes do (common practice).
/// </summary>
public sealed record SetLanAddress(string Box, InterfaceAddress Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "LAN address of its own", router =>
            Edit.Unless<BoxMode>(
                PageChecks.WrongOwnAddress(Address) ?? (router.Guest is { } guest ? PageChecks.WrongGuest(guest, Address) : null),
                router with
                {
                    Lan = Address,
                    Server = Factory.Moved(router.Server, router.Lan, Address),
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} gets {Address}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [new(Setting.LanAddress, Box), new(Setting.PoolFirst, Box), new(Setting.PoolLast, Box), new(Setting.Reservation, Box)];
}

/// <summary>
/// Sets how the page of an access point or a managed switch comes by its address. A bridging gateway's page is fixed or not there.
/// </summary>
public sealed record SetPageAddress(string Box, HostAddress Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<BoxMode>(design, Box, "page address of its own", mode => PageChecks.WrongHostAddress(Address) is { } wrong
                ? Parsed<BoxMode>.Fail(wrong)
                : mode switch
                {
                    AccessPointMode point => point with { Page = Address },
                    RepeaterMode repeater => repeater with { Page = Address },
                    WirelessBridgeMode bridge => bridge with { Page = Address },
                    SwitchMode { Page: not null } managed => managed with { Page = Address },
                    BridgeMode gateway => gateway with { Page = (Address as Fixed)?.Address },
                    _ => Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} has no page address to set in its present mode."),
                });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.Mode(Box) is BridgeMode && Address is Automatic
            ? $"{design.NameOf(Box)} has no page of its own"
            : $"{design.NameOf(Box)} {AddressWords.Gets(Address)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.PageAddress, Box)];
}

/// <summary>Sets how a router's WAN side comes by its address.</summary>
public sealed record SetWan(string Box, HostAddress Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "WAN side", router =>
            Edit.Unless<BoxMode>(PageChecks.WrongHostAddress(Address), router with { Wan = Address })
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"The WAN side of {design.NameOf(Box)} {AddressWords.Gets(Address)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Wan, Box)];
}
