using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets the radio link by which a box joins another; a router may have none.</summary>
public sealed record SetUplink(string Box, Uplink? Link) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<BoxMode>(design, Box, "radio link of its own", mode =>
        Link is not null && PageChecks.WrongUplink(design.Box(Box)!, Link) is { } wrong ? Parsed<BoxMode>.Fail(wrong) : (mode, Checked) switch
        {
            (RepeaterMode repeater, { } link) => repeater with { Link = link },
            (WirelessBridgeMode bridge, { } link) => bridge with { Link = link },
            (RouterMode router, _) => router with { Uplink = Checked },
            _ => Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} {(Link is null ? "lives by its radio link; set another mode" : "joins nobody by radio")} in its present mode."),
        });

    /// <summary>What the page keeps of it: no key for an open network, and no channel of its own but for WDS.</summary>
    private Uplink? Checked => Link is null ? null : Link with
    {
        Key = Link.Security == WifiSecurity.Open ? null : Link.Key,
        Channel = Link.Frames == UplinkFrames.Wds ? Link.Channel : null,
        WidthMhz = Link.Frames == UplinkFrames.Wds ? Link.WidthMhz : null,
    };

    /// <inheritdoc/>
    public override string Describe(Design design) => Link is null ? $"{design.NameOf(Box)} joins nobody by radio" : $"{design.NameOf(Box)} joins \"{Link.Name}\" of {design.NameOf(Link.Box)}";
}

/// <summary>Sets which main node manages a satellite, and by which node it joins for want of a cable.</summary>
public sealed record SetSatellite(string Box, string Main, string? By) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<SatelliteMode>(design, Box, "main node", _ =>
        Edit.Unless<BoxMode>(
            new[] { Main, By }.OfType<string>().FirstOrDefault(id => design.Box(id) is null) is { } nobody ? $"There is no box '{Ipv4Address.Shown(nobody)}'."
            : Main == Box ? "A satellite is managed by another box."
            : null,
            new SatelliteMode(Main, By)));

    /// <inheritdoc/>
    public override string Describe(Design design) => By is null
        ? $"{design.NameOf(Box)} is a satellite of {design.NameOf(Main)}, by cable only"
        : $"{design.NameOf(Box)} is a satellite of {design.NameOf(Main)}, beside {design.NameOf(By)}";
}

/// <summary>Sets what the ports of a managed switch do with VLANs; none for one that passes every frame on as it is.</summary>
public sealed record SetVlans(string Box, IReadOnlyList<PortVlans> Vlans) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<SwitchMode>(design, Box, "VLANs", mode =>
        Edit.Unless<BoxMode>(PageChecks.WrongVlans(design.Box(Box)!, Vlans, mode), mode with { Vlans = Vlans }));

    /// <inheritdoc/>
    public override string Describe(Design design) => Vlans.Count == 0 ? $"{design.NameOf(Box)} passes every VLAN on" : $"{design.NameOf(Box)} sorts VLANs on {(Vlans.Count == 1 ? "a port" : $"{Vlans.Count} ports")}";
}

/// <summary>Sets to whom a gateway passes its public address; none where it keeps it.</summary>
public sealed record SetPassing(string Box, Passing? Passing) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<RouterMode>(design, Box, "public address to pass on", router =>
        Edit.Unless<BoxMode>(Passing is { } passing ? PageChecks.WrongPassing(design.Box(Box)!, passing) : null, router with { Passing = Passing is null ? null : Passing with { Port = Passing.Kind == PassKind.Port ? Passing.Port : null, To = Passing.Kind == PassKind.Port ? null : Passing.To } }));

    /// <inheritdoc/>
    public override string Describe(Design design) => Passing switch
    {
        null => $"{design.NameOf(Box)} keeps its public address",
        { Kind: PassKind.Port } => $"{design.NameOf(Box)} passes its public address to port {design.Box(Box)?.Profile.Port(Passing.Port!)?.Label ?? Passing.Port}",
        { Kind: PassKind.Hardware } => $"{design.NameOf(Box)} passes its public address to {Passing.To}",
        _ => $"{design.NameOf(Box)} maps its public address to {Passing.To}",
    };
}

/// <summary>Sets what a router tells the line.</summary>
public sealed record SetLine(string Box, LineSetting Line) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<RouterMode>(design, Box, "line", router =>
        Edit.Unless<BoxMode>(PageChecks.WrongTag(Line.Tag), router with { Line = Line }));

    /// <inheritdoc/>
    public override string Describe(Design design) => Line == LineSetting.None
        ? $"{design.NameOf(Box)} tells the line nothing"
        : $"{design.NameOf(Box)} tells the line {string.Join(", ", new[] { Line.Login ? "the login" : null, Line.Tag is { } tag ? $"tag {tag}" : null, Line.Hardware is { } shown ? $"{shown} as its own" : null }.OfType<string>())}";
}
