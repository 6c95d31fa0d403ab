using System.Text;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Surveys;

/// <summary>What corrections say, touch and do to generated homes, as approved.</summary>
public sealed class SurveySnapshotTests
{
    [Theory]
    [InlineData(1)]
    [InlineData(21)]
    public void What_corrections_say_touch_and_do_is_as_approved(int first)
    {
        var text = new StringBuilder();
        for (var seed = first; seed < first + 20; seed++)
        {
            var dice = new Random(seed);
            var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 4), seed);
            var home = new HomeFile(design.Site, [design.SetUp]);
            var shelf = new Shelf([.. design.Site.Boxes.Select(b => b.Profile).DistinctBy(p => p.ShelfId)]);
            text.Append($"\n# Home {seed}\n");
            for (var act = 0; act < 20; act++)
            {
                var correction = CorrectionGenerator.Make(dice, home, shelf);
                text.Append($"{correction.Describe(home)}\n  touches {Plain.Of(correction.Touches(home, shelf))}\n");
                var done = correction.ApplyTo(home, shelf);
                if (!done.Ok)
                {
                    text.Append($"  refused: {done.Error}\n");
                    continue;
                }
                foreach (var line in Parts(done.Value).Except(Parts(home), StringComparer.Ordinal))
                {
                    text.Append($"  + {line}\n");
                }
                foreach (var line in Parts(home).Except(Parts(done.Value), StringComparer.Ordinal))
                {
                    text.Append($"  - {line}\n");
                }
                home = done.Value;
            }
        }
        Snapshot.Match(text.ToString(), $"Surveys.{first}");
    }

    /// <summary>The parts of a home, a line each; what a profile holds is told by its id.</summary>
    private static HashSet<string> Parts(HomeFile home) =>
        [
            $"{home.Site.Name} {home.Site.Naming} {Plain.Of(home.Site.Service)}",
            .. home.Site.Boxes.Select(b => Plain.Of(b with { Profile = b.Profile with { Ports = [], Radios = [], Modes = [] } })),
            .. home.Site.Devices.Select(d => Plain.Of(d)),
            .. home.Site.Places.Select(p => Plain.Of(p)),
            .. home.Site.Needs.Select(n => Plain.Of(n)),
            .. home.Site.Sockets.Select(s => Plain.Of(s)),
            .. home.Site.Runs.Select(r => Plain.Of(r)),
            .. home.Site.Buildings.Select(b => Plain.Of(b)),
            .. home.SetUps.SelectMany(s =>
                s.Boxes.Select(b => $"{s.Name} {Plain.Of(b)}")
                    .Concat(s.Devices.Select(d => $"{s.Name} {Plain.Of(d)}"))
                    .Concat(s.Cables.Select(c => $"{s.Name} {Plain.Of(c)}"))
            ),
        ];
}
