namespace Altrin.Core.Radio;

/// <summary>What the age of a radio brings along.</summary>
public static class WifiAge
{
    /// <summary>Whether it is of the 54 Mb/s class or older; not known is no.</summary>
    public static bool IsRelic(this WifiGeneration generation) => generation is WifiGeneration.B or WifiGeneration.G;
}
