using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Packets;

/// <summary>What is written down while a way is followed: whom it passed, what was written over in the packet, what stopped it.</summary>
internal sealed class Trail(World world)
{
    private readonly List<Mapping> _mappings = [];
    private string? _stoppedBy;

    /// <summary>What stops the connection.</summary>
    public List<Cause> Wrong { get; } = [];

    /// <summary>What it depends on and was not found out.</summary>
    public List<Cause> Open { get; } = [];

    /// <summary>Routers passed on the way out.</summary>
    public List<string> Routers { get; } = [];

    /// <summary>Segments entered on the way out.</summary>
    public List<string> Segments { get; } = [];

    /// <summary>At whom the connection arrived; null where it did not.</summary>
    public Interface? ArrivedAt { get; set; }

    /// <summary>The rest of the way, where it was followed before.</summary>
    public Route? HandedOn { get; set; }

    /// <summary>Says who stops the way, and why; the one that stopped it first stays the one who did.</summary>
    public void Stop(string by, Cause cause)
    {
        StopsAt(by);
        Wrong.Add(cause);
    }

    /// <summary>Says who stops the way; the one that stopped it first stays the one who did.</summary>
    public void StopsAt(string by) => _stoppedBy ??= by;

    /// <summary>A box gives the packet another source.</summary>
    public void Translate(string router, ref Packet packet, Ipv4Address source)
    {
        _mappings.Add(new(router, false, packet.Source, source));
        packet = packet with { Source = source };
    }

    /// <summary>A box sends the packet on to another target.</summary>
    public void Forward(string router, ref Packet packet, Ipv4Address target, int port)
    {
        _mappings.Add(new(router, true, packet.Target, target));
        packet = packet with { Target = target, Port = port };
    }

    /// <summary>Whether a box sent the packet on to another target.</summary>
    public bool Forwarded(string router) => _mappings.Exists(m => m.Router == router && m.OfTarget);

    /// <summary>What a box wrote over on the way out is put back in the answer.</summary>
    public void Undo(string router, ref Packet packet)
    {
        for (var i = _mappings.Count - 1; i >= 0; i--)
        {
            var mapping = _mappings[i];
            if (mapping.Router != router)
            {
                continue;
            }
            if (!mapping.OfTarget && packet.Target == mapping.After)
            {
                packet = packet with { Target = mapping.Before };
            }
            else if (mapping.OfTarget && packet.Source == mapping.After)
            {
                packet = packet with { Source = mapping.Before };
            }
        }
    }

    /// <summary>What the way came to.</summary>
    /// <param name="from">Who began it.</param>
    /// <param name="lost">Why hosts on it lost their addresses.</param>
    public (Answer, Route) End(Interface from, IReadOnlyList<Cause> lost)
    {
        if (Wrong.Count > 0 && Outside(from) is { } outside)
        {
            // Where exactly such a host's packets or answers get lost matters less than that no router has a route to its address.
            Wrong.RemoveAll(c =>
                c.Code
                    is CauseCodes.GatewayWrong
                        or CauseCodes.NoAnswer
                        or CauseCodes.NoRoute
                        or CauseCodes.NoReturnRoute
                        or CauseCodes.NoNat
            );
            Wrong.Add(outside);
        }
        var wrong = Wrong.Concat(lost).ToList();
        var answer =
            wrong.Count > 0 ? Answer.No(wrong)
            : Open.Count > 0 ? Answer.NotKnown(Open)
            : Answer.Yes;
        var translations = _mappings.Where(m => !m.OfTarget).ToList();
        if (HandedOn is { } rest)
        {
            var all = answer.And(rest.Answer);
            string[] translators = [.. translations.Select(m => m.Router), Routers[^1], .. rest.NatBy];
            return (
                all,
                new(
                    all,
                    [.. Routers, .. rest.Routers],
                    translators,
                    [.. Segments, .. rest.Segments],
                    all.IsYes ? null : _stoppedBy ?? rest.StoppedBy,
                    rest.SeenAs,
                    rest.ArrivedAt
                )
                {
                    Sure = rest.Sure,
                }
            );
        }
        var seenAs = translations.Count > 0 ? translations[^1].Router : from.Owner;
        return (
            answer,
            new(
                answer,
                Routers,
                [.. translations.Select(m => m.Router)],
                Segments,
                answer.IsYes ? null : _stoppedBy ?? from.Owner,
                seenAs,
                ArrivedAt?.Owner
            )
        );
    }

    /// <summary>That a host was set outside every subnet that is routed in its segment.</summary>
    private Cause? Outside(Interface host)
    {
        if (host.Setting is not Fixed typed || host.Side == Side.Provider || host.Segment == PortRef.Street)
        {
            return null;
        }
        var mainRouters = world.Hosts.MainRouters(world.Network.Segment(host.Segment));
        return mainRouters.Count > 0 && mainRouters.All(r => !World.Own(r).Subnet.Contains(typed.Address.Address))
            ? Cause.Of(
                CauseCodes.OutsideSubnet,
                $"{typed.Address.Address} of {world.Name(host.Owner)} lies outside {World.Own(mainRouters[0]).Subnet}.",
                host.Owner
            )
            : null;
    }
}
