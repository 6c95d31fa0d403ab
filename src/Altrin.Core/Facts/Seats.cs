using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>What one can look from.</summary>
public enum SeatKind
{
    /// <summary>A customer's device.</summary>
    Device,

    /// <summary>A box.</summary>
    Box,

    /// <summary>A free port, with the installer's laptop plugged in.</summary>
    Port,

    /// <summary>A Wi-Fi name of one box, with the laptop in it.</summary>
    Wifi,
}

/// <summary>A place to look from.</summary>
/// <param name="Id">A box or device; a port such as "hall-gateway/lan3"; a radio such as "hall-gateway/r5"; "hall-gateway/guest".</param>
/// <param name="Kind">What it is.</param>
/// <param name="Name">In words.</param>
/// <param name="Asks">Whether it asks for an address now; a laptop that is not there yet does not.</param>
public sealed record Seat(string Id, SeatKind Kind, string Name, bool Asks);

/// <summary>The places of a home to look from, and how it looks from there.</summary>
public static class Seats
{
    private const string Guest = "guest";

    /// <summary>Everything that one can look from: devices, boxes with an address side, free ports, and names on the air.</summary>
    public static IReadOnlyList<Seat> Of(Design design)
    {
        var sides = Compiler.Compile(design, Situation.Settled).Interfaces.ToLookup(i => i.Owner, StringComparer.Ordinal);
        bool Asks(string owner) => sides[owner].Any(i => i.AsksNow);
        var boxes = design.SetUp.Boxes.Select(b => design.Box(b.Box)).OfType<Box>().OrderBy(b => b.Id, StringComparer.Ordinal).ToList();
        return
        [
            .. design
                .SetUp.Devices.OrderBy(d => d.Device, StringComparer.Ordinal)
                .Select(d => new Seat(d.Device, SeatKind.Device, design.NameOf(d.Device), Asks(d.Device))),
            .. boxes.Where(b => sides.Contains(b.Id)).Select(b => new Seat(b.Id, SeatKind.Box, b.Name, Asks(b.Id))),
            .. boxes
                .SelectMany(b => b.Profile.Ports.Select(p => new PortRef(b.Id, p.Id)))
                .Where(p => design.CableAt(p) is null)
                .Select(p => new Seat(p.ToString(), SeatKind.Port, $"laptop in {PortWords.Of(design, p)}", false)),
            .. boxes
                .SelectMany(b => Airs(design, b.Id))
                .Select(a => new Seat(
                    $"{a.Box}/{Radio(a)}",
                    SeatKind.Wifi,
                    $"laptop in \"{a.Setting.Name}\" of {design.NameOf(a.Box)}{(a.Guest ? ", as a guest" : $", {BandWords.Of(a.Radio.Band)}")}",
                    false
                )),
        ];
    }

    /// <summary>The home with an observer at a seat, and who that is; or why that is no seat.</summary>
    /// <param name="design">The home.</param>
    /// <param name="at">A seat, by its id; a free port and a name on the air, joined by "+", for a laptop at both at once.</param>
    /// <param name="work">The work that it may take; null for as much as one proof may.</param>
    public static Parsed<(Observation Seen, string Owner)> At(Design design, string at, Work? work = null)
    {
        var (situation, owner) = (Situation.Settled, at);
        if (Laptop(design, at) is { } laptop)
        {
            var there = new MoveLaptop(laptop).From(new Moment(design, Situation.Settled));
            if (!there.Ok)
            {
                return Parsed<(Observation, string)>.Fail(there.Error);
            }
            // Nothing is remembered: a new host has what it would be given.
            (situation, owner) = (Situation.Settled with { Laptop = laptop }, laptop.InUse()!);
        }
        var seen = Observer.Observe(Compiler.Compile(design, situation, work));
        return Looking.From(seen, owner) is null
            ? Parsed<(Observation, string)>.Fail($"There is no box or device '{Ipv4Address.Shown(at)}' with an address in this set-up.")
            : (seen, owner);
    }

    /// <summary>
    /// The laptop at a port, in a Wi-Fi, or, where a port and a Wi-Fi are joined by "+", at both at once; null for any other seat.
    /// </summary>
    private static Laptop? Laptop(Design design, string at)
    {
        if (at.Split('+') is [var cable, var wifi])
        {
            return (Laptop(design, cable), Laptop(design, wifi)) is ({ Cable: { } socket, Wifi: null }, { Cable: null, Wifi: { } joined })
                ? new(socket, joined)
                : null;
        }
        if (PortRef.Read(at) is not { Port.Length: > 0 } end || design.Box(end.Owner) is not { } box)
        {
            return null;
        }
        var air = box.Profile.Port(end.Port) is null ? Airs(design, end.Owner).FirstOrDefault(a => Radio(a) == end.Port) : null;
        return air is null
            ? Networks.Laptop.At(end, new Automatic())
            : Networks.Laptop.In(new(air.Box, air.Setting.Name, air.Setting.Password), new Automatic());
    }

    /// <summary>The address that a device, a box, "internet" or a typed address stands for; an example where the server decides.</summary>
    public static Parsed<Ipv4Address> Target(Observation seen, string target)
    {
        if (target == "internet")
        {
            return Provider.Host;
        }
        var side = HostOf(seen.Network, target);
        return side is null ? Ipv4Address.Parse(target)
            : seen.Tracer.World.Address(side) is { } address ? address
            : Parsed<Ipv4Address>.Fail($"{seen.Network.NameOf(target)} has no address.");
    }

    /// <summary>The side by which a device or a box answers in its home; null where it has none.</summary>
    internal static Interface? HostOf(Network network, string owner) =>
        network.Find(owner, Side.Device) ?? network.Find(owner, Side.Page) ?? network.Find(owner, Side.Lan);

    /// <summary>One of each name for its own people on each radio, and one for guests.</summary>
    private static IEnumerable<Air> Airs(Design design, string box) => Air.Of(design, box).OrderBy(a => a.Guest).DistinctBy(Radio);

    private static string Radio(Air air) => air.Guest ? Guest : air.Radio.Id;
}
