using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>What a speed test ran by, in words and as a band.</summary>
public static class RunByWords
{
    /// <summary>As it is written in a table, such as "5 GHz".</summary>
    public static string Word(this RunBy by) => by.Band() is { } band ? BandWords.Of(band) : "cable";

    /// <summary>The band; null for a cable.</summary>
    public static RadioBand? Band(this RunBy by) =>
        by switch
        {
            RunBy.Ghz2 => RadioBand.Ghz2,
            RunBy.Ghz5 => RadioBand.Ghz5,
            RunBy.Ghz6 => RadioBand.Ghz6,
            _ => null,
        };
}
