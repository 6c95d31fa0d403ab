namespace Altrin.Core.Radio;

/// <summary>The trade's words for bands.</summary>
public static class BandWords
{
    /// <summary>A band by its frequency.</summary>
    public static string Of(RadioBand band) =>
        band switch
        {
            RadioBand.Ghz2 => "2.4 GHz",
            RadioBand.Ghz5 => "5 GHz",
            RadioBand.Ghz6 => "6 GHz",
            _ => throw new ArgumentOutOfRangeException(nameof(band)),
        };
}
