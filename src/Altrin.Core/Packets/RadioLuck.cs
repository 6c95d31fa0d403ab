using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>
/// What luck decides on the radio links of a network, and who is behind them: the one place that says so. Which outcome a packet meets is
/// asked of <see cref="Choices"/>, like everything that luck decides.
/// </summary>
internal sealed class RadioLuck
{
    /// <summary>How many boxes one sentence names.</summary>
    private const int MostNamed = 4;

    private readonly World _world;
    private readonly Dictionary<Interface, LinkLuck[]> _behind;

    public RadioLuck(World world)
    {
        _world = world;
        _behind = BehindLinks();
    }

    private Design Design => _world.Network.Design;

    private IReadOnlyList<RadioLink> Links => _world.Network.RadioLinks;

    /// <summary>The radio links that lie between two sides of a segment, in order.</summary>
    public IEnumerable<LinkLuck> Between(Interface a, Interface b)
    {
        if (_behind.Count == 0)
        {
            yield break;
        }
        var (of, other) = (_behind.GetValueOrDefault(a, []), _behind.GetValueOrDefault(b, []));
        // Both are in order: what only one of them is behind is found by going along both.
        for (var (i, j) = (0, 0); i < of.Length || j < other.Length; )
        {
            var here = i < of.Length ? of[i].Order : int.MaxValue;
            var there = j < other.Length ? other[j].Order : int.MaxValue;
            if (here == there)
            {
                (i, j) = (i + 1, j + 1);
                continue;
            }
            var link = here < there ? of[i++] : other[j++];
            if (link.Link.Segment == a.Segment)
            {
                yield return link;
            }
        }
    }

    private Dictionary<Interface, LinkLuck[]> BehindLinks()
    {
        LinkLuck[] links = [.. Links.Select((l, i) => new LinkLuck(l, i, l.Rivals.Count > 0 ? Strays(l) : null, Wanders(l), Untold(l)))];
        return links.Length == 0
            ? []
            : _world
                .Network.Interfaces.Select(i => (Side: i, Links: links.Where(l => l.Link.Holds(i)).ToArray()))
                .Where(i => i.Links.Length > 0)
                .ToDictionary(i => i.Side, i => i.Links);
    }

    /// <summary>That a box may join another one of the same name, or itself.</summary>
    public Cause Strays(RadioLink link) =>
        Cause.Of(
            CauseCodes.RepeaterJoinsOther,
            $"{_world.Name(link.Box)} looks for a name that {Rivals(link)} {(link.Rivals.Count == 1 ? "sends" : "send")} too: whom it joins is luck.",
            link.Box
        );

    /// <summary>The boxes that send the name too, the first few by name.</summary>
    private string Rivals(RadioLink link)
    {
        string[] names = [.. link.Rivals.Take(MostNamed).Select(r => r == link.Box ? "it" : _world.Name(r))];
        return link.Rivals.Count > MostNamed
            ? $"{string.Join(", ", names)} and {link.Rivals.Count - MostNamed} more"
            : string.Join(" and ", names);
    }

    /// <summary>
    /// What was not found out of a link and decides whether it carries anything: its password, or whether the other box takes frames with
    /// four addresses; null where all is known.
    /// </summary>
    public Cause? Untold(RadioLink link) =>
        link.KeyOpen
            ? Cause.Of(
                CauseCodes.UplinkNotJoined,
                $"The password by which {_world.Name(link.Box)} joins {_world.Name(link.To)} is not recorded.",
                link.Box
            )
        : link.Frames == UplinkFrames.FourAddress ? FourUntold(link)
        : null;

    private Cause? FourUntold(RadioLink link) =>
        Design.Mode(link.Box)?.Joins is { } joins
        && Design.Box(link.Box)!.Profile.Radios.FirstOrDefault(r => r.Id == joins.Radio)?.Band is { } band
        && Design.Box(link.To)!.Profile.Radios.Where(r => r.Band == band).All(r => r.FourAddress == Known.Unknown)
            ? Cause.Of(
                CauseCodes.UplinkNotJoined,
                $"Whether {_world.Name(link.To)} takes four addresses from {_world.Name(link.Box)} was not found out.",
                link.Box
            )
            : null;

    /// <summary>
    /// That the other box chooses its channel by itself, among some that this one may not use here; null where it cannot happen.
    /// </summary>
    public Cause? Wanders(RadioLink link) =>
        Design.Mode(link.Box)?.Joins is { } joins
        && Design.Box(link.Box)!.Profile.Radios.FirstOrDefault(r => r.Id == joins.Radio) is { Channels.Count: > 0 } own
        && Air.Of(Design, link.To).Where(a => a.Setting.Name == joins.Name && a.Radio.Band == own.Band).ToList() is { Count: > 0 } heard
        && heard.All(a => a.Setting.Channel is null && a.Radio.Channels.Except(own.Channels).Any())
            ? Cause.Of(
                CauseCodes.UplinkNotJoined,
                $"{_world.Name(link.To)} chooses its channel by itself, and {_world.Name(link.Box)} may not use all of them.",
                link.Box
            )
            : null;

    /// <summary>
    /// The radio link with three addresses between a host and who leased it its address, and what is known of leases through it;
    /// null where none lies between, or where they get through.
    /// </summary>
    public (RadioLink Link, Known Through, Cause Why)? Proxied(Interface host, string server)
    {
        if (
            Links.Count == 0
            || (_world.Network.Find(server, Side.Lan) ?? _world.Network.Find(GuestId.BoxOf(server) ?? server, Side.Guest)) is not { } seat
        )
        {
            return null;
        }
        var link = Between(host, seat)
            .Select(l => l.Link)
            .FirstOrDefault(l =>
                l.Frames == UplinkFrames.ThreeAddress
                && _world.HabitsOf(l.Box).LeasesThrough != Known.Yes
                // The box itself is an ordinary client of the Wi-Fi.
                && host.Owner != l.Box
            );
        return link is null
            ? null
            : (
                link,
                _world.HabitsOf(link.Box).LeasesThrough,
                Cause.Of(
                    CauseCodes.DhcpThroughBridge,
                    $"{_world.Name(link.Box)} joins with three addresses: whether leases get through it to the hosts behind differs from box to box.",
                    link.Box
                )
            );
    }
}

/// <summary>A radio link with what luck decides on it, worked out once for the hosts behind it.</summary>
/// <param name="Link">The link.</param>
/// <param name="Order">Its place among the links of the network.</param>
/// <param name="Strays">That its box may join another one; null where it joins this one.</param>
/// <param name="Wanders">That the other box chooses its channel among some that this one may not use; null where it cannot happen.</param>
/// <param name="Untold">That it was not found out whether it carries four addresses; null where that is known.</param>
internal sealed record LinkLuck(RadioLink Link, int Order, Cause? Strays, Cause? Wanders, Cause? Untold);
