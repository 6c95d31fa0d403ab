namespace Altrin.Core.Radio;

/// <summary>
/// What arrives of a rate: the data of one TCP connection a second, worked out from how long frames, what goes before them and what
/// answers them take on a channel that no one else uses. Nothing in it is fitted to a measurement.
/// </summary>
public static class Goodput
{
    /// <summary>Data of a full segment over IPv4 with timestamps, in octets (RFC 7323; from memory).</summary>
    public const int SegmentOctets = 1448;

    /// <summary>The part of the frames that does not arrive at once and is sent again (common practice: rate control aims at it).</summary>
    public const double Lost = 0.1;

    /// <summary>IP packets of a full segment, and of the acknowledgement of two of them (RFC 5681), in octets.</summary>
    private const int PacketOctets = 1500,
        AnswerOctets = 52;

    /// <summary>
    /// MAC header with quality of service, checksum, AES and link control around a packet, in octets (IEEE 802.11; from memory).
    /// </summary>
    private const int AroundOctets = 26 + 4 + 16 + 8;

    /// <summary>What stands before each frame of a bundle, with its filling, in octets (IEEE 802.11, 9.7; from memory).</summary>
    private const int DelimiterOctets = 6;

    /// <summary>No transmission is longer, in µs (IEEE 802.11, aPPDUMaxTime; from memory).</summary>
    private const double LongestMicroseconds = 5484;

    /// <summary>What goes before a frame of b, in µs (IEEE 802.11, 15.2; from memory).</summary>
    private const double LongPreamble = 192;

    /// <summary>Service and tail bits around what is sent (IEEE 802.11, 17.3.5; from memory).</summary>
    private const int EndBits = 22;

    /// <summary>What arrives in one direction, in Mb/s.</summary>
    public static double Mbps(AirLink link)
    {
        if (link.Generation < WifiGeneration.N)
        {
            // Two segments, one acknowledgement: each frame by itself.
            var two = (2 * Alone(link, PacketOctets)) + Alone(link, AnswerOctets);
            return 2 * SegmentOctets * 8 / two * (1 - Lost);
        }
        var frames = Bundled(link);
        var micros = Bundle(link, frames, PacketOctets) + Bundle(link, Math.Max(1, frames / 2), AnswerOctets);
        return frames * SegmentOctets * 8 / micros * (1 - Lost);
    }

    /// <summary>How many full frames go in one bundle: by what may be acknowledged at once, by its octets, by its time.</summary>
    private static int Bundled(AirLink link)
    {
        var (atOnce, octets) = link.Generation switch
        {
            WifiGeneration.N => (64, 65_535),
            WifiGeneration.Ac => (64, 1_048_575),
            WifiGeneration.Ax => (256, 6_500_631),
            _ => (1024, 15_523_200),
        };
        var one = PacketOctets + AroundOctets + DelimiterOctets;
        var inTime = (int)((LongestMicroseconds - Preamble(link)) * link.RateMbps / 8 / one);
        return Math.Max(1, Math.Min(Math.Min(atOnce, octets / one), inTime));
    }

    private static double Bundle(AirLink link, int frames, int packet)
    {
        var bits = EndBits + (8.0 * frames * (packet + AroundOctets + DelimiterOctets));
        // The answer to a bundle has 32 octets.
        return Before(link) + Preamble(link) + Symbols(link, bits) + Short(link) + Plain(link, 32);
    }

    private static double Alone(AirLink link, int packet)
    {
        var bits = EndBits + (8.0 * (packet + AroundOctets));
        return Before(link) + Preamble(link) + Symbols(link, bits) + Short(link) + Plain(link, 14);
    }

    private static double Symbols(AirLink link, double bits)
    {
        if (link.Generation == WifiGeneration.B)
        {
            return bits / link.RateMbps;
        }
        var symbol = WifiRate.SymbolMicroseconds(link.Generation) + (WifiRate.UsualGuardNanoseconds(link.Generation) / 1000.0);
        return Math.Ceiling(bits / (link.RateMbps * symbol)) * symbol;
    }

    /// <summary>An answer at 24 Mb/s in the oldest way, in µs; at 2.4 GHz with the pause at its end. To b at 2 Mb/s.</summary>
    private static double Plain(AirLink link, int octets) =>
        link.Generation == WifiGeneration.B
            ? LongPreamble + (octets * 8 / 2.0)
            : 20 + (Math.Ceiling((EndBits + (8.0 * octets)) / 96) * 4) + (link.Band == RadioBand.Ghz2 ? 6 : 0);

    /// <summary>
    /// Waiting before a frame, in µs: the pause of best effort, 3 slots longer than the short one, and half of the 15 slots of the first
    /// try (IEEE 802.11, table 9-155; from memory). Where an old device is near, slots are long and the frame is announced at 2 Mb/s.
    /// </summary>
    private static double Before(AirLink link)
    {
        if (link.Generation == WifiGeneration.B)
        {
            // Its first try waits for half of 31 slots.
            return Short(link) + (2 * 20) + (15.5 * 20);
        }
        var slot = link.Protected ? 20 : 9;
        var announced = link.Protected ? LongPreamble + (14 * 8 / 2.0) + Short(link) : 0;
        return Short(link) + (3 * slot) + (7.5 * slot) + announced;
    }

    private static double Short(AirLink link) => link.Band == RadioBand.Ghz2 ? 10 : 16;

    /// <summary>
    /// What goes before the data, in µs: 20 of the oldest generation, and what each later one added with its training for each stream
    /// (IEEE 802.11, clauses 17, 19, 21, 27, 36; from memory).
    /// </summary>
    private static double Preamble(AirLink link) =>
        link.Generation switch
        {
            WifiGeneration.B => LongPreamble,
            WifiGeneration.N => 20 + 8 + 4 + (4 * link.Streams),
            WifiGeneration.Ac => 20 + 8 + 4 + 4 + (4 * link.Streams),
            WifiGeneration.Ax => 20 + 4 + 8 + 4 + (8 * link.Streams),
            WifiGeneration.Be => 20 + 4 + 8 + 8 + 4 + (8 * link.Streams),
            _ => 20,
        };
}
