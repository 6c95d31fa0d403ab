namespace Altrin.Core.Radio;

/// <summary>How the time of a channel is shared.</summary>
public static class Airtime
{
    /// <summary>How far apart beacons are, in µs: 100 units of 1,024 (IEEE 802.11; from memory).</summary>
    public const double BeaconEveryMicroseconds = 102_400;

    /// <summary>How long a beacon is, in octets (common practice: 250 to 350).</summary>
    public const int BeaconOctets = 300;

    /// <summary>
    /// A network that is heard at least so strongly is waited for, in dBm (IEEE 802.11, sensitivity at 20 MHz; from memory).
    /// </summary>
    public const double HeardDbm = -82;

    /// <summary>
    /// The part of its channel that a network of a neighbour is taken to use where that was not measured, apart from its beacons (common
    /// practice: most are idle most of the time).
    /// </summary>
    public const double NeighbourBusy = 0.1;

    /// <summary>
    /// The part of its time that a channel loses to the beacons of one name: 2.5 % at 1 Mb/s, the rate of the oldest devices at 2.4 GHz;
    /// 0.4 % at 6 Mb/s.
    /// </summary>
    public static double OfBeacon(double beaconMbps) =>
        ((beaconMbps < 6 ? 192 : 20) + (BeaconOctets * 8 / beaconMbps)) / BeaconEveryMicroseconds;

    /// <summary>The rate of beacons where it was not read, in Mb/s: 1 at 2.4 GHz, 6 elsewhere (common practice).</summary>
    public static double BeaconMbps(RadioBand band) => band == RadioBand.Ghz2 ? WifiRate.OfChips(1, 11) : 6;

    /// <summary>
    /// What is left to a radio of its channel's time, 0 to 1.
    /// </summary>
    /// <param name="beacons">What all beacons in it take, its own too.</param>
    /// <param name="neighbours">What each network of neighbours takes of it.</param>
    /// <param name="own">How much each other radio of the home that is as busy covers it, 0 to 1: it shares with them.</param>
    public static double Left(double beacons, IEnumerable<double> neighbours, IEnumerable<double> own)
    {
        // Each network uses its part of the time by itself: what they leave together is the product.
        var quiet = neighbours.Aggregate(Math.Max(0, 1 - beacons), (left, n) => left * (1 - Math.Clamp(n, 0, 1)));
        return quiet / (1 + own.Sum());
    }

    /// <summary>
    /// What each of several busy devices gets on one radio, on which each sends as often as the others: a slow one takes most of the time
    /// and slows all of them alike (known as the performance anomaly of 802.11).
    /// </summary>
    /// <param name="ratesMbps">What each would get alone, above 0.</param>
    public static double EachMbps(IEnumerable<double> ratesMbps) => 1 / ratesMbps.Sum(r => 1 / r);
}
