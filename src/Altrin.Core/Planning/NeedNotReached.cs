using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Findings.Rules;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>A need that no option meets, with what would meet it.</summary>
/// <param name="Need">The need.</param>
/// <param name="Asked">What is asked for.</param>
/// <param name="Why">Why the first option does not meet it.</param>
/// <param name="Would">What would, or could, a sentence each: what is proven first.</param>
public sealed record NeedNotReached(string Need, string Asked, string Why, IReadOnlyList<string> Would)
{
    /// <summary>Every need that none of the options meets.</summary>
    internal static IReadOnlyList<NeedNotReached> Of(IReadOnlyList<PlanOption> options)
    {
        var first = options[0];
        return
        [
            .. first
                .Proof.Observation.Sheet.Needs.Where(n => options.All(o => !IsMet(o.Proof, n.Need)))
                .Select(n => new NeedNotReached(
                    n.Need,
                    n.Asked,
                    n.Answer.Why,
                    [.. WithPublicAddress(first, n.Need), .. Advice(first, n.Need)]
                )),
        ];
    }

    private static bool IsMet(Proof proof, string need) => proof.Observation.Sheet.Needs.First(n => n.Need == need).Answer.IsYes;

    /// <summary>What the first option would be with a public address, with the forwards that the need then asks for.</summary>
    private static IEnumerable<string> WithPublicAddress(PlanOption option, string need)
    {
        var (site, service) = (option.Site, option.Site.Service);
        if (service is not (CarrierNat or UnknownService) || site.Needs.First(n => n.Id == need) is not ReachFromOutside)
        {
            return [];
        }
        var given = new PublicDynamic(service.DownMbps, service.UpMbps)
        {
            Leases = service.Leases,
            Line = service.Line,
            Access = service.Access,
            HandOff = service.HandOff,
        };
        var design = new Design(site with { Service = given }, option.SetUp);
        var proof = Judged(design, withRemedies: true);
        return IsMet(proof, need) ? ["A public address from the provider meets it."]
            : proof
                .Findings.Where(f => f.Code == NeedNotMet.Rule.Code && f.Subjects.Contains(need))
                .SelectMany(f => f.Remedies)
                .FirstOrDefault(r =>
                    ChangeList.Apply(design, r.Changes) is { Ok: true, Value: var made } && IsMet(Judged(made, false), need)
                )
                is { } remedy
                ? [$"A public address from the provider meets it, with one thing set besides: {remedy.Label}."]
            : [];
    }

    private static Proof Judged(Design design, bool withRemedies) =>
        Judging.Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)), withRemedies);

    /// <summary>What the findings advise that the need follows from, and the finding about the need itself.</summary>
    private static IEnumerable<string> Advice(PlanOption option, string need)
    {
        var about = option.Proof.Findings.Where(f => f.Code == NeedNotMet.Rule.Code && f.Subjects.Contains(need)).ToList();
        var causes = about.SelectMany(f => f.CausedBy).ToHashSet(StringComparer.Ordinal);
        return option.Proof.Findings.Where(f => causes.Contains(f.Identity)).Concat(about).SelectMany(f => f.Advice).Distinct();
    }
}
