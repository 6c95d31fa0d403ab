using Altrin.Core.Findings;
using Altrin.Core.Findings.Rules;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What the provider has to say or do before a set-up can be made: it is not done tonight.</summary>
internal static class ProviderFirst
{
    private static readonly HashSet<string> Asked = new(
        [LineNotAsked.Rule.Code, LineNotMet.Rule.Code, ServiceInGateway.Rule.Code],
        StringComparer.Ordinal
    );

    /// <summary>Each as a sentence; none where nothing is asked that was not open before.</summary>
    /// <param name="found">What was found, proven.</param>
    /// <param name="proof">What is proven of the set-up.</param>
    public static IEnumerable<string> Of(Proof found, Proof proof)
    {
        var before = found.Findings.Where(f => Asked.Contains(f.Code)).Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
        foreach (var finding in proof.Findings.Where(f => Asked.Contains(f.Code) && !before.Contains(f.Identity)))
        {
            yield return $"{finding.What}.";
        }
        var (was, design) = (found.Observation.Network.Design, proof.Observation.Network.Design);
        if (design.Site.Service.Line.Account is null)
        {
            foreach (var box in design.SetUp.Boxes.Where(b => LogsIn(b.Mode) && !LogsIn(was.Mode(b.Box))))
            {
                yield return $"The login of the line is typed into {design.NameOf(box.Box)}, and is not in the survey.";
            }
        }
    }

    private static bool LogsIn(BoxMode? mode) => mode is RouterMode { Line.Login: true };
}
