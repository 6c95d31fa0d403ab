namespace Altrin.Core.Radio;

/// <summary>How many subcarriers of a channel carry data (IEEE 802.11, clauses 17, 19, 21, 27 and 36; from memory).</summary>
public static class Subcarriers
{
    /// <summary>The widest channel of a generation, in MHz.</summary>
    public static int WidestMhz(WifiGeneration generation) =>
        generation switch
        {
            WifiGeneration.N => 40,
            WifiGeneration.Ac or WifiGeneration.Ax => 160,
            WifiGeneration.Be => 320,
            _ => 20,
        };

    /// <summary>Of a whole channel.</summary>
    /// <exception cref="ArgumentOutOfRangeException">A generation does not know the width.</exception>
    public static int Data(WifiGeneration generation, int widthMhz) =>
        (generation, widthMhz) switch
        {
            (WifiGeneration.G or WifiGeneration.Unknown, 20) => 48,
            (WifiGeneration.N or WifiGeneration.Ac, 20) => 52,
            (WifiGeneration.N or WifiGeneration.Ac, 40) => 108,
            (WifiGeneration.Ac, 80) => 234,
            (WifiGeneration.Ac, 160) => 2 * 234,
            (WifiGeneration.Ax or WifiGeneration.Be, 20) => Unit(242),
            (WifiGeneration.Ax or WifiGeneration.Be, 40) => Unit(484),
            (WifiGeneration.Ax or WifiGeneration.Be, 80) => Unit(996),
            (WifiGeneration.Ax or WifiGeneration.Be, 160) => 2 * Unit(996),
            (WifiGeneration.Be, 320) => 4 * Unit(996),
            _ => throw new ArgumentOutOfRangeException(nameof(widthMhz), $"{generation} knows no channel of {widthMhz} MHz."),
        };

    /// <summary>
    /// Of a resource unit of ax and be, by its tones: all but its pilots. A unit of be that is put together has the sum of its parts.
    /// </summary>
    /// <exception cref="ArgumentOutOfRangeException">There is no such unit.</exception>
    public static int Unit(int tones) =>
        tones
        - tones switch
        {
            26 => 2,
            52 or 106 => 4,
            242 => 8,
            484 or 996 => 16,
            _ => throw new ArgumentOutOfRangeException(nameof(tones), "A unit has 26, 52, 106, 242, 484 or 996 tones."),
        };
}
