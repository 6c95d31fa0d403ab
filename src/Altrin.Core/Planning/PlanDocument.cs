using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>The options of a home as they are told.</summary>
/// <param name="Options">The options, the best first.</param>
/// <param name="Proven">How many set-ups were proven.</param>
/// <param name="IsCut">Whether the search was cut short: these are the best so far.</param>
/// <param name="IsRunning">Whether it still goes on: these are the best so far.</param>
/// <param name="CanBecome">What can be asked of each box.</param>
/// <param name="First">Whether anything is needed at all.</param>
/// <param name="Spares">What each box is good for that is not at the internet line.</param>
/// <param name="Gateway">What the box at the internet line can become, the cleanest first.</param>
/// <param name="NotMet">Needs that no option meets, with what would.</param>
/// <param name="Impossible">What cannot be had however the boxes that are there are set up, with the reason in the survey.</param>
public sealed record PlanDocument(
    IReadOnlyList<OptionDocument> Options,
    int Proven,
    bool IsCut,
    bool IsRunning,
    IReadOnlyList<AskedBox> CanBecome,
    FirstAnswer First,
    IReadOnlyList<SpareVerdict> Spares,
    IReadOnlyList<GatewayVerdict> Gateway,
    IReadOnlyList<NeedNotReached> NotMet,
    IReadOnlyList<Certificate> Impossible
)
{
    /// <summary>
    /// What the options rest on and which they are, as a short text: the same for the same home, way of working and gear to be had where
    /// the search came to the same options. Null where not asked.
    /// </summary>
    public string? RestsOn { get; init; }

    /// <summary>Of what was found, and what is proposed.</summary>
    public static PlanDocument Of(Design found, PlanAnswer answer, bool isRunning = false) =>
        new(
            [.. answer.Options.Select(o => OptionDocument.Of(answer.Found.Proof.Observation.Network, o))],
            answer.Proven,
            answer.IsCut && !isRunning,
            isRunning,
            [
                .. found
                    .Site.Boxes.OrderBy(b => b.Id, StringComparer.Ordinal)
                    .Select(b => new AskedBox(b.Id, [.. WhyNot.CanBecome(found, b).Select(k => new AskedRole(k, RoleWords.Of(k)))]))
                    .Where(b => b.Roles.Count > 0),
            ],
            FirstAnswer.Of(found, answer),
            SpareVerdict.Of(found, answer),
            GatewayVerdict.Of(found, answer),
            answer.NotMet,
            Certificate.Of(found)
        );
}

/// <summary>What can be asked of a box.</summary>
/// <param name="Box">The box.</param>
/// <param name="Roles">What it can become by its kind.</param>
public sealed record AskedBox(string Box, IReadOnlyList<AskedRole> Roles);

/// <summary>A role that can be asked for.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Says">In words.</param>
public sealed record AskedRole(RoleKind Kind, string Says);

/// <summary>One option.</summary>
/// <param name="Kind">Whether it works.</param>
/// <param name="Verdict">What is proven of it, in one sentence.</param>
/// <param name="Boxes">What becomes of each box.</param>
/// <param name="Needs">What becomes of each need.</param>
/// <param name="Against">What speaks against it, counted and weighed.</param>
/// <param name="Points">The sum of that; the fewer, the better.</param>
/// <param name="Renumbered">Typed addresses and gateways that become others, and why, a sentence for each device or box.</param>
/// <param name="Departures">Where it departs from the installer's way of working, a sentence each.</param>
/// <param name="NotTonight">What the provider has to say or do first, a sentence each; empty for one that can be made at once.</param>
public sealed record OptionDocument(
    VerdictKind Kind,
    string Verdict,
    IReadOnlyList<OptionBox> Boxes,
    IReadOnlyList<OptionNeed> Needs,
    IReadOnlyList<OptionCount> Against,
    double Points,
    IReadOnlyList<string> Renumbered,
    IReadOnlyList<string> Departures,
    IReadOnlyList<string> NotTonight
)
{
    /// <summary>Of the network that was found, and one option.</summary>
    public static OptionDocument Of(Network found, PlanOption option)
    {
        var design = new Design(option.Site, option.SetUp);
        return new(
            option.Proof.Verdict.Kind,
            option.Proof.Verdict.Sentence,
            [
                .. option.Roles.Select(r => new OptionBox(
                    r.Box,
                    design.NameOf(r.Box),
                    r.Kind,
                    RoleWords.Of(design, r),
                    option.Bought.Any(b => b.Id == r.Box)
                )),
            ],
            [
                .. option.Proof.Observation.Sheet.Needs.Select(n => new OptionNeed(
                    n.Need,
                    n.Asked,
                    n.Answer.Kind,
                    n.Answer.IsYes ? null : n.Answer.Causes.Select(c => c.Text).FirstOrDefault()
                )),
            ],
            option.Score.Told(),
            Math.Round(option.Points, 1),
            Renumbering.Of(found, option.Proof.Observation),
            option.Departures,
            option.NotTonight
        );
    }
}

/// <summary>What becomes of a box.</summary>
/// <param name="Box">The box.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Becomes">The same in words, with what it hangs behind and where.</param>
/// <param name="ToBuy">Whether it has to be bought.</param>
public sealed record OptionBox(string Box, string Name, RoleKind Kind, string Becomes, bool ToBuy);

/// <summary>What becomes of a need.</summary>
/// <param name="Need">The need.</param>
/// <param name="Asked">What is asked for.</param>
/// <param name="Answer">Whether it is met.</param>
/// <param name="Why">The first reason where it is not; null where it is.</param>
public sealed record OptionNeed(string Need, string Asked, AnswerKind Answer, string? Why);

/// <summary>One thing that speaks against an option.</summary>
/// <param name="Says">What is counted, in words.</param>
/// <param name="Count">How much of it there is.</param>
public sealed record OptionCount(string Says, double Count);
