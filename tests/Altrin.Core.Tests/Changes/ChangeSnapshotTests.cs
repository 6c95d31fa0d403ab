using System.Text;
using Altrin.Core.Changes;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Changes;

/// <summary>What changes of every kind say, touch and do to generated homes, and the difference that is found, as approved.</summary>
public sealed class ChangeSnapshotTests
{
    private const int Acts = 24;

    [Theory]
    [InlineData(1)]
    [InlineData(21)]
    [InlineData(41)]
    public void What_changes_say_touch_and_do_is_as_approved(int first)
    {
        var text = new StringBuilder();
        for (var seed = first; seed < first + 20; seed++)
        {
            var dice = new Random(seed);
            var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 5), seed);
            var begun = design.SetUp;
            text.Append($"\n# Home {seed}\n");
            for (var act = 0; act < Acts; act++)
            {
                var change = ChangeGenerator.Make(dice, design);
                text.Append($"\n{change.Describe(design)}\n  touches {Plain.Of(change.Touches(design))}\n");
                text.Append($"  in words {Plain.Of(change.Touches(design).Select(t => SettingWords.Of(design, t)).Distinct())}\n");
                var done = change.ApplyTo(design);
                if (!done.Ok)
                {
                    text.Append($"  refused: {done.Error}\n");
                    continue;
                }
                Tell(text, Difference.Between(design.Site, design.SetUp, done.Value), design);
                design = design with { SetUp = done.Value };
            }
            text.Append("\nAll of it, and back\n");
            Tell(text, Difference.Between(design.Site, begun, design.SetUp), design);
            Tell(text, Difference.Between(design.Site, design.SetUp, begun), design);
        }
        Snapshot.Match(text.ToString(), $"Changes.{first}");
    }

    [Fact]
    public void What_a_setting_covers_is_as_approved()
    {
        var text = new StringBuilder();
        Touch[] all =
        [
            .. Enum.GetValues<Setting>()
                .SelectMany(s => new[] { new Touch(s, "a"), new Touch(s, "a", "x"), new Touch(s, "a", "y"), new Touch(s, "b") }),
        ];
        foreach (var touch in all.Where(t => t.Of == "a" && t.Part != "y"))
        {
            text.Append($"{touch}: {string.Join(' ', all.Where(touch.Covers).Select(t => $"{t.Setting}/{t.Of}/{t.Part}"))}\n");
        }
        Snapshot.Match(text.ToString(), "Covers");
    }

    private static void Tell(StringBuilder text, SetUpDifference difference, Design design)
    {
        foreach (var change in difference.Changes)
        {
            text.Append($"  does {change.Describe(design)} | {Plain.Of(change)}\n");
        }
        foreach (var left in difference.Unreachable)
        {
            text.Append($"  cannot {left}\n");
        }
    }
}
