using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A telephone, television or alarm that lives in a gateway which stops routing.</summary>
public static class ServiceInGateway
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.ServiceInGateway,
            "depends on the gateway",
            "Telephone, television or alarm depend on a gateway that goes to bridge mode or IP pass-through, or out of use.",
            "In bridge mode many gateways no longer serve them; out of use none does.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.Site.Boxes.Where(b =>
                b.Holds.Count > 0
                && e.Design.Mode(b.Id) is null or BridgeMode or RouterMode { Passing: not null }
                && b.Holds.Count > 0
                && (b.Profile.Habits.KeepsServices != Known.Yes || e.Design.Mode(b.Id) is null)
            )
            .OrderBy(b => b.Id, StringComparer.Ordinal)
            .Select(b =>
                e.Finding(
                    Rule,
                    [b.Id],
                    $"{Words(b.Holds)} {(b.Holds.Count == 1 ? "depends" : "depend")} on {b.Name}, which {e.Design.Mode(b.Id) switch { BridgeMode => "is in bridge mode", null => "is not in use", _ => "is in IP pass-through" }}",
                    "The telephone is dead, or the alarm makes no call, from the day of the change.",
                    [],
                    ["Ask the provider what becomes of it, try it before leaving, and warn the household: an alarm may depend on it."]
                )
            );

    private static string Words(IReadOnlyList<LineService> holds)
    {
        var words = holds.Order().Select(h => LineServiceWords.Of(h)).ToList();
        return Sentence.Capital(words.Count == 1 ? words[0] : $"{string.Join(", ", words.SkipLast(1))} and {words[^1]}");
    }
}
