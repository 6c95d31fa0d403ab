using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Web;

/// <summary>Run sheets that were derived last, by revision, set-ups and ways of working.</summary>
internal sealed class RunSheets : IDisposable
{
    /// <summary>How many are remembered.</summary>
    private const int Most = 6;

    private readonly Recent<(long Revision, string From, string To, Ways Ways), RunSheet> _derived = new(Most);

    /// <summary>The sheet from one set-up to another.</summary>
    public RunSheet Of(long revision, Design from, Design to, Ways ways, CancellationToken cancel) =>
        _derived.Of((revision, from.SetUp.Name, to.SetUp.Name, ways), () => RunSheet.Derive(State.Morning(from), to.SetUp, ways, cancel));

    /// <summary>
    /// The set-ups in which work can end, each with whether it is sound: nothing of it means that it will not work. The planned one comes
    /// first.
    /// </summary>
    public static IReadOnlyList<RunEnd> Ends(HomeFile home, string from) =>
        [
            .. home
                .SetUps.Where(s => s.Name != from)
                .OrderBy(s => s.Name != "planned")
                .Select(s => new RunEnd(s.Name, Faults(home.Design(s.Name)!))),
        ];

    private static IReadOnlyList<string> Faults(Design design) =>
        [
            .. Judging
                .Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)))
                .Findings.Where(f => f.Severity == Severity.WillNotWork && f.Accepted is null)
                .Select(f => f.What)
                .Distinct(),
        ];

    /// <inheritdoc/>
    public void Dispose() => _derived.Dispose();
}

/// <summary>A set-up in which work can end.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Faults">What will not work in it, in words; empty where it is sound.</param>
internal sealed record RunEnd(string Name, IReadOnlyList<string> Faults);

/// <summary>What is worked out for the work of an evening.</summary>
/// <param name="From">The set-up that it begins with.</param>
/// <param name="To">The set-up that it is to end in; null where there is none.</param>
/// <param name="Ways">How the installer goes about it.</param>
/// <param name="Ends">The set-ups in which it can end.</param>
/// <param name="Sheet">The sheet; null where the set-up that it is to end in is not sound.</param>
internal sealed record RunState(string From, string? To, Ways Ways, IReadOnlyList<RunEnd> Ends, SheetDocument? Sheet);

/// <summary>The way back from the state after a step.</summary>
/// <param name="Number">After which step; 0 for before the first.</param>
/// <param name="Steps">What is done, in sentences, each with how long it takes.</param>
/// <param name="Takes">All of it.</param>
/// <param name="AtMainBox">Seconds that hands are busy at the box at the line.</param>
/// <param name="Long">Whether that is more than it should be.</param>
/// <param name="BeginBefore">
/// Seconds before the evening or the hotline ends at which the step has to begin at the latest; null where it is no risk.
/// </param>
/// <param name="Missing">Why it does not lead all the way back.</param>
/// <param name="Differs">What a device has otherwise than in the morning.</param>
/// <param name="Unsafe">What it breaks on the way.</param>
internal sealed record WayBackDocument(
    int Number,
    IReadOnlyList<BriefStep> Steps,
    DurationDocument Takes,
    int AtMainBox,
    bool Long,
    int? BeginBefore,
    IReadOnlyList<string> Missing,
    IReadOnlyList<string> Differs,
    IReadOnlyList<string> Unsafe
)
{
    public static WayBackDocument Of(int number, WayBack back) =>
        new(
            number,
            BriefStep.Of(back.Sheet),
            DurationDocument.Of(back.Sheet.Takes),
            (int)back.AtMainBox.TotalSeconds,
            back.AtMainBox > WayBack.MostAtMainBox,
            (int?)back.BeginBefore?.TotalSeconds,
            [.. back.Sheet.Missing, .. back.Sheet.Play.LeftInWords()],
            back.Differs,
            [.. back.Sheet.Unsafe.Select(u => u.Broken.Violation.Text)]
        );
}

/// <summary>How the evening goes on where a step comes out otherwise than was taken to be so.</summary>
/// <param name="If">What is so instead, in words.</param>
/// <param name="Steps">What is done from then on.</param>
/// <param name="Takes">All of it.</param>
/// <param name="Verdict">Whether that is safe, part by part.</param>
internal sealed record BranchDocument(
    string If,
    IReadOnlyList<BriefStep> Steps,
    DurationDocument Takes,
    IReadOnlyList<SheetVerdict> Verdict
)
{
    public static BranchDocument Of(StepBranch branch) =>
        new(branch.If, BriefStep.Of(branch.Sheet), DurationDocument.Of(branch.Sheet.Takes), SheetVerdict.Of(branch.Sheet));
}

/// <summary>One step of a sheet that is told beside another.</summary>
/// <param name="Says">What is done.</param>
/// <param name="Seconds">How long it takes.</param>
/// <param name="Lines">What is typed.</param>
internal sealed record BriefStep(string Says, int Seconds, IReadOnlyList<PageField> Lines)
{
    public static IReadOnlyList<BriefStep> Of(RunSheet sheet) =>
        [.. sheet.Steps.Select(s => new BriefStep(s.Says, (int)s.Takes.Usual.TotalSeconds, s.Lines))];
}
