using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

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
