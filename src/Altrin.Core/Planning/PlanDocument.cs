using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>The options of a home as they are told.</summary>
/// <param name="Options">The options, the best first.</param>
/// <param name="Proven">How many set-ups were proven.</param>
/// <param name="IsCut">Whether the search was cut short: these are the best so far.</param>
public sealed record PlanDocument(IReadOnlyList<OptionDocument> Options, int Proven, bool IsCut)
{
    /// <summary>Of what was found, and what is proposed.</summary>
    public static PlanDocument Of(Design found, PlanAnswer answer) =>
        new([.. answer.Options.Select(o => OptionDocument.Of(found, o))], answer.Proven, answer.IsCut);
}

/// <summary>One option.</summary>
/// <param name="Verdict">What is proven of it, in one sentence.</param>
/// <param name="Boxes">What becomes of each box.</param>
/// <param name="Needs">What becomes of each need.</param>
/// <param name="Against">What speaks against it, counted and weighed.</param>
/// <param name="Points">The sum of that; the fewer, the better.</param>
public sealed record OptionDocument(
    string Verdict,
    IReadOnlyList<BecomesDocument> Boxes,
    IReadOnlyList<NeedDocument> Needs,
    IReadOnlyList<AgainstDocument> Against,
    double Points
)
{
    /// <summary>Of one option.</summary>
    public static OptionDocument Of(Design found, PlanOption option)
    {
        var design = new Design(found.Site, option.SetUp);
        return new(
            option.Proof.Verdict.Sentence,
            [.. option.Roles.Select(r => new BecomesDocument(r.Box, r.Kind, RoleWords.Of(design, r)))],
            [
                .. option.Proof.Observation.Sheet.Needs.Select(n => new NeedDocument(
                    n.Need,
                    n.Asked,
                    n.Answer.Kind,
                    n.Answer.IsYes
                        ? "yes"
                        : $"{AnswerWords.Of(n.Answer.Kind)}: {string.Join(' ', n.Answer.Causes.Take(1).Select(c => c.Text))}"
                )),
            ],
            option.Score.Told(),
            Math.Round(option.Points, 1)
        );
    }
}

/// <summary>What becomes of a box.</summary>
/// <param name="Box">The box.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Becomes">The same in words, with what it hangs behind and where.</param>
public sealed record BecomesDocument(string Box, RoleKind Kind, string Becomes);

/// <summary>What becomes of a need.</summary>
/// <param name="Need">The need.</param>
/// <param name="Asked">What is asked for.</param>
/// <param name="Answer">Whether it is met.</param>
/// <param name="Says">The same in words, with the first reason where it is not.</param>
public sealed record NeedDocument(string Need, string Asked, AnswerKind Answer, string Says);

/// <summary>One thing that speaks against an option.</summary>
/// <param name="Says">What is counted, in words.</param>
/// <param name="Count">How much of it there is.</param>
public sealed record AgainstDocument(string Says, double Count);
