namespace Altrin.Core.Radio;

/// <summary>How long a radio listens for radar before it sends on a channel, and how long it stays away after it heard some.</summary>
public static class RadarWait
{
    /// <summary>Listening before the first frame (EN 301 893, 47 CFR 15.407; from memory).</summary>
    public static readonly TimeSpan Usual = TimeSpan.FromSeconds(60);

    /// <summary>Listening where weather radar is, 5,600 to 5,650 MHz, by the European rules (EN 301 893; from memory).</summary>
    public static readonly TimeSpan Weather = TimeSpan.FromMinutes(10);

    /// <summary>Staying away after radar was heard (EN 301 893, 47 CFR 15.407; from memory).</summary>
    public static readonly TimeSpan Away = TimeSpan.FromMinutes(30);

    /// <summary>How long a radio listens before it sends in a block in which it has to.</summary>
    public static TimeSpan Of(ChannelBlock block, RadarRegion region) =>
        region == RadarRegion.Europe && block is { Band: RadioBand.Ghz5, LowMhz: < 5650, HighMhz: > 5600 } ? Weather : Usual;
}
