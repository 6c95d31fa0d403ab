using System.ComponentModel.DataAnnotations;
using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>What a scan of the air heard in one place: the home's own networks as they arrive there, and those of others.</summary>
/// <param name="Networks">What was heard, the strongest first; at most <see cref="MostNetworks"/>.</param>
public sealed record AirScan([property: Required, MaxLength(AirScan.MostNetworks)] IReadOnlyList<HeardNetwork> Networks)
{
    /// <summary>When, in UTC to the minute, such as 2026-05-04T16:30Z; null where not known.</summary>
    [RegularExpression(Moment)]
    public string? At { get; init; }

    /// <summary>How many networks are kept of one scan: the strongest, since the weak ones take no airtime to speak of.</summary>
    public const int MostNetworks = 60;

    /// <summary>How a time is written: a date and a minute of RFC 3339, in UTC.</summary>
    public const string Moment = "^[0-9]{4}-(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])T([01][0-9]|2[0-3]):[0-5][0-9]Z$";

    /// <summary>Why this is no time of a measurement; null where it is one, and where none is said.</summary>
    public static string? WrongMoment(string? at) =>
        at is null || Regex.IsMatch(at, Moment)
            ? null
            : $"'{Ipv4Address.Shown(at)}' is no time: a date and a minute in UTC are expected, such as 2026-05-04T16:30Z.";

    /// <summary>The weakest and the strongest level that is believed, in dBm.</summary>
    public const double WeakestDbm = -120,
        StrongestDbm = 0;

    /// <summary>How far a level may be off at most, in dB.</summary>
    public const int MostEitherDb = 20;
}

/// <summary>A network as it was heard.</summary>
/// <param name="Name">Its name; empty where it hides it.</param>
public sealed record HeardNetwork([property: Required(AllowEmptyStrings = true), StringLength(HeardNetwork.LongestName)] string Name)
{
    /// <summary>The longest name, in characters: 32 octets (IEEE 802.11, from memory), each of which a command may write in four.</summary>
    public const int LongestName = 128;

    /// <summary>The MAC address of the radio that sends it (BSSID); null where it was not printed.</summary>
    public MacAddress? Radio { get; init; }

    /// <summary>Its band; null where it was not told.</summary>
    public RadioBand? Band { get; init; }

    /// <summary>The highest channel there is: the last one of 6 GHz (IEEE 802.11, from memory).</summary>
    public const int HighestChannel = 233;

    /// <summary>Its channel; null where it was not told.</summary>
    [Range(1, HighestChannel)]
    public int? Channel { get; init; }

    /// <summary>How strongly it arrives, in dBm; null where it was not told.</summary>
    [Range(AirScan.WeakestDbm, AirScan.StrongestDbm)]
    public double? LevelDbm { get; init; }

    /// <summary>How far off the level may be, in dB: 3 where it was printed as a percentage; null where it was printed in dBm.</summary>
    [Range(0, AirScan.MostEitherDb)]
    public int? EitherDb { get; init; }

    /// <summary>
    /// Where the box of the home that sends it stood then, by the id of the place; null for a network of others and where not noted. A
    /// level says something of the box only while it stands there.
    /// </summary>
    [RegularExpression(Slugs.Pattern)]
    public string? StoodIn { get; init; }

    /// <summary>
    /// How much of the time its box finds its channel busy, in percent: what it says itself (BSS load, IEEE 802.11, 9.4.2.27; from
    /// memory); null where it does not say.
    /// </summary>
    [Range(0, 100)]
    public int? BusyPercent { get; init; }

    /// <summary>How it is protected; null where that was not understood.</summary>
    public WifiSecurity? Security { get; init; }
}
