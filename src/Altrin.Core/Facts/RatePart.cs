namespace Altrin.Core.Facts;

/// <summary>One part of a way, and what arrives over it.</summary>
/// <param name="Id">The id of the link or of the box that routes, or "service".</param>
/// <param name="Kind">What it is.</param>
/// <param name="Says">What it is, in words.</param>
/// <param name="Down">What arrives towards the one who is asked about, in Mb/s.</param>
/// <param name="Up">What arrives the other way.</param>
public sealed record RatePart(string Id, RatePartKind Kind, string Says, RateSpan Down, RateSpan Up)
{
    /// <summary>The id that stands for what the provider sold.</summary>
    public const string Service = "service";

    /// <summary>How strongly the sender is heard over a radio link, at its end that is nearer to the one who is asked about.</summary>
    public SignalLevel? Level { get; init; }

    /// <summary>The same at the other end: the weaker direction counts.</summary>
    public SignalLevel? Back { get; init; }

    /// <summary>
    /// Whether what arrives rests on a speed that was measured over it; otherwise it is what is usual, or follows from its kind.
    /// </summary>
    public bool IsMeasured { get; init; }

    /// <summary>Whether the hop before is on the same radio, which sends each frame twice.</summary>
    public bool Repeats { get; init; }

    /// <summary>The radio at the end that is nearer to the one who is asked about, and the one at the other end: box and radio.</summary>
    internal ((string Box, string Radio)? Near, (string Box, string Radio)? Far) Radios { get; init; }
}

/// <summary>Sorts of parts.</summary>
public enum RatePartKind
{
    /// <summary>What the provider sold.</summary>
    Service,

    /// <summary>A cable with its two ports.</summary>
    Cable,

    /// <summary>A box that passes packets between its WAN and its LAN side.</summary>
    Routing,

    /// <summary>Mains wiring.</summary>
    Mains,

    /// <summary>The Wi-Fi of a device.</summary>
    Wifi,

    /// <summary>A radio link between boxes.</summary>
    Radio,
}

/// <summary>How fast a way is.</summary>
/// <param name="From">The device that is asked about.</param>
/// <param name="To">The other end: a device, or "internet".</param>
/// <param name="Down">What arrives at the device.</param>
/// <param name="Up">What arrives from it.</param>
/// <param name="LimitDown">The part that limits what arrives; null where that cannot be said.</param>
/// <param name="LimitUp">The part that limits what is sent.</param>
/// <param name="Says">What limits it, in a sentence.</param>
/// <param name="Parts">All parts, from the device on.</param>
public sealed record RateFact(
    string From,
    string To,
    RateSpan Down,
    RateSpan Up,
    string? LimitDown,
    string? LimitUp,
    string Says,
    IReadOnlyList<RatePart> Parts
)
{
    /// <summary>
    /// What it rests on where it was measured as it is now: what arrives is what was measured then. Null where it is computed.
    /// </summary>
    public MeasuredRate? Measured { get; init; }
}
