using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>What the laptop, and a person beside it, sees in a state.</summary>
/// <param name="Adapters">The laptop's adapters that are in use, the cable first.</param>
/// <param name="Pages">What opens at each address at which a page is or was: those of boxes in use, and those opened before.</param>
/// <param name="Internet">A ping and a route to the internet; null where the laptop is in its bag.</param>
/// <param name="Names">Names on the air.</param>
/// <param name="Lights">What lights of boxes show, where their kind says it.</param>
/// <param name="Online">Whether each customer's device has the internet.</param>
public sealed record Expectation(
    IReadOnlyList<AdapterSeen> Adapters,
    IReadOnlyList<PageReach> Pages,
    Trace? Internet,
    IReadOnlyList<NameSeen> Names,
    IReadOnlyList<LightSeen> Lights,
    IReadOnlyList<DeviceOnline> Online
)
{
    /// <summary>What is seen in a state.</summary>
    public static Expectation Of(State now)
    {
        var seen = now.Seen();
        var adapters = (now.Laptop?.Adapters() ?? []).Select(a => Adapter(seen, a.Owner)).ToList();
        return new(
            adapters,
            now.Laptop is null ? [] : [.. Addresses(now).Select(a => PageReach.At(now, a))],
            now.Laptop is { } laptop
                ? Looking.Ways(seen, laptop, Provider.Host) is [var way, ..]
                    ? Looking.To(seen, way.Owner, Provider.Host)
                    : null
                : null,
            [.. Sent(now)],
            [
                .. now
                    .Design.SetUp.Boxes.Select(b => b.Box)
                    .Except(now.Moment.Situation.Off)
                    .Order(StringComparer.Ordinal)
                    .SelectMany(b => Lit(now, b)),
            ],
            [.. seen.Internet.Select(i => new DeviceOnline(i.Device, i.Answer))]
        );
    }

    private static AdapterSeen Adapter(Observation seen, string owner)
    {
        var view = Looking.From(seen, owner);
        return new(
            owner,
            view?.Addresses is [var address, ..] ? address : null,
            view?.Table ?? [],
            view?.Addresses is [{ Gateway: { } gateway }, ..] ? Looking.To(seen, owner, gateway) : null
        );
    }

    /// <summary>Where a page is, or was when it was opened.</summary>
    private static IEnumerable<Ipv4Address> Addresses(State now) =>
        now
            .Design.SetUp.Boxes.Select(b => PageOpens.AddressOf(now, b.Box))
            .Where(a => a.Ok)
            .Select(a => a.Value)
            .Concat(now.Ledger.Opened.Select(o => o.Address))
            .Distinct()
            .Order();

    private static IEnumerable<NameSeen> Sent(State now)
    {
        return now
            .Design.SetUp.Boxes.Select(b => b.Box)
            .Except(now.Moment.Situation.Silent())
            .SelectMany(b => Air.Of(now.Design, b))
            .Where(a => !a.Setting.Hidden)
            .Select(a => new NameSeen(a.Setting.Name, a.Box, a.Radio.Band, a.Setting.Channel, a.Setting.Security, a.Guest))
            .OrderBy(n => n.Name, StringComparer.Ordinal)
            .ThenBy(n => n.Box, StringComparer.Ordinal)
            .ThenBy(n => n.Band);
    }

    private static IEnumerable<LightSeen> Lit(State now, string id)
    {
        var busy = now.Moment.Situation.BusyNow().Where(b => b.Box == id).Select(b => b.Kind).ToList();
        var joins = now.Design.Mode(id)?.Joins is not null;
        var phase =
            busy.Contains(BusyKind.Updating) ? LightPhase.Updating
            : busy.Contains(BusyKind.Starting) ? LightPhase.Starting
            : joins && now.Seen().Network.RadioLinks.All(l => l.Box != id) ? LightPhase.Joining
            : now.Ledger.AtFactory.Contains(id) ? LightPhase.BeforeSetUp
            : LightPhase.InUse;
        return (now.Design.Box(id)!.Profile.Traits.Lights ?? [])
            .Where(l => l.Phase == phase)
            .Select(l => new LightSeen(id, phase, l.Light, l.Shows, l.Means));
    }
}

/// <summary>One adapter of the laptop.</summary>
/// <param name="Owner">Which: <see cref="Laptop.CableId"/> or <see cref="Laptop.WifiId"/>.</param>
/// <param name="Address">Its address, gateway and DNS servers; null where it has no link.</param>
/// <param name="Table">Its address table once it has asked everybody.</param>
/// <param name="Gateway">A ping and a route to its gateway; null where it has none.</param>
public sealed record AdapterSeen(string Owner, AddressFact? Address, IReadOnlyList<Neighbour> Table, Trace? Gateway);

/// <summary>A Wi-Fi name on the air.</summary>
/// <param name="Name">The name.</param>
/// <param name="Box">Who sends it.</param>
/// <param name="Band">On which band.</param>
/// <param name="Channel">On which channel; null where the box chooses.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Guest">Whether it is for guests.</param>
public sealed record NameSeen(string Name, string Box, RadioBand Band, int? Channel, WifiSecurity Security, bool Guest);

/// <summary>A light of a box, as its kind says it in a phase; of several signs of one light any may show.</summary>
/// <param name="Box">The box.</param>
/// <param name="Phase">The phase that it is in.</param>
/// <param name="Light">Which light.</param>
/// <param name="Shows">Colour and rhythm.</param>
/// <param name="Means">What it says.</param>
public sealed record LightSeen(string Box, LightPhase Phase, string Light, string Shows, string Means);

/// <summary>Whether a customer's device has the internet.</summary>
/// <param name="Device">Which.</param>
/// <param name="Answer">Whether.</param>
public sealed record DeviceOnline(string Device, Answer Answer);
