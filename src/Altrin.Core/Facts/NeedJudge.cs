using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Whether what the customer asked for comes true.</summary>
internal sealed class NeedJudge(Network network, Leasing leasing, Tracer tracer, LinkMap links, PathRates rates)
{
    public NeedFact Of(Need need)
    {
        if (need is not DeviceNeed { Device: var id })
        {
            return Fact(need, OfHome(need), [], null);
        }
        if (network.Find(id, Side.Device) is not { } device)
        {
            return Fact(need, Answer.No(Cause.Of(CauseCodes.NotConnected, $"{Name(id)} is not in use in this set-up.", id)), [], id);
        }
        return need switch
        {
            ReachFromOutside reach => Inbound(reach, device),
            FoundByOthers found => Discovery(found, device),
            LocalServer server => Served(server, device),
            LittleDelay quick => Fact(quick, HomeNeeds.LittleDelay(network, links, device, tracer.ToInternet(device)), [], null),
            _ => throw new ArgumentOutOfRangeException(nameof(need)),
        };
    }

    private NeedFact Fact(Need need, Answer answer, IReadOnlyList<string> via, string? stoppedBy) =>
        NeedWords.Of(network.Design, need) is var (subject, asked)
            ? new(need.Id, need.About, $"{subject} {asked}", answer, via, stoppedBy)
            : throw new ArgumentOutOfRangeException(nameof(need));

    private Answer OfHome(Need need) =>
        need switch
        {
            CallsInPlace calls => HomeNeeds.Calls(rates, network.Design, calls),
            GuestsKeptApart => HomeNeeds.Guests(network),
            KeepsNameAndPassword keeps => HomeNeeds.Name(network.Design, keeps),
            ServiceLives lives => HomeNeeds.Lives(network.Design, lives),
            _ => throw new ArgumentOutOfRangeException(nameof(need)),
        };

    private NeedFact Served(LocalServer need, Interface device)
    {
        if (!device.Linked)
        {
            return Fact(need, tracer.ToInternet(device).Answer, [], device.Owner);
        }
        var cells = new ReachTable(network, leasing, tracer).Towards(device, OfHome(device));
        var answer = Answer.All([.. cells.Select(c => c.Answer)]);
        var stopped = cells.FirstOrDefault(c => !c.Answer.IsYes);
        return Fact(need, answer, stopped?.Via ?? [], stopped is null ? null : stopped.StoppedBy ?? stopped.From);
    }

    /// <summary>Every other device of the home. Guests are kept apart on purpose.</summary>
    private IEnumerable<Interface> OfHome(Interface device) =>
        network.Interfaces.Where(i =>
            i.Side == Side.Device && i.Owner != device.Owner && i.GuestOf is null && GuestId.BoxOf(i.Segment) is null
        );

    private NeedFact Inbound(ReachFromOutside need, Interface device)
    {
        var (via, way) = tracer.FromInternet(need, device);
        var answer = way.Answer;
        if (network.Design.Site.Service is CarrierNat)
        {
            answer = Answer.No(
                Cause.Of(CauseCodes.CarrierNat, "Carrier-grade NAT: no connection from outside gets to the home over IPv4.", PortRef.Street)
            );
            return Stopped(PortRef.Street);
        }
        if (network.Design.Site.Service is UnknownService)
        {
            answer = answer.And(
                Answer.NotKnown(
                    Cause.Of(CauseCodes.ServiceUnknown, "Whether the provider gives a public address was not asked.", PortRef.Street)
                )
            );
        }
        var inner = via.Where(tracer.ToInternet(device).NatBy.Contains).Skip(1).ToList();
        if (answer.Kind == AnswerKind.No && answer.Causes.Any(c => c.Code == CauseCodes.NotForwarded))
        {
            answer = answer.And(Answer.No([.. inner.Select(Twice)]));
        }
        answer = answer.And(tracer.ToInternet(device).Answer);
        return Stopped(way.StoppedBy ?? device.Owner);

        NeedFact Stopped(string stoppedBy) => Fact(need, answer, via, answer.IsYes ? null : stoppedBy);
    }

    /// <summary>Discovery by multicast stays on its link (RFC 6762) and crosses no router.</summary>
    private NeedFact Discovery(FoundByOthers need, Interface device)
    {
        if (!device.Linked)
        {
            return Fact(need, tracer.ToInternet(device).Answer, [], device.Owner);
        }
        var elsewhere = OfHome(device).Where(i => !i.Linked || i.Segment != device.Segment).ToList();
        // Hosts in one segment are stopped alike, so one of each is looked at.
        var apart = elsewhere
            .Where(o => o.Linked)
            .GroupBy(o => o.Segment)
            .Select(g => Apart(device, g.MaxBy(o => tracer.ToInternet(o).Routers.Count)!));
        var steps = elsewhere.Where(o => !o.Linked).Select(o => (tracer.ToInternet(o).Answer, (string?)o.Owner)).Concat(apart).ToList();
        var answer = Answer.All([.. steps.Select(s => s.Item1)]);
        return Fact(need, answer, [], answer.IsYes ? null : steps.First(s => !s.Item1.IsYes).Item2);
    }

    private (Answer, string?) Apart(Interface device, Interface other)
    {
        var (a, b) = (tracer.ToInternet(device), tracer.ToInternet(other));
        var between = a.Routers.Where(r => !b.Routers.Contains(r)).Concat(b.Routers.Where(r => !a.Routers.Contains(r))).Distinct().ToList();
        var inner = between.Where(r => network.Find(r, Side.Wan) is { } wan && tracer.ToInternet(wan).Routers.Count > 0).ToList();
        var twice = inner.Where(r => tracer.NatAbove(r).Count > 0).ToList();
        if (twice.Count > 0)
        {
            return (Answer.No([.. twice.Select(Twice)]), twice[0]);
        }
        // Hosts on an island are apart because of what made it one.
        var island = a
            .Answer.Causes.Concat(b.Answer.Causes)
            .Where(c => c.Code is CauseCodes.WanPortEmpty or CauseCodes.NoDhcpServer or CauseCodes.UplinkNotJoined);
        var apart = Cause.Of(
            CauseCodes.Apart,
            $"{Name(device.Owner)} and {Name(other.Owner)} are not in one network.",
            device.Owner,
            other.Owner
        );
        return (Answer.No([apart, .. island]), inner.FirstOrDefault() ?? between.FirstOrDefault() ?? other.Owner);
    }

    private Cause Twice(string inner) => Cause.Of(CauseCodes.DoubleNat, $"Double NAT: {Name(inner)} keeps what is behind it apart.", inner);

    private string Name(string id) => network.NameOf(id);
}
