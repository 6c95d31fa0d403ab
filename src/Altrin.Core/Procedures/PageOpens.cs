using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>Whether the laptop gets to the page of a box that is meant, and in.</summary>
internal static class PageOpens
{
    /// <summary>The box, where its page opens; or why it does not.</summary>
    public static Parsed<Box> Of(State now, string id) => At(now, id, null).Then<Box>(_ => now.Design.Box(id)!);

    /// <summary>Whether the page of a box is away because the box starts, saves or is renewed.</summary>
    public static bool IsBusy(State now, string id) => now.Moment.Situation.BusyNow().Any(b => b.Box == id && b.Kind != BusyKind.Radios);

    /// <summary>The box, where its page opens and the login is known; or why not.</summary>
    public static Parsed<Box> LoggedIn(State now, string id) =>
        Of(now, id).Then(box => Login.Lacking(now, box) is { } lacking ? Parsed<Box>.Fail(lacking) : box);

    /// <summary>The address at which the page of a box opens; or why none does, or whose page opens there.</summary>
    public static Parsed<Ipv4Address> At(State now, string id, Ipv4Address? typed)
    {
        if (now.Design.Box(id) is not { } box)
        {
            return Parsed<Ipv4Address>.Fail(Missing.Box(now.Design, id));
        }
        if (now.Design.Mode(id) is null || now.Moment.Situation.Off.Contains(id))
        {
            return Parsed<Ipv4Address>.Fail($"{box.Name} has no power.");
        }
        if (IsBusy(now, id))
        {
            return Parsed<Ipv4Address>.Fail($"{box.Name} is busy: wait until it is done.");
        }
        return (typed is { } given ? given : AddressOf(now, id)).Then(address =>
        {
            // What opens is found out by the address alone: another box may answer there.
            var reach = PageReach.At(now, address);
            return reach.Answer != AnswerKind.Yes
                    ? Parsed<Ipv4Address>.Fail($"The page of {box.Name} does not open at {address}: {reach.Why}")
                : reach.Box != id
                    ? Parsed<Ipv4Address>.Fail($"At {address} the page of {now.Design.NameOf(reach.Box!)} opens, not that of {box.Name}.")
                : address;
        });
    }

    /// <summary>
    /// Where a box answers: its LAN address or that of its page, a leased one once it is certain; or why that is not known.
    /// </summary>
    public static Parsed<Ipv4Address> AddressOf(State now, string id)
    {
        var (seen, name) = (now.Seen(), now.Design.NameOf(id));
        if (Seats.HostOf(seen.Network, id) is not { } side)
        {
            return Parsed<Ipv4Address>.Fail($"{name} has no page, or no power.");
        }
        return seen.Leasing.Holdings(side) is [{ Exact: { } address }]
            ? address
            : Parsed<Ipv4Address>.Fail($"{name} has no address: no DHCP server gave it one.");
    }
}
