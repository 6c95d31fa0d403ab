using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Whether what the customer asked for comes true.</summary>
internal sealed class NeedJudge(Network network, Leasing leasing, Tracer tracer)
{
    public NeedFact Of(Need need)
    {
        if (network.Find(need.Device, Side.Device) is not { } device)
        {
            return new(need.Id, need.Device, Answer.No(Cause.Of(CauseCodes.NotConnected, $"{Name(need.Device)} is not in use in this set-up.", need.Device)), [], need.Device);
        }
        return need switch
        {
            ReachFromOutside reach => Inbound(reach, device),
            FoundByOthers found => Discovery(found, device),
            _ => throw new ArgumentOutOfRangeException(nameof(need)),
        };
    }

    /// <summary>
    /// A connection from outside follows the device's own way out backwards: each translating router on it must forward the
    /// port to the next one inward (RFC 3022: nothing is translated inward without a mapping).
    /// </summary>
    private NeedFact Inbound(ReachFromOutside need, Interface device)
    {
        var outward = tracer.ToInternet(device);
        string[] routers = [.. outward.Routers.Reverse()];
        if (network.Design.Site.Service is CarrierTranslation)
        {
            return Fact(Answer.No(Cause.Of(CauseCodes.CarrierTranslation, "The provider translates: nothing opened from outside gets to the home over IPv4.", PortRef.Street)), PortRef.Street);
        }
        if (outward.Answer.Kind == AnswerKind.No)
        {
            return Fact(outward.Answer, routers.Length > 0 ? routers[^1] : device.Owner);
        }
        var answer = network.Design.Site.Service is UnknownService
            ? Answer.NotKnown(Cause.Of(CauseCodes.ServiceUnknown, "Whether the provider gives a public address was not asked.", PortRef.Street))
            : Answer.Yes;
        var port = need.Port;
        for (var i = 0; i < routers.Length; i++)
        {
            var target = i + 1 < routers.Length ? network.Find(routers[i + 1], Side.Wan)! : device;
            var step = Step(routers[i], need.Protocol, target, ref port);
            answer = answer.And(step);
            if (step.Kind == AnswerKind.No)
            {
                return Fact(answer.And(Answer.No([.. routers.Skip(1).Select(Twice)])), routers[i]);
            }
        }
        answer = answer.And(outward.Answer);
        return Fact(port == need.Port ? answer : Answer.No(Cause.Of(CauseCodes.NotForwarded, $"The connection arrives at port {port} instead of {need.Port}.", routers[^1])), answer.IsYes ? null : device.Owner);

        NeedFact Fact(Answer result, string? stoppedBy) => new(need.Id, device.Owner, result, routers, result.IsYes ? null : stoppedBy);
    }

    private Answer Step(string router, Protocol protocol, Interface target, ref int port)
    {
        var outside = port;
        var forward = network.Router(router)!.Forwards.FirstOrDefault(f => f.Protocol == protocol && f.OutsidePort == outside);
        if (forward is null)
        {
            return Answer.No(Cause.Of(CauseCodes.NotForwarded, $"{Name(router)} does not let port {port} in.", router));
        }
        port = forward.InsidePort;
        var holdings = leasing.Holdings(target);
        if (holdings.All(h => h.Exact == forward.To))
        {
            return Answer.Yes;
        }
        return holdings.Any(h => h.Exact == forward.To || h.From is { } pool && pool.Contains(forward.To))
            ? Answer.ByLuck(Cause.Of(CauseCodes.ForwardToLease, $"{Name(router)} forwards to {forward.To}, which {Name(target.Owner)} has only by luck.", router, target.Owner))
            : Answer.No(Cause.Of(CauseCodes.NotForwarded, $"{Name(router)} forwards port {outside} to {forward.To}, which is not {Name(target.Owner)}.", router));
    }

    /// <summary>Discovery by multicast stays on its link (RFC 6762) and crosses no router.</summary>
    private NeedFact Discovery(FoundByOthers need, Interface device)
    {
        // Guests are kept apart on purpose.
        var others = network.Interfaces.Where(i => i.Side == Side.Device && i.Owner != device.Owner && GuestId.BoxOf(i.Segment) is null).ToList();
        var steps = new List<Answer> { Linked(device) };
        string? stoppedBy = device.Linked ? null : device.Owner;
        foreach (var other in others.Where(_ => device.Linked))
        {
            var (step, by) = !other.Linked ? (Linked(other), other.Owner)
                : other.Segment == device.Segment ? (Answer.Yes, null)
                : Apart(device, other);
            steps.Add(step);
            stoppedBy ??= step.IsYes ? null : by;
        }
        var answer = Answer.All(steps);
        return new(need.Id, device.Owner, answer, [], answer.IsYes ? null : stoppedBy);
    }

    private Answer Linked(Interface device) => device.Linked ? Answer.Yes : tracer.ToInternet(device).Answer;

    private (Answer, string?) Apart(Interface device, Interface other)
    {
        var (a, b) = (tracer.ToInternet(device), tracer.ToInternet(other));
        var between = a.Routers.Where(r => !b.Routers.Contains(r)).Concat(b.Routers.Where(r => !a.Routers.Contains(r))).Distinct().ToList();
        var inner = between.Where(r => network.Find(r, Side.Wan) is { } wan && tracer.ToInternet(wan).Routers.Count > 0).ToList();
        return inner.Count > 0
            ? (Answer.No([.. inner.Select(Twice)]), inner[0])
            : (Answer.No(Cause.Of(CauseCodes.Apart, $"{Name(device.Owner)} and {Name(other.Owner)} are not in one network.", device.Owner, other.Owner)), between.FirstOrDefault() ?? other.Owner);
    }

    private Cause Twice(string inner) => Cause.Of(CauseCodes.TranslatedTwice, $"{Name(inner)} translates a second time and keeps what is behind it apart.", inner);

    private string Name(string id) => network.NameOf(id);
}
