namespace Altrin.Core.Procedures;

/// <summary>What may come of an act.</summary>
/// <param name="After">The state when hands are free again.</param>
/// <param name="Takes">How long hands are busy with it.</param>
public sealed record Outcome(State After, Duration Takes)
{
    /// <summary>What must be so of the box for this to come of it, in words; null where nothing else can.</summary>
    public string? If { get; init; }

    /// <summary>From then on, how long until the box that it is about is ready; null where it is at once.</summary>
    public Duration? Then { get; init; }
}
