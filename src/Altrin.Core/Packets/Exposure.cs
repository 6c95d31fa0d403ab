using System.Globalization;
using Altrin.Core.Addressing;

namespace Altrin.Core.Packets;

/// <summary>
/// How likely something comes to pass, for each way in which DHCP servers choose addresses. RFC 2131, section 4.3.1, leaves the choice to
/// the server; the three ways: common practice.
/// </summary>
/// <param name="LowestFree">Where the server gives the lowest free address.</param>
/// <param name="ByHash">Where a hash of the MAC address says which: as good as drawn.</param>
/// <param name="NextAfterLast">Where each client gets the address after the one before, from a start that is not known.</param>
public sealed record Chances(double LowestFree, double ByHash, double NextAfterLast)
{
    /// <summary>The least of the three, 0 to 1.</summary>
    public double Least => Math.Min(LowestFree, Math.Min(ByHash, NextAfterLast));

    /// <summary>The most of the three, 0 to 1.</summary>
    public double Most => Math.Max(LowestFree, Math.Max(ByHash, NextAfterLast));

    /// <summary>The range in words, such as "0 to 3 %".</summary>
    public string Words => Percent(Least) == Percent(Most) ? $"{Percent(Most)} %" : $"{Percent(Least)} to {Percent(Most)} %";

    // What may happen is never 0, what may not happen never 100.
    private static string Percent(double chance) =>
        chance is > 0 and < 0.01 ? "under 1"
        : chance is > 0.99 and < 1 ? "over 99"
        : Math.Round(chance * 100).ToString(CultureInfo.InvariantCulture);
}

/// <summary>
/// How likely a DHCP server leases an address that another host has set by hand, or has none left: one lease for each client, no
/// history. In the end, as clients come and go, every address of a pool is leased; how likely it is today says how bad it is.
/// </summary>
/// <param name="Clients">How many ask, without a reservation.</param>
/// <param name="Free">How many addresses there are for them.</param>
/// <param name="Now">With these clients.</param>
/// <param name="Doubled">With twice as many.</param>
public sealed record Exposure(int Clients, int Free, Chances Now, Chances Doubled)
{
    /// <summary>
    /// Below this, in every way of choosing and with twice the clients, it is a concern, and no fact is left to luck for it.
    /// </summary>
    public const double Small = 0.05;

    /// <summary>Whether it stays unlikely.</summary>
    public bool IsSmall => AreSmall([this]);

    /// <summary>
    /// Whether all that one server may lease a second time stays unlikely together: their sum, which is never less than how likely any of
    /// them is.
    /// </summary>
    public static bool AreSmall(IEnumerable<Exposure> ofOneServer) => ofOneServer.Sum(e => Math.Max(e.Now.Most, e.Doubled.Most)) < Small;

    /// <summary>How likely, in a sentence.</summary>
    public string Words =>
        Clients == 0 ? "No device asks for an address there now."
        : Now.Words == Doubled.Words ? $"How likely that is: {Now.Words}."
        : $"How likely that is: {Now.Words} with the {Clients} that ask now, {Doubled.Words} with twice as many, depending on how the server chooses.";

    /// <summary>For an address inside a pool that its holder has set by hand.</summary>
    /// <param name="pool">The pool.</param>
    /// <param name="kept">Addresses that the server does not give away: reservations, its own.</param>
    /// <param name="address">The address, which the pool contains and nothing keeps.</param>
    /// <param name="clients">How many ask, without a reservation.</param>
    public static Exposure OfAddress(AddressRange pool, IEnumerable<Ipv4Address> kept, Ipv4Address address, int clients)
    {
        var away = kept.Where(a => a != address && pool.Contains(a)).ToHashSet();
        var free = (int)(pool.Count - away.Count);
        // Its place among those that are given away, counted from the lowest.
        var place = (int)(address.Bits - pool.First.Bits) - away.Count(a => a < address);
        return new(clients, free, With(clients), With(2 * clients));

        Chances With(int asking)
        {
            // Of all that are free, so many are leased, wherever they lie.
            var share = Math.Min(1, (double)asking / free);
            return new(place < asking ? 1 : 0, share, share);
        }
    }

    /// <summary>For one of the clients of a pool that holds too few addresses: that it is the one who gets none.</summary>
    /// <param name="clients">How many ask.</param>
    /// <param name="free">How many addresses there are.</param>
    public static Exposure OfClient(int clients, int free)
    {
        var left = clients > free ? (double)(clients - free) / clients : 0;
        // More clients than are known are not what the pool was found too small for.
        return new(clients, free, new(left, left, left), new(left, left, left));
    }
}
