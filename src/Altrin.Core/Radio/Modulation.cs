namespace Altrin.Core.Radio;

/// <summary>One of the ways in which bits are put on subcarriers; for b, which has none, on a symbol of so many chips.</summary>
/// <param name="Index">Its number (MCS); by rising rate for the oldest generation, which numbers them otherwise.</param>
/// <param name="Bits">Coded bits a subcarrier; for b bits a symbol.</param>
/// <param name="Of">Data bits of so many coded ones: numerator; 1 for b.</param>
/// <param name="Per">Denominator; for b chips a symbol.</param>
/// <param name="SensitivityDbm">The weakest level at which a radio of 20 MHz must understand it, in dBm.</param>
public sealed record Modulation(int Index, int Bits, int Of, int Per, int SensitivityDbm)
{
    /// <summary>
    /// What the standard takes for noise and losses of a receiver of 20 MHz when it says how weak a signal may be: 10 dB of noise figure
    /// and 5 dB of losses above thermal noise of −101 dBm (IEEE 802.11, 17.3.10.2; from memory).
    /// </summary>
    public const double TakenNoiseDbm = -86;

    /// <summary>How far the signal must stand above the noise, in dB.</summary>
    public double SnrDb => SensitivityDbm - TakenNoiseDbm;

    /// <summary>
    /// Those of 802.11b, 1 to 11 Mb/s: −80 dBm at 2 Mb/s and −76 at 11 (IEEE 802.11, 15.4.8 and 16.3.8; from memory), those between and
    /// below 3 dB a halving.
    /// </summary>
    private static readonly Modulation[] Chips = [new(0, 1, 1, 11, -83), new(1, 2, 1, 11, -80), new(2, 4, 1, 8, -79), new(3, 8, 1, 8, -76)];

    /// <summary>Those of 802.11a and g, 6 to 54 Mb/s (IEEE 802.11, table 17-18; from memory).</summary>
    private static readonly Modulation[] Oldest =
    [
        new(0, 1, 1, 2, -82),
        new(1, 1, 3, 4, -81),
        new(2, 2, 1, 2, -79),
        new(3, 2, 3, 4, -77),
        new(4, 4, 1, 2, -74),
        new(5, 4, 3, 4, -70),
        new(6, 6, 2, 3, -66),
        new(7, 6, 3, 4, -65),
    ];

    /// <summary>
    /// Those of n (to 7), ac (to 9), ax (to 11) and be (to 13), the same up to where each ends (IEEE 802.11, tables 19-23, 21-25, 27-51
    /// and 36-67; from memory).
    /// </summary>
    private static readonly Modulation[] Newer =
    [
        new(0, 1, 1, 2, -82),
        new(1, 2, 1, 2, -79),
        new(2, 2, 3, 4, -77),
        new(3, 4, 1, 2, -74),
        new(4, 4, 3, 4, -70),
        new(5, 6, 2, 3, -66),
        new(6, 6, 3, 4, -65),
        new(7, 6, 5, 6, -64),
        new(8, 8, 3, 4, -59),
        new(9, 8, 5, 6, -57),
        new(10, 10, 3, 4, -54),
        new(11, 10, 5, 6, -52),
        new(12, 12, 3, 4, -49),
        new(13, 12, 5, 6, -46),
    ];

    /// <summary>What a generation knows, the slowest first; that of a generation that was not read as of the oldest.</summary>
    public static IReadOnlyList<Modulation> All(WifiGeneration generation) =>
        generation switch
        {
            WifiGeneration.B => Chips,
            WifiGeneration.N => Newer[..8],
            WifiGeneration.Ac => Newer[..10],
            WifiGeneration.Ax => Newer[..12],
            WifiGeneration.Be => Newer,
            _ => Oldest,
        };

    /// <summary>The fastest that is understood; null where none is.</summary>
    /// <param name="generation">The older of both sides.</param>
    /// <param name="snrDb">How far the signal stands above the noise.</param>
    /// <param name="widthMhz">The width, for which some generations leave some out.</param>
    /// <param name="streams">How many streams.</param>
    public static Modulation? Fastest(WifiGeneration generation, double snrDb, int widthMhz, int streams) =>
        All(generation).LastOrDefault(m => m.SnrDb <= snrDb && !IsLeftOut(generation, m.Index, widthMhz, streams));

    /// <summary>
    /// Whether ac leaves a step out, since its bits do not come out even (IEEE 802.11, 21.5; from memory).
    /// </summary>
    public static bool IsLeftOut(WifiGeneration generation, int index, int widthMhz, int streams) =>
        generation == WifiGeneration.Ac
        && (index, widthMhz, streams) is (9, 20, 1 or 2 or 4 or 5 or 7 or 8) or (6, 80, 3 or 7) or (9, 80, 6) or (9, 160, 3);
}
