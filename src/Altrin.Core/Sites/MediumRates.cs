namespace Altrin.Core.Sites;

/// <summary>What a medium carries at most.</summary>
public static class MediumRates
{
    /// <summary>
    /// What two pairs carry: 100BASE-TX needs no more, 1000BASE-T needs all four (IEEE 802.3, clauses 25 and 40, from memory).
    /// </summary>
    public const int TwoPairs = 100;

    /// <summary>
    /// What arrives at least over mains wiring, and what is usual, in Mb/s (common practice: 30 to 95 behind 100 Mb/s ports).
    /// </summary>
    public const int LeastOverMains = 30,
        UsualOverMains = 60;

    /// <summary>What ports of which nothing was read carry, in Mb/s: at worst, and as is usual (common practice).</summary>
    public const int SlowPort = 100,
        UsualPort = 1000;

    /// <summary>
    /// The part of a wire's rate that arrives as data over TCP: 1448 of 1538 bytes a frame, with timestamps (IEEE 802.3, RFC 7323; from
    /// memory).
    /// </summary>
    public const double Payload = 1448.0 / 1538;

    /// <summary>
    /// The part that arrives where the line asks for a login (PPPoE): 8 bytes of each frame go to it (RFC 2516; from memory).
    /// </summary>
    public const double PayloadWithLogin = 1440.0 / 1538;

    /// <summary>What arrives behind a 100 Mb/s port, in Mb/s.</summary>
    public const int BehindFastPortMbps = (int)(100 * Payload);

    /// <summary>10GBASE-T on category 6 is sure up to here only (IEEE 802.3, clause 55; TIA TSB-155; from memory).</summary>
    public const double TenGigabitOnCat6Metres = 37;

    /// <summary>What arrives over a radio of the 54 Mb/s class, in Mb/s (common practice).</summary>
    public const int RelicRadioMbps = 25;

    /// <summary>
    /// What a lead carries at most by its pairs, in Mb/s; null where they say nothing. What was not looked at is taken for copper.
    /// </summary>
    public static int? ByPairs(Medium medium, int? pairs) =>
        (medium, pairs) is (Medium.Unknown or Medium.Cat5 or Medium.Cat5e or Medium.Cat6 or Medium.Cat6a, 2) ? TwoPairs : null;

    /// <summary>
    /// Nominal rate of a copper run of up to 100 m: 1000BASE-T on category 5, 2.5GBASE-T on 5e, 5GBASE-T on 6 (10GBASE-T on a
    /// short one), 10GBASE-T on 6A (IEEE 802.3, clauses 40, 126 and 55, from memory). Powerline: what arrives at most behind 100 Mb/s
    /// ports, and behind faster ones (common practice).
    /// </summary>
    /// <param name="medium">What carries the link.</param>
    /// <param name="lengthMetres">How long it is; null where not known.</param>
    /// <param name="portMbps">The slower of the two ports in Mb/s; null where not known.</param>
    /// <returns>Mb/s; null where the medium says nothing.</returns>
    public static int? AtMost(Medium medium, double? lengthMetres, int? portMbps) =>
        medium switch
        {
            Medium.Cat5 => 1000,
            Medium.Cat5e => 2500,
            Medium.Cat6 => lengthMetres <= TenGigabitOnCat6Metres ? 10000 : 5000,
            Medium.Cat6a => 10000,
            Medium.Powerline => portMbps <= 100 ? 95 : 150,
            _ => null,
        };
}
