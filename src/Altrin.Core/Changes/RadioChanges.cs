using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets members of one radio of a box.</summary>
public sealed record SetRadio(string Box, string Radio, Partial<RadioSetting> Setting) : Change
{
    private static readonly Dictionary<string, Setting> Settings = new(StringComparer.Ordinal)
    {
        [nameof(RadioSetting.On)] = Changes.Setting.RadioOn,
        [nameof(RadioSetting.Name)] = Changes.Setting.WifiName,
        [nameof(RadioSetting.Security)] = Changes.Setting.WifiSecurity,
        [nameof(RadioSetting.Password)] = Changes.Setting.WifiPassword,
        [nameof(RadioSetting.Channel)] = Changes.Setting.Channel,
        [nameof(RadioSetting.WidthMhz)] = Changes.Setting.ChannelWidth,
        [nameof(RadioSetting.Hidden)] = Changes.Setting.HiddenName,
        [nameof(RadioSetting.ProtectsFrames)] = Changes.Setting.FrameProtection,
        [nameof(RadioSetting.WdsPeers)] = Changes.Setting.WdsPeers,
    };

    /// <summary>What makes one setting of a radio into another.</summary>
    public static SetRadio Between(string box, RadioSetting from, RadioSetting to) =>
        new(box, from.Radio, Partial<RadioSetting>.Between(from, to));

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<BoxMode>(design, Box, "radio", mode =>
        {
            if (mode.Radios.FirstOrDefault(r => r.Radio == Radio) is not { } there)
            {
                return Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} has no radio '{Ipv4Address.Shown(Radio)}' in its present mode.");
            }
            var set = Setting.On(there);
            var band = design.Box(Box)!.Profile.Radios.FirstOrDefault(r => r.Id == Radio)?.Band ?? default;
            if (
                (
                    PageChecks.WrongNetworkName(set.Name)
                    ?? PageChecks.WrongKeyReference(set.Password)
                    ?? PageChecks.WrongChannel(band, set.Channel, set.WidthMhz)
                    ?? PageChecks.WrongPeers(design, set.WdsPeers)
                ) is
                { } wrong
            )
            {
                return Parsed<BoxMode>.Fail(wrong);
            }
            set = set.Security == WifiSecurity.Open ? set with { Password = null } : set;
            return mode.WithRadios([.. mode.Radios.Select(r => r.Radio == Radio ? set : r)]);
        });

    /// <inheritdoc/>
    public override string Describe(Design design)
    {
        if (design.Mode(Box)?.Radios.FirstOrDefault(r => r.Radio == Radio) is not { } there)
        {
            return $"A radio of {design.NameOf(Box)} is set";
        }
        var set = Setting.On(there);
        return set.On ? $"{design.NameOf(Box)} sends \"{set.Name}\"" : $"A radio of {design.NameOf(Box)} goes off";
    }

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [
            .. Setting.Given.Select(m => new Touch(Settings[m], Box, Radio)),
            // An open network has no password.
            .. Setting.Gives(nameof(RadioSetting.Security)) ? [new Touch(Changes.Setting.WifiPassword, Box, Radio)] : (Touch[])[],
        ];
}

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

/// <summary>Takes the radio link of a router away.</summary>
public sealed record RemoveUplink(string Box) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<BoxMode>(design, Box, "radio link of its own", mode => mode switch
            {
                RouterMode { Uplink: not null } router => router with { Uplink = null },
                { Joins: not null } => Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} lives by its radio link; set another mode."),
                _ => Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} joins no box by radio."),
            });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} joins no box by radio";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Uplink, Box)];
}

