using Altrin.Core.Packets;

namespace Altrin.Core.Exchanges;

/// <summary>What ladders can show.</summary>
public enum LadderKind
{
    /// <summary>How a host comes by its address.</summary>
    Lease,

    /// <summary>A connection between two devices.</summary>
    Connection,

    /// <summary>A connection from a device to the internet.</summary>
    Internet,

    /// <summary>A connection from the internet that a need asks for.</summary>
    Inbound,

    /// <summary>A question to everybody for a device.</summary>
    Discovery,
}

/// <summary>What is said between the real actors, frame by frame.</summary>
/// <param name="Kind">What kind of talk it is.</param>
/// <param name="Title">What it shows.</param>
/// <param name="Answer">Whether it comes to its end; where luck decides, the frames show the best that may come out.</param>
/// <param name="StoppedBy">What stops it; null where nothing does.</param>
/// <param name="Frames">Everything that is sent, in order.</param>
/// <param name="Notes">What the frames do not show: timers, races, what was not found out.</param>
public sealed record Ladder(
    LadderKind Kind,
    string Title,
    Answer Answer,
    string? StoppedBy,
    IReadOnlyList<Frame> Frames,
    IReadOnlyList<string> Notes
)
{
    /// <summary>Everybody who sends or takes a frame, in the order in which they come in.</summary>
    public IReadOnlyList<string> Actors =>
        [.. Frames.SelectMany(f => f.To is null ? [f.From.Owner] : new[] { f.From.Owner, f.To.Owner }).Distinct()];

    /// <summary>
    /// The segments in which something is sent, in order of the first frame; those of the home and the provider's line only.
    /// </summary>
    public IReadOnlyList<string> Segments => [.. Frames.Select(f => f.Segment).Where(s => s != Networks.Provider.Internet).Distinct()];
}
