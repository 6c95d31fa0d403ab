using Altrin.Core.Radio;

namespace Altrin.Core.Facts;

/// <summary>How strongly a radio is heard.</summary>
/// <param name="Dbm">In dBm.</param>
/// <param name="SpreadDb">One standard deviation around it, in dB.</param>
/// <param name="Basis">What it rests on.</param>
public sealed record SignalLevel(double Dbm, double SpreadDb, LevelBasis Basis)
{
    /// <summary>Calls and video hold from here on, in dBm (common practice).</summary>
    public const double ForCallsDbm = -67;

    /// <summary>Below this a link is not to be built on, in dBm (common practice).</summary>
    public const double LimitDbm = -70;

    /// <summary>Below this pages open slowly or not at all, in dBm (common practice).</summary>
    public const double ForPagesDbm = -78;

    /// <summary>What was computed, where it was measured; null otherwise.</summary>
    public double? ComputedDbm { get; init; }

    /// <summary>Within how many dB the computed level is: one standard deviation; null where nothing was measured.</summary>
    public double? ComputedSpreadDb { get; init; }

    /// <summary>Whether what was measured lies further from what was computed than both spreads explain.</summary>
    public bool Differs => ComputedDbm is { } computed && Math.Abs(computed - Dbm) > SpreadDb + ComputedSpreadDb!.Value;

    /// <summary>The same to a tenth of a dB.</summary>
    public SignalLevel Rounded() =>
        this with
        {
            Dbm = Math.Round(Dbm, 1),
            SpreadDb = Math.Round(SpreadDb, 1),
            ComputedDbm = ComputedDbm is { } dbm ? Math.Round(dbm, 1) : null,
            ComputedSpreadDb = ComputedSpreadDb is { } spread ? Math.Round(spread, 1) : null,
        };

    /// <summary>The chance that it is at least a limit, 0 to 1.</summary>
    public double ChanceOf(double limitDbm) => Decibels.ChanceOf(Dbm, SpreadDb, limitDbm);

    /// <summary>Whether it is at least a limit: yes or no where the whole spread lies on one side.</summary>
    public Sites.Known Reaches(double limitDbm) =>
        Dbm - SpreadDb >= limitDbm ? Sites.Known.Yes
        : Dbm + SpreadDb < limitDbm ? Sites.Known.No
        : Sites.Known.Unknown;

    /// <summary>What it is good for, in the words of the trade.</summary>
    public LevelUse Use =>
        Dbm >= ForCallsDbm ? LevelUse.Calls
        : Dbm >= ForPagesDbm ? LevelUse.Web
        : LevelUse.Weak;
}

/// <summary>What a level rests on, the vaguest first.</summary>
public enum LevelBasis
{
    /// <summary>How far apart rooms of such a home usually are.</summary>
    Distance,

    /// <summary>The distance between two rooms whose positions were noted.</summary>
    Rooms,

    /// <summary>The distance, and the walls and floors between.</summary>
    Walls,

    /// <summary>A reading in that place.</summary>
    Measured,
}

/// <summary>What a level is good for.</summary>
public enum LevelUse
{
    /// <summary>Calls and video hold.</summary>
    Calls,

    /// <summary>Pages and mail.</summary>
    Web,

    /// <summary>Too weak to count on.</summary>
    Weak,
}
