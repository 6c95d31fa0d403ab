using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>What numbers of radio commands mean.</summary>
public static class RadioNumbers
{
    /// <summary>How far a level that was printed as a percentage may be off, in dB.</summary>
    public const int PercentEitherDb = 3;

    /// <summary>
    /// The channel at a frequency in MHz; null where none is (IEEE 802.11: 2407 + 5n, 2484 for 14, 5000 + 5n, 5950 + 5n; from memory).
    /// </summary>
    public static (RadioBand Band, int Channel)? Channel(double mhz) =>
        mhz switch
        {
            2484 => (RadioBand.Ghz2, 14),
            >= 2412 and <= 2472 when (mhz - 2407) % 5 == 0 => (RadioBand.Ghz2, (int)(mhz - 2407) / 5),
            >= 5160 and <= 5925 when mhz % 5 == 0 => (RadioBand.Ghz5, (int)(mhz - 5000) / 5),
            >= 5955 and <= 7115 when mhz % 5 == 0 => (RadioBand.Ghz6, (int)(mhz - 5950) / 5),
            _ => null,
        };

    /// <summary>
    /// The band of a channel where nothing else tells: 1 to 14 is 2.4 GHz, 32 to 177 is 5 GHz; 6 GHz counts from 1 again and must be
    /// named.
    /// </summary>
    public static RadioBand? BandOf(int channel) =>
        channel switch
        {
            >= 1 and <= 14 => RadioBand.Ghz2,
            >= 32 and <= 177 => RadioBand.Ghz5,
            _ => null,
        };

    /// <summary>
    /// A quality in percent of the netsh family as a level: 0 % is -100 dBm, 100 % is -50 dBm, straight between (documented mapping; from
    /// memory).
    /// </summary>
    public static Level OfQuality(double percent) => new(Math.Round((Math.Clamp(percent, 0, 100) / 2) - 100, 1), PercentEitherDb);

    /// <summary>
    /// A signal in percent of the nmcli family as a level: 0 % is -100 dBm, 100 % is -40 dBm, straight between (from memory).
    /// </summary>
    public static Level OfSignal(double percent) => new(Math.Round((Math.Clamp(percent, 0, 100) * 0.6) - 100, 1), PercentEitherDb);

    /// <summary>
    /// How busy a box finds its channel, in percent: it says so in parts of 255 (BSS load, IEEE 802.11, 9.4.2.27; from memory).
    /// </summary>
    public static int? OfLoad(double parts) => parts is >= 0 and <= 255 ? (int)Math.Round(parts / 255 * 100) : null;

    /// <summary>The protection in words such as "WPA2-Personal" or "WPA2 WPA3"; null where nothing is understood.</summary>
    internal static WifiSecurity? Security(string words)
    {
        var (three, two, one, tkip) = (
            words.Contains("WPA3", StringComparison.OrdinalIgnoreCase) || words.Contains("SAE", StringComparison.Ordinal),
            words.Contains("WPA2", StringComparison.OrdinalIgnoreCase),
            words.Contains("WPA1", StringComparison.OrdinalIgnoreCase)
                || words.Split(' ', '-', '/').Contains("WPA", StringComparer.OrdinalIgnoreCase),
            words.Contains("TKIP", StringComparison.OrdinalIgnoreCase)
        );
        return three && two ? WifiSecurity.Wpa2Wpa3
            : three ? WifiSecurity.Wpa3
            : one || tkip ? WifiSecurity.WpaTkip
            : two ? WifiSecurity.Wpa2
            : words.Contains("WEP", StringComparison.OrdinalIgnoreCase) ? WifiSecurity.Wep
            : null;
    }
}