/// <summary>
/// Sets which main node manages a satellite, or by which node it joins for want of a cable. One that names itself has no main node yet, as
/// after a reset.
/// </summary>
public sealed record SetSatellite(string Box, Partial<SatelliteMode> Node) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<SatelliteMode>(design, Box, "main node", satellite =>
        {
            var set = Node.On(satellite);
            return Edit.Unless<BoxMode>(
                new[] { set.Main, set.By }.OfType<string>().FirstOrDefault(id => design.Box(id) is null) is { } stranger
                    ? $"There is no box '{Ipv4Address.Shown(stranger)}'."
                    : null,
                set
            );
        });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.Mode(Box) is not SatelliteMode satellite ? $"{design.NameOf(Box)} is a satellite"
        : Node.On(satellite) is { By: { } by, Main: var main }
            ? $"{design.NameOf(Box)} is a satellite of {design.NameOf(main)}, beside {design.NameOf(by)}"
        : $"{design.NameOf(Box)} is a satellite of {design.NameOf(Node.On(satellite).Main)}, by cable only";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [.. Node.Given.Select(m => new Touch(Setting.Satellite, Box, m))];
}

/// <summary>
/// Sets what one port of a managed switch does with VLANs; VLAN 1 untagged and no other is what every port does at first.
/// </summary>
/// <param name="Box">The switch.</param>
/// <param name="Port">Which port.</param>
/// <param name="Untagged">The VLAN of frames without a tag.</param>
/// <param name="Tagged">VLANs that come and go with their tag.</param>
public sealed record SetPortVlans(string Box, string Port, int Untagged, IReadOnlyList<int> Tagged) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<SwitchMode>(design, Box, "VLANs", mode =>
        {
            var set = new PortVlans(Port, Untagged, [.. Tagged]);
            var others = mode.Vlans.Where(v => v.Port != Port);
            PortVlans[] vlans = set.IsUsual ? [.. others] : [.. others.Append(set).OrderBy(v => v.Port, StringComparer.Ordinal)];
            return Edit.Unless<BoxMode>(PageChecks.WrongVlans(design.Box(Box)!, [.. others, set], mode), mode with { Vlans = vlans });
        });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"VLANs at {PortWords.Of(design, new(Box, Port))}: {Untagged} untagged{(Tagged.Count == 0 ? "" : $", {string.Join(", ", Tagged)} tagged")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Vlans, Box, Port)];
}

/// <summary>Sets to whom a gateway passes its public address; none where it keeps it.</summary>
public sealed record SetPassing(string Box, Passing? Passing) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "public address to pass on", router =>
            Edit.Unless<BoxMode>(
                Passing is { } passing ? PageChecks.WrongPassing(design.Box(Box)!, passing) : null,
                router with
                {
                    Passing = Passing is null
                        ? null
                        : Passing with
                        {
                            Port = Passing.Kind == PassKind.Port ? Passing.Port : null,
                            To = Passing.Kind == PassKind.Port ? null : Passing.To,
                        },
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Passing switch
        {
            null => $"{design.NameOf(Box)} keeps its public address",
            { Kind: PassKind.Port } =>
                $"{design.NameOf(Box)} passes its public address through to port {design.Box(Box)?.Profile.Port(Passing.Port!)?.Label ?? Passing.Port}",
            { Kind: PassKind.Hardware } => $"{design.NameOf(Box)} passes its public address through to {Passing.To}",
            _ => $"{design.NameOf(Box)} maps its public address to {Passing.To}",
        };

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Passing, Box)];
}

/// <summary>Sets members of what a router tells the line.</summary>
public sealed record SetLine(string Box, Partial<LineSetting> Line) : Change
{
    /// <summary>What makes one setting into another.</summary>
    public static SetLine Between(string box, LineSetting from, LineSetting to) => new(box, Partial<LineSetting>.Between(from, to));

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "line", router =>
            Edit.Unless<BoxMode>(PageChecks.WrongTag(Line.On(router.Line).Tag), router with { Line = Line.On(router.Line) })
        );

    /// <inheritdoc/>
    public override string Describe(Design design)
    {
        var line = Line.On((design.Mode(Box) as RouterMode)?.Line ?? LineSetting.None);
        return line == LineSetting.None
            ? $"{design.NameOf(Box)} tells the line nothing"
            : $"{design.NameOf(Box)} tells the line {string.Join(", ", new[] { line.Login ? "the login" : null, line.Tag is { } tag ? $"tag {tag}" : null, line.Mac is { } shown ? $"{shown} as its own" : null }.OfType<string>())}";
    }

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [.. Line.Given.Select(m => new Touch(Setting.Line, Box, m))];
}
