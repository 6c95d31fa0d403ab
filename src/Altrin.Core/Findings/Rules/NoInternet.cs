using Altrin.Core.Packets;

namespace Altrin.Core.Findings.Rules;

/// <summary>A device without dependable internet.</summary>
public static class NoInternet
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "no-internet",
            "no internet",
            "A device does not reach the internet, or by luck only.",
            "It is what the customer notices first.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Sheet.Internet.Where(i => i.Answer.IsBroken || i.Answer.Kind == AnswerKind.Unknown)
            .Select(i =>
                e.Consequence(
                    Rule,
                    i.Device,
                    i.Answer.Kind switch
                    {
                        AnswerKind.Luck => $"{e.Name(i.Device)} has internet by luck only",
                        AnswerKind.No => $"{e.Name(i.Device)} has no internet",
                        _ => $"Whether {e.Name(i.Device)} has internet is not known",
                    },
                    i.Answer,
                    []
                )
            );
}
