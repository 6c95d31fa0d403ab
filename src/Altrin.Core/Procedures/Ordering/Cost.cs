namespace Altrin.Core.Procedures.Ordering;

/// <summary>
/// What an order of work costs, compared part by part from the first: an order that breaks less is better whatever it takes.
/// </summary>
/// <param name="Violations">Invariants that are broken, each of a violation once, and devices that are offline at the end.</param>
/// <param name="Downtime">Seconds in which a device is without internet that has it before and after, summed over devices.</param>
/// <param name="WindowFirst">The second in which the first of them goes offline; null where none does.</param>
/// <param name="WindowLast">The last second of it.</param>
/// <param name="Touched">Customer's devices that a person has to go to.</param>
/// <param name="Moves">Walks, and ports that the laptop is plugged into.</param>
/// <param name="Seconds">All of it.</param>
public sealed record Cost(int Violations, long Downtime, long? WindowFirst, long? WindowLast, int Touched, int Moves, long Seconds)
    : IComparable<Cost>
{
    /// <summary>
    /// Seconds by which downtime and windows are counted: what differs by less than the spread of the waits, at least 2 min, is alike
    /// (common practice). Counted in whole steps, so that orders can be sorted by it.
    /// </summary>
    public const int Spread = 120;

    /// <summary>Nothing done yet.</summary>
    public static Cost Nothing { get; } = new(0, 0, null, null, 0, 0, 0);

    /// <summary>From the first to the last second without internet.</summary>
    public long Window => WindowLast - WindowFirst ?? 0;

    /// <inheritdoc/>
    public int CompareTo(Cost? other) => other is null ? 1 : Parts().CompareTo(other.Parts());

    /// <summary>Whether one costs less than another.</summary>
    public static bool operator <(Cost a, Cost b) => a.CompareTo(b) < 0;

    /// <summary>Whether one costs more than another.</summary>
    public static bool operator >(Cost a, Cost b) => a.CompareTo(b) > 0;

    /// <summary>Whether one costs no more than another.</summary>
    public static bool operator <=(Cost a, Cost b) => a.CompareTo(b) <= 0;

    /// <summary>Whether one costs no less than another.</summary>
    public static bool operator >=(Cost a, Cost b) => a.CompareTo(b) >= 0;

    private (int, long, long, int, int, long) Parts() => (Violations, Downtime / Spread, Window / Spread, Touched, Moves, Seconds);
}
