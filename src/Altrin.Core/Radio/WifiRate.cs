namespace Altrin.Core.Radio;

/// <summary>Rates at which bits go over the air, computed from how they are sent (IEEE 802.11; from memory).</summary>
public static class WifiRate
{
    /// <summary>The most streams that are computed with.</summary>
    public const int MostStreams = 8;

    /// <summary>A symbol without what guards it, in µs: 3.2, or four times that from ax on.</summary>
    public static double SymbolMicroseconds(WifiGeneration generation) => generation >= WifiGeneration.Ax ? 12.8 : 3.2;

    /// <summary>
    /// The guard that is usual between two radios that both know it, in ns: 400 for n and ac, 800 for all others (common practice).
    /// </summary>
    public static int UsualGuardNanoseconds(WifiGeneration generation) => generation is WifiGeneration.N or WifiGeneration.Ac ? 400 : 800;

    /// <summary>Whether a generation knows a guard: 800 ns all; 400 n and ac; 1,600 and 3,200 from ax on.</summary>
    public static bool Knows(WifiGeneration generation, int guardNanoseconds) =>
        guardNanoseconds switch
        {
            800 => true,
            400 => generation is WifiGeneration.N or WifiGeneration.Ac,
            1600 or 3200 => generation >= WifiGeneration.Ax,
            _ => false,
        };

    /// <summary>The rate in Mb/s.</summary>
    /// <param name="generation">The generation of both sides.</param>
    /// <param name="modulation">How bits are put on subcarriers.</param>
    /// <param name="widthMhz">The width of the channel.</param>
    /// <param name="streams">How many streams, 1 to 8; the oldest generation knows one.</param>
    /// <param name="guardNanoseconds">What lies between two symbols; null for what is usual.</param>
    /// <exception cref="ArgumentOutOfRangeException">The generation does not know the width, the streams or the guard.</exception>
    public static double Mbps(WifiGeneration generation, Modulation modulation, int widthMhz, int streams, int? guardNanoseconds = null) =>
        generation == WifiGeneration.B
            ? OfChips(modulation.Bits, modulation.Per)
            : OfSubcarriers(
                generation,
                modulation,
                Subcarriers.Data(generation, widthMhz),
                streams,
                guardNanoseconds ?? UsualGuardNanoseconds(generation)
            );

    /// <summary>The rate over some subcarriers, such as those of a resource unit, in Mb/s.</summary>
    public static double OfSubcarriers(WifiGeneration generation, Modulation modulation, int subcarriers, int streams, int guardNanoseconds)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(streams, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(
            streams,
            generation < WifiGeneration.N ? 1
                : generation == WifiGeneration.N ? 4
                : 8
        );
        if (!Knows(generation, guardNanoseconds))
        {
            throw new ArgumentOutOfRangeException(nameof(guardNanoseconds), $"{generation} knows no guard of {guardNanoseconds} ns.");
        }
        var bits = (double)subcarriers * modulation.Bits * modulation.Of / modulation.Per * streams;
        return bits / (SymbolMicroseconds(generation) + (guardNanoseconds / 1000.0));
    }

    /// <summary>
    /// The rates of 802.11b in Mb/s: 11 million chips a second, 11 to a symbol of 1 or 2 bits, or 8 to one of 4 or 8.
    /// </summary>
    /// <param name="bits">Bits a symbol.</param>
    /// <param name="chips">Chips a symbol: 11 or 8.</param>
    public static double OfChips(int bits, int chips) => 11.0 / chips * bits;
}
