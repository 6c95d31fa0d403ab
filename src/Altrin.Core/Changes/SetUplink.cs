using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Sets members of the radio link by which a box joins another; a router that has none gets one, which needs all that a link has.
/// </summary>
public sealed record SetUplink(string Box, Partial<Uplink> Link) : Change
{
    /// <summary>What makes one link into another.</summary>
    public static SetUplink Between(string box, Uplink from, Uplink to) => new(box, Partial<Uplink>.Between(from, to));

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<BoxMode>(design, Box, "radio link of its own", mode => mode
                is not (RouterMode or RepeaterMode or WirelessBridgeMode)
                ? Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} joins no box by radio in its present mode.")
                : Edit.Onto(Link, mode.Joins)
                    .Then(Checked)
                    .Then<BoxMode>(link =>
                        (
                            PageChecks.WrongUplink(design.Box(Box)!, link)
                            ?? PageChecks.WrongSecurity(
                                Link,
                                [.. design.Box(Box)!.Profile.Radios.Where(r => r.Id == link.Radio)],
                                link.Security
                            )
                            ?? (design.Box(link.Box) is null ? $"There is no box '{Ipv4Address.Shown(link.Box)}'." : null)
                        )
                            is { } wrong
                            ? Parsed<BoxMode>.Fail(wrong)
                            : mode switch
                            {
                                RepeaterMode repeater => repeater with { Link = link },
                                WirelessBridgeMode bridge => bridge with { Link = link },
                                _ => (RouterMode)mode with { Uplink = link },
                            }
                    ));

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        (
            design.Mode(Box)?.Joins is { } there ? Link.On(there)
            : Link.Alone() is { Ok: true } made ? made.Value
            : null
        )
            is { } link
            ? $"{design.NameOf(Box)} joins \"{link.Name}\" of {design.NameOf(link.Box)}"
            : $"The radio link of {design.NameOf(Box)} is set";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design)
    {
        IEnumerable<string> parts = design.Mode(Box)?.Joins is null
            ? [""]
            : Link
                .Given.Concat(Link.Gives(nameof(Uplink.Security)) ? [nameof(Uplink.Password)] : [])
                .Concat(Link.Gives(nameof(Uplink.Frames)) ? [nameof(Uplink.Channel), nameof(Uplink.WidthMhz)] : []);
        return [.. parts.Distinct().Select(p => new Touch(Setting.Uplink, Box, p))];
    }

    /// <summary>What the page keeps of it: no key for an open network, and no channel of its own but for WDS.</summary>
    private static Parsed<Uplink> Checked(Uplink link) =>
        link with
        {
            Password = link.Security == WifiSecurity.Open ? null : link.Password,
            Channel = link.Frames == UplinkFrames.Wds ? link.Channel : null,
            WidthMhz = link.Frames == UplinkFrames.Wds ? link.WidthMhz : null,
        };
}
