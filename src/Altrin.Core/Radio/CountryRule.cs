namespace Altrin.Core.Radio;

/// <summary>What a country says of a stretch of spectrum.</summary>
/// <param name="LowMhz">From here, in MHz.</param>
/// <param name="HighMhz">Up to here, in MHz.</param>
/// <param name="WidestMhz">How wide a channel may be there, in MHz.</param>
/// <param name="MostDbm">The most power that may leave the antenna (EIRP), in dBm.</param>
/// <param name="Flags">What else is asked.</param>
public sealed record CountryRule(double LowMhz, double HighMhz, double WidestMhz, double MostDbm, CountryTerms Flags)
{
    /// <summary>Whether an access point of the home may send there at all.</summary>
    public bool Usable => (Flags & (CountryTerms.NoStart | CountryTerms.NoOfdm)) == 0;
}

/// <summary>Conditions of a stretch of spectrum, as the list of countries writes them.</summary>
[Flags]
public enum CountryTerms
{
    /// <summary>None.</summary>
    None = 0,

    /// <summary>Only the oldest way of sending is allowed.</summary>
    NoOfdm = 1,

    /// <summary>Indoors only.</summary>
    Indoors = 2,

    /// <summary>Radar comes first.</summary>
    Radar = 4,

    /// <summary>No radio may be the first to send there.</summary>
    NoStart = 8,

    /// <summary>A channel may reach over into the next stretch.</summary>
    Joins = 16,
}
