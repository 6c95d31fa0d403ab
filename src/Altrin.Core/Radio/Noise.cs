namespace Altrin.Core.Radio;

/// <summary>What a receiver hears where nothing is sent.</summary>
public static class Noise
{
    /// <summary>Thermal noise at 290 K, in dBm for each Hz.</summary>
    public const double ThermalDbm = -174;

    /// <summary>What a receiver of a home adds, in dB (common practice: 5 to 10).</summary>
    public const double FigureDb = 7;

    /// <summary>The floor of a width, in dBm: −94 for 20 MHz.</summary>
    public static double Dbm(int widthMhz) => ThermalDbm + Decibels.Of(widthMhz * 1e6) + FigureDb;
}
