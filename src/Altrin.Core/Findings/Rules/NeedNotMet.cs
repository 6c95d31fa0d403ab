using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Something that the customer asked for does not come true.</summary>
public static class NeedNotMet
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "need-not-met",
            "need not met",
            "A need of the customer is not met, or by luck only.",
            "It is what the customer is paying for.",
            "RFC 3022, RFC 6762",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        foreach (var fact in e.Sheet.Needs.Where(n => !n.Answer.IsYes))
        {
            var need = e.Design.Site.Needs.First(n => n.Id == fact.Need);
            yield return e.Consequence(
                Rule,
                fact.Need,
                NeedWords.Said(e.Design, need, Not(fact)),
                fact.Answer,
                need is ReachFromOutside inbound ? LetIn(e, inbound, fact)
                    : need is GuestsKeptApart ? GuestCures.Named(e)
                    // A router without NAT keeps what looks for others apart too, and is no double NAT that would be found for itself.
                    : need is FoundByOthers && fact.StoppedBy is { } router && e.Network.Router(router) is { Nat: false }
                        ? Cures.OneNetwork(e, router)
                    : [],
                fact.Answer.Kind != AnswerKind.Unknown ? []
                    : need is ReachFromOutside ? ["Ask the provider whether the home gets a public address."]
                    : [$"Find out: {fact.Answer.Why}"]
            );
        }
    }

    private static string Not(NeedFact fact) =>
        fact.Answer.Kind switch
        {
            AnswerKind.Luck => "is only by luck",
            AnswerKind.Unknown => "may not be",
            _ => "is not",
        };

    /// <summary>A forward on every router from the street inward, each aimed at an address that stays.</summary>
    private static IEnumerable<Remedy> LetIn(Evidence e, ReachFromOutside need, NeedFact fact)
    {
        var changes = new List<Change>();
        for (var i = 0; i < fact.Via.Count; i++)
        {
            var target = i + 1 < fact.Via.Count ? e.Network.Find(fact.Via[i + 1], Side.Wan) : e.Network.Find(need.Device, Side.Device);
            if (target is null || Cures.Anchor(e, fact.Via[i], target) is not var (address, first))
            {
                yield break;
            }
            // The outermost router gives the connection the port of the device; those further in hand on what they get.
            var outside = i == 0 ? need.Asked : need.Port;
            var there = e
                .Network.Router(fact.Via[i])!
                .Forwards.FirstOrDefault(f => f.Protocol == need.Protocol && f.OutsidePort == outside);
            changes.AddRange(first);
            if (there is not null && (there.To != address || there.InsidePort != need.Port))
            {
                changes.Add(new RemoveForward(fact.Via[i], there.Protocol, there.OutsidePort));
            }
            if (there is null || there.To != address || there.InsidePort != need.Port)
            {
                changes.Add(new AddForward(fact.Via[i], new(need.Protocol, outside, address, need.Port)));
            }
        }
        if (changes.Count > 0)
        {
            yield return Cures.Hopeful($"Forward {NeedWords.Ports(need)} on {e.Names(fact.Via)}", changes);
        }
    }
}
