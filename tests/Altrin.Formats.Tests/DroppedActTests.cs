using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats.Tests;

/// <summary>
/// Acts on the live network left out of derived sheets, and swapped with the next one: of those left out at least 95 of 100 are caught, and
/// each of the rest is shown to be harmless by the same end.
/// </summary>
public sealed class DroppedActTests(ITestOutputHelper output)
{
    private const int Seed = 20126;

    [Fact]
    public void An_act_that_is_left_out_or_swapped_is_caught_or_does_no_harm()
    {
        output.WriteLine($"seed {Seed}");
        var dice = new Random(Seed);
        var (tried, caught, harmful) = (new int[2], new int[2], new List<string>());
        foreach (var name in Samples.Evenings)
        {
            var sheet = DerivedSheets.Of(name);
            var live = Live(sheet).ToList();
            for (var i = 0; i < 6 && live.Count > 0; i++)
            {
                var at = live[dice.Next(live.Count)];
                var acts = sheet.Play.Steps.Select(s => s.Act).ToList();
                var swap = i % 2 == 1 && at + 1 < acts.Count;
                (var said, acts) = swap
                    ? ($"{sheet.Play.Steps[at].Says} after {sheet.Play.Steps[at + 1].Says}", Swapped(acts, at))
                    : ($"without {sheet.Play.Steps[at].Says}", [.. acts.Where((_, j) => j != at)]);
                var play = Play.Of(sheet.Start, acts, sheet.Aim.Target, TestContext.Current.CancellationToken);
                tried[swap ? 1 : 0]++;
                caught[swap ? 1 : 0] += play.Whole ? 0 : 1;
                if (play.Whole && !SameEnd(play, sheet.Play))
                {
                    harmful.Add($"{name}: {said}");
                }
            }
        }
        output.WriteLine(
            $"left out {tried[0]}, caught {caught[0]}; swapped {tried[1]}, caught {caught[1]}; the rest ends alike and breaks nothing"
        );
        Assert.Equal([], harmful);
        Assert.True(caught[0] >= 0.95 * tried[0], $"{caught[0]} of {tried[0]} that were left out are caught");
    }

    private static List<Act> Swapped(List<Act> acts, int at)
    {
        (acts[at], acts[at + 1]) = (acts[at + 1], acts[at]);
        return acts;
    }

    /// <summary>The numbers of the acts, from 0, that touch the live network.</summary>
    private static IEnumerable<int> Live(RunSheet sheet) =>
        sheet
            .Order.Work.SelectMany(w => w.Steps.Select(s => (w.Kind, s.Act)))
            .Select((a, i) => (a.Kind, a.Act, Number: i))
            .Where(a => a.Kind is not (WorkKind.Baseline or WorkKind.Table or WorkKind.Finish))
            .Where(a =>
                a.Act
                    is SavePage
                        or SetInApp
                        or PatchCable
                        or UnpatchCable
                        or CarryBox
                        or PutBoxAway
                        or DeviceJoins
                        or DeviceTakesAddress
                        or PowerOff
                        or PowerOn
            )
            .Select(a => a.Number);

    /// <summary>Whether two evenings end alike: the set-up is the same, and every device has the same internet.</summary>
    private static bool SameEnd(Play a, Play b) =>
        a.End.Left(b.End.Design.SetUp).Count == 0
        && a.End.Seen()
            .Internet.Select(i => (i.Device, i.Answer.Kind))
            .SequenceEqual(b.End.Seen().Internet.Select(i => (i.Device, i.Answer.Kind)));
}
