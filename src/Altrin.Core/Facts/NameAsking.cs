using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Whether names resolve: told apart from whether packets get through, since the two fail apart from each other.</summary>
internal sealed class NameAsking(Tracer tracer)
{
    private readonly World _world = tracer.World;
    private readonly Dictionary<string, Answer> _relays = new(StringComparer.Ordinal);
    private readonly Dictionary<string, Answer> _alike = new(StringComparer.Ordinal);

    /// <summary>
    /// Whether a host gets answers for names. They may come although packets do not get out, since the router asks for itself;
    /// where neither works, what keeps the packets is the reason.
    /// </summary>
    public Answer Of(Interface host, Answer reached)
    {
        if (!host.Linked || _world.Leasing.Holdings(host).Count == 0)
        {
            return reached;
        }
        var likes = Tracer.Likes(host, _world.Leasing.Holdings(host));
        var resolves =
            likes is null ? Judge(host)
            : _alike.TryGetValue(likes, out var known) ? known
            : _alike[likes] = Judge(host);
        return reached.Kind == AnswerKind.No && resolves.Kind == AnswerKind.No ? reached : resolves;
    }

    private Answer Judge(Interface host)
    {
        var holdings = _world.Leasing.Holdings(host);
        var ways = holdings.Select(h => (h.Server is { } s ? $"leased by {_world.Name(s)}" : "", Answer: By(host, h))).ToList();
        return ways.Count == 1
            ? ways[0].Answer
            : Answer.OneOf(ways, _world.FirstToAnswer([.. holdings.Select(h => h.Server).OfType<string>()]));
    }

    private Answer By(Interface host, Holding holding)
    {
        var blame = World.Blame(host, holding);
        if (holding.SelfAssigned)
        {
            return Answer.No(_world.NoAddress(host));
        }
        if (holding.DnsServers.Count == 0)
        {
            return host.Segment == PortRef.Street && _world.Service is PublicFixed { DnsServers.Count: 0 }
                ? Answer.NotKnown(
                    Cause.Of(
                        CauseCodes.DnsServerWrong,
                        $"The provider's DNS servers were not read, and {_world.Name(host.Owner)} has none.",
                        blame
                    )
                )
                : Answer.No(
                    Cause.Of(
                        CauseCodes.DnsServerWrong,
                        blame == host.Owner
                            ? $"{_world.Name(host.Owner)} has no DNS server."
                            : $"{_world.Name(blame)} hands out no DNS server.",
                        blame
                    )
                );
        }
        var answers = holding.DnsServers.Select(n => Server(host, n, blame)).ToList();
        // A host may use any of them, so all must answer.
        return answers.All(a => a.IsYes) ? Answer.Yes
            : answers.All(a => a.Kind == AnswerKind.No) ? answers[0]
            : answers.Any(a => a.Kind == AnswerKind.No) ? Answer.ByLuck([.. answers.SelectMany(a => a.Causes)])
            : Answer.All(answers);
    }

    private Answer Server(Interface host, Ipv4Address server, string blame)
    {
        // Who takes the question may be luck, and what each of them knows differs.
        var silent = Wrong($"The DNS server {server} {_world.Whose(host, blame)} does not answer.");
        var asked = Choices
            .Follow(c =>
            {
                var (answer, at) = new Walk(_world, c).Ask(host, server);
                var told =
                    answer.Kind == AnswerKind.No ? Answer.No(silent)
                    : at is not null ? answer.And(Knows(at))
                    // What was not worked out is no silence.
                    : answer.Kind == AnswerKind.Unknown ? answer
                    : Answer.No(silent);
                return (told, 0);
            })
            .Answer;
        // A router with overlapping sides may have the server's address itself: then that is why none answers.
        var overlaps = asked.Causes.Any(c => c.Code == CauseCodes.OverlappingSubnets);
        // No host at the address is what a DNS server that does not answer means.
        return asked with
        {
            Causes =
            [
                .. asked
                    .Causes.Select(c => c.Code == CauseCodes.NoAnswer ? silent : c)
                    .Where(c => !overlaps || c.Identity != silent.Identity)
                    .DistinctBy(c => c.Identity),
            ],
        };

        Answer Knows(Interface asked) =>
            asked.Side switch
            {
                Side.Lan or Side.Guest or Side.Wan => Relay(asked.Owner, blame),
                Side.Provider => Answer.Yes,
                Side.Device => Answer.NotKnown(Wrong($"Whether {_world.Name(asked.Owner)} answers DNS was not found out.")),
                _ => Answer.No(Wrong($"{server} is {_world.Name(asked.Owner)}, which is no DNS server.")),
            };

        Cause Wrong(string text) => Cause.Of(CauseCodes.DnsServerWrong, text, blame);
    }

    /// <summary>A router asks on, at those whom its WAN side was told.</summary>
    private Answer Relay(string router, string blame)
    {
        if (_relays.TryGetValue(router, out var known))
        {
            return known;
        }
        // One that is asked about while it is being looked at asks itself in a circle.
        _relays[router] = Answer.No(
            Cause.Of(CauseCodes.DnsServerWrong, $"{_world.Name(router)} is in a loop of DNS servers that ask each other.", blame)
        );
        return _relays[router] = _world.Network.Find(router, Side.Wan) is { } wan
            ? Of(wan, tracer.ToInternet(wan).Answer)
            : Answer.No(Cause.Of(CauseCodes.DnsServerWrong, $"{_world.Name(router)} has no DNS server to ask.", blame));
    }
}
