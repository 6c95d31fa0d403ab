namespace Altrin.Core.Procedures;

/// <summary>How long something takes.</summary>
/// <param name="Least">At least.</param>
/// <param name="Usual">Usually: simulated time runs by it.</param>
/// <param name="Most">At most, before one looks for what is wrong.</param>
public sealed record Duration(TimeSpan Least, TimeSpan Usual, TimeSpan Most)
{
    /// <summary>No time at all.</summary>
    public static Duration None { get; } = Seconds(0, 0, 0);

    /// <summary>Whether it was noted of the kind of box; false for what is usual of its sort.</summary>
    public bool Noted { get; init; }

    /// <summary>From seconds.</summary>
    public static Duration Seconds(int least, int usual, int most) =>
        new(TimeSpan.FromSeconds(least), TimeSpan.FromSeconds(usual), TimeSpan.FromSeconds(most));

    /// <summary>
    /// What was noted of a kind as its usual time, from three quarters of it to half as much again (common practice); the other where
    /// nothing was.
    /// </summary>
    public static Duration Of(int? seconds, Duration otherwise) =>
        seconds is { } usual ? Seconds(usual * 3 / 4, usual, usual * 3 / 2) with { Noted = true } : otherwise;

    /// <summary>One after the other.</summary>
    public static Duration operator +(Duration a, Duration b) =>
        new(a.Least + b.Least, a.Usual + b.Usual, a.Most + b.Most) { Noted = a.Noted && b.Noted };
}
