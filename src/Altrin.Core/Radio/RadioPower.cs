namespace Altrin.Core.Radio;

/// <summary>How strongly radios of a home send where nothing was read of them, antennas included (EIRP; common practice).</summary>
public static class RadioPower
{
    /// <summary>A box at 2.4 GHz: what Europe allows, and boxes elsewhere seldom pass.</summary>
    public const double Box2Dbm = 20;

    /// <summary>A box at 5 and 6 GHz.</summary>
    public const double Box5Dbm = 23;

    /// <summary>A laptop, a television, a computer.</summary>
    public const double DeviceDbm = 16;

    /// <summary>A telephone, and what is as small.</summary>
    public const double SmallDbm = 14;

    /// <summary>What the antennas of a box add to what they hear, in dB.</summary>
    public const double BoxEarDb = 3;

    /// <summary>How far true values lie around these, in dB: one standard deviation.</summary>
    public const double SpreadDb = 3;

    /// <summary>What a box sends with.</summary>
    public static double OfBox(RadioBand band) => band == RadioBand.Ghz2 ? Box2Dbm : Box5Dbm;
}
