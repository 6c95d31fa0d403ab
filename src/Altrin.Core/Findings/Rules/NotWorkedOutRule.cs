using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>The home is larger than what is worked out at once: some answers were left open.</summary>
public static class NotWorkedOutRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.NotWorkedOut,
            "not worked out",
            "The home is so large, or so much in it is left to luck, that some answers were not worked out.",
            "What is not worked out may be wrong without being found.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        if (!e.Network.Work.IsCut)
        {
            yield break;
        }
        var open = e
            .Sheet.Internet.Select(i => i.Answer)
            .Concat(e.Sheet.Needs.Select(n => n.Answer))
            .Count(a => a.Causes.Any(c => c.Code == CauseCodes.NotWorkedOut));
        yield return e.Finding(
            Rule,
            [],
            $"{Verdict.Count(open, "answer")} {(open == 1 ? "was" : "were")} not worked out",
            "Nothing is said about them: they may be right or wrong.",
            [],
            [
                "Settle what is left to luck first: each such thing multiplies what has to be followed. Or take boxes out of use that the question is not about.",
            ]
        );
    }
}
