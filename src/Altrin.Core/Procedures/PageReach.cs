using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>What the laptop's browser gets to at an address.</summary>
/// <param name="Address">The address typed.</param>
/// <param name="Answer">Whether a page opens there.</param>
/// <param name="Box">Whose page it is; null where none opens for certain.</param>
/// <param name="From">Which side of the box it is opened from; null where none opens.</param>
/// <param name="Why">Why it does not open for certain; null where it does.</param>
public sealed record PageReach(Ipv4Address Address, AnswerKind Answer, string? Box, PageSide? From, string? Why)
{
    /// <summary>What opens at an address from where the laptop is.</summary>
    public static PageReach At(State now, Ipv4Address address)
    {
        if (now.Laptop is not { } laptop)
        {
            return No(address, "The laptop is in its bag.");
        }
        var seen = now.Seen();
        var ways = Looking.Ways(seen, laptop, address);
        if (ways.Count == 0)
        {
            return No(address, $"The laptop has no address that leads to {address}.");
        }
        if (ways.Count > 1)
        {
            return new(
                address,
                AnswerKind.Luck,
                null,
                null,
                $"The laptop has two ways to {address}, by cable and by Wi-Fi: which one it takes is luck."
            );
        }
        var way = ways[0];
        var trace = Looking.To(seen, way.Owner, address)!;
        if (trace.Ping.Kind != AnswerKind.Yes)
        {
            return new(address, trace.Ping.Kind, null, null, trace.Ping.Why);
        }
        var owner = trace.Hops.Count > 0 ? trace.Hops[^1].Owner : way.Owner;
        if (now.Design.Box(owner) is not { } box)
        {
            // To whom a server leases an address is its own affair: that it is just this one here is an example.
            return No(
                address,
                seen.Network.Interfaces.Any(i =>
                    i.Owner == owner && seen.Leasing.Holdings(i).Any(h => h.Exact == address && h.Pool is null)
                )
                    ? $"{seen.Network.NameOf(owner)} has {address}, which is no box with a page."
                    : $"No box has {address}."
            );
        }
        if (PageAt.HasNone(box.Profile))
        {
            return No(address, $"{box.Name} has no page.");
        }
        if (PageOpens.IsBusy(now, owner))
        {
            return No(address, $"{box.Name} is busy: wait until it is done.");
        }
        var side = Side(seen, laptop, way, owner, address);
        return PageAt.Sides(box.Profile).Contains(side)
            ? new(address, AnswerKind.Yes, owner, side, null)
            : No(address, $"The page of {box.Name} does not open from {Words(side)}.");
    }

    /// <summary>Why the laptop has no internet; null where it has.</summary>
    public static string? NoInternet(State now) =>
        now.Laptop is not { } laptop ? "The laptop is in its bag."
        : Looking.Ways(now.Seen(), laptop, Provider.Host) is not [var way, ..] ? "The laptop has no way to the internet."
        : now.Seen().Tracer.ToInternet(way).Answer is { IsYes: false } no ? $"The laptop has no internet: {no.Why}"
        : null;

    private static PageSide Side(Observation seen, Laptop laptop, Interface way, string box, Ipv4Address address)
    {
        var entered = seen.Network.Interfaces.Where(i => i.Owner == box && i.Segment == way.Segment).Select(i => i.Side).ToList();
        return way.Owner == Laptop.WifiId && laptop.Wifi!.Join.Box == box
                ? (entered.Contains(Networks.Side.Guest) || way.GuestOf == box ? PageSide.Guest : PageSide.Wifi)
            : entered.Contains(Networks.Side.Guest) ? PageSide.Guest
            : entered.Contains(Networks.Side.Lan) || entered.Contains(Networks.Side.Page) ? PageSide.Cable
            : entered.Count == 0 && !IsWan(seen, box, address) ? PageSide.Cable
            : PageSide.Wan;
    }

    private static bool IsWan(Observation seen, string box, Ipv4Address address) =>
        seen.Network.Find(box, Networks.Side.Wan) is { } wan && seen.Leasing.Holdings(wan).Any(h => h.Exact == address);

    private static string Words(PageSide side) =>
        side switch
        {
            PageSide.Cable => "a LAN cable",
            PageSide.Wifi => "its own Wi-Fi: take a cable",
            PageSide.Guest => "its guest network",
            _ => "its WAN side",
        };

    private static PageReach No(Ipv4Address address, string why) => new(address, AnswerKind.No, null, null, why);
}
