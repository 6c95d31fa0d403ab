using System.Globalization;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>
/// Run sheets for generated pairs of set-ups, asked of the simulated network itself. ALTRIN_PAIRS says how many are made; 200 where it does
/// not.
/// </summary>
public sealed class DerivedPairTests(ITestOutputHelper output)
{
    private static readonly int Pairs = int.TryParse(
        Environment.GetEnvironmentVariable("ALTRIN_PAIRS"),
        NumberStyles.None,
        CultureInfo.InvariantCulture,
        out var many
    )
        ? many
        : 200;

    private sealed record Outcome(int Seed, PairGenerator.Pair Pair, RunSheet Sheet, bool Broken, IReadOnlyList<string> Wrong);

    [Fact]
    public void A_sheet_for_any_pair_leads_to_the_plan_and_says_what_it_breaks()
    {
        var cancel = TestContext.Current.CancellationToken;
        var outcomes = Enumerable
            .Range(1, Pairs)
            .AsParallel()
            .AsOrdered()
            .WithCancellation(cancel)
            .Select(seed => Of(seed, cancel))
            .ToList();
        var shares = outcomes.SelectMany(o => o.Pair.Traits.Skip(1).Distinct()).GroupBy(t => t).OrderBy(g => g.Key, StringComparer.Ordinal);
        output.WriteLine($"seeds 1 to {Pairs}: {string.Join(", ", shares.Select(g => $"{g.Key} {g.Count()}"))}");
        output.WriteLine($"broken as found {outcomes.Count(o => o.Broken)}, no safe order {outcomes.Count(o => !o.Sheet.IsSafe)}");
        output.WriteLine($"search stopped {outcomes.Count(o => !o.Sheet.Order.Searched)}");
        var wrong = outcomes.SelectMany(o => o.Wrong.Select(w => $"seed {o.Seed} ({string.Join(", ", o.Pair.Traits)}): {w}")).ToList();
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));

        // The make-up is what makes them worth trying.
        AtLeast(0.4, outcomes.Count(o => o.Broken), "broken as found");
        AtLeast(0.15, Made("renumbered"), "renumbered");
        AtLeast(0.1, Made("gateway swapped"), "gateway swapped");
        AtLeast(0.2, Made("radio only"), "radio only");
        AtLeast(0.1, Made("habits unknown"), "habits unknown");
        Assert.InRange(outcomes.Count(o => !o.Sheet.IsSafe), 0, Pairs * 0.06);

        int Made(string trait) => outcomes.Count(o => o.Pair.Traits.Contains(trait));
        void AtLeast(double share, int made, string what) =>
            Assert.True(made >= share * Pairs, $"{what}: {made} of {Pairs}, {share:P0} wanted");
    }

    private static Outcome Of(int seed, CancellationToken cancel)
    {
        var pair = PairGenerator.Make(seed);
        var found = Judging.Judge(Observer.Observe(Compiler.Compile(pair.From, Situation.Settled)));
        var sheet = RunSheet.Derive(State.Morning(pair.From), pair.To, Ways.Usual, cancel);
        // Played anew act by act, it comes out the same.
        var play = Play.Of(sheet.Start, [.. sheet.Play.Steps.Select(s => s.Act)], pair.To, cancel);
        var wrong = EveningOracle.Wrong(play).ToList();
        wrong.AddRange(play.Steps.Where(s => s.Refused is not null).Select(s => $"{s.Says} is refused: {s.Refused}"));
        wrong.AddRange(sheet.Missing);
        wrong.AddRange(play.LeftInWords().Select(l => $"left: {l}"));
        wrong.AddRange(OpenItem.Of(play.End).Select(i => i.Text));
        if (sheet.Steps.Count > 12 + (10 * pair.From.Site.Boxes.Count))
        {
            wrong.Add($"{sheet.Steps.Count} steps for {pair.From.Site.Boxes.Count} boxes");
        }
        // What cannot be undone is done at the table, or at a box on which no one's internet hangs. A kit that only an application sets
        // stays where it is.
        wrong.AddRange(
            sheet
                .Steps.Where(s => s is { Undo.Can: false, Dips: true })
                .SelectMany(s => s.Acts)
                .Where(s => s.Act is ResetBox reset && IsLive(s.Before.Design, reset.Box))
                .Select(s => $"{s.Says} cannot be undone, and is done on the live network")
        );
        var told = play.Steps.SelectMany(s => s.Broken).Where(b => !sheet.Aim.IsPlanned(b)).Select(b => b.Violation.Identity).ToHashSet();
        if (!told.SetEquals(sheet.Unsafe.Select(u => u.Broken.Violation.Identity)))
        {
            wrong.Add("what it breaks is not what it says");
        }
        return new(seed, pair, sheet, found.Findings.Any(f => f.Severity == Severity.WillNotWork), wrong);
    }

    private static bool IsLive(Design design, string box) =>
        !PageAt.HasNone(design.Box(box)!.Profile) && design.SetUp.Cables.Any(c => c.Ends(box));
}
