using System.Globalization;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats.Tests;

/// <summary>
/// The way back from run sheets of generated pairs. ALTRIN_BACKS says of how many pairs every step is tried; where it does not, three steps
/// are of each of 60.
/// </summary>
public sealed class DerivedBackTests(ITestOutputHelper output)
{
    private static readonly int? Every = int.TryParse(
        Environment.GetEnvironmentVariable("ALTRIN_BACKS"),
        NumberStyles.None,
        CultureInfo.InvariantCulture,
        out var many
    )
        ? many
        : null;

    private sealed record Outcome(int Tried, int Unsafe, IReadOnlyList<string> Wrong);

    /// <summary>Up to the first step that cannot be undone, every device has what it had, nothing is left open.</summary>
    [Fact]
    public void The_way_back_from_any_step_leads_to_how_the_home_was_found()
    {
        var cancel = TestContext.Current.CancellationToken;
        var pairs = Every ?? 60;
        var outcomes = Enumerable.Range(1, pairs).AsParallel().WithCancellation(cancel).Select(seed => Of(seed, cancel)).ToList();
        output.WriteLine(
            $"seeds 1 to {pairs}: {outcomes.Sum(o => o.Tried)} ways back, {outcomes.Sum(o => o.Unsafe)} of them break something"
        );
        var wrong = outcomes.SelectMany(o => o.Wrong).ToList();
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
        Assert.True(outcomes.Sum(o => o.Tried) >= pairs * 2, "too few ways back");
        Assert.InRange(outcomes.Sum(o => o.Unsafe), 0, outcomes.Sum(o => o.Tried) * 0.03);
    }

    private static Outcome Of(int seed, CancellationToken cancel)
    {
        var pair = PairGenerator.Make(seed);
        var start = State.Morning(pair.From);
        // Of a home in which more ask for an address than there are, it is luck who has one.
        if (start.Moment.Sticks.Any(s => s.Kind is StickyKind.ProviderBound or StickyKind.FirstComeFirstServed))
        {
            return new(0, 0, []);
        }
        var sheet = RunSheet.Derive(start, pair.To, Ways.Usual, cancel);
        var last = sheet.Steps.TakeWhile(s => s.Undo is not { Can: false }).Count();
        var (tried, breaks, wrong) = (0, 0, new List<string>());
        foreach (var number in Every is null ? new[] { 1, last / 2, last }.Distinct() : Enumerable.Range(1, last))
        {
            if (number < 1 || number > last)
            {
                continue;
            }
            var back = WayBack.After(sheet, number, cancel);
            string[] amiss = [.. back.Sheet.Missing, .. back.Sheet.Play.LeftInWords(), .. back.Differs];
            var open = OpenItem.Of(back.Sheet.Order.End).Except(OpenItem.Of(start), OpenItems.Same).Select(i => i.Text);
            // Played anew act by act, it comes out the same.
            var again = Play.Of(back.Sheet.Start, [.. back.Sheet.Play.Steps.Select(s => s.Act)], back.Sheet.Aim.Target, cancel);
            string[] refused = [.. again.Steps.Where(s => s.Refused is not null).Select(s => $"{s.Says} is refused: {s.Refused}")];
            wrong.AddRange(
                amiss
                    .Concat(open)
                    .Concat(refused)
                    .Select(w => $"seed {seed} ({string.Join(", ", pair.Traits)}) after {number} of {sheet.Steps.Count}: {w}")
            );
            tried++;
            breaks += back.Sheet.Unsafe.Count > 0 ? 1 : 0;
        }
        return new(tried, breaks, wrong);
    }

    private sealed class OpenItems : IEqualityComparer<OpenItem>
    {
        public static OpenItems Same { get; } = new();

        public bool Equals(OpenItem? x, OpenItem? y) => x?.Text == y?.Text;

        public int GetHashCode(OpenItem item) => item.Text.GetHashCode(StringComparison.Ordinal);
    }
}
