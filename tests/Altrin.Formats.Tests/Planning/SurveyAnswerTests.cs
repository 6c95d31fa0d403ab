using System.Text.Json;
using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>
/// The first option for each survey of <c>samples/surveys</c> is what an experienced installer makes of it, as <c>answers.json</c> says
/// with the reasons (common practice).
/// </summary>
public sealed class SurveyAnswerTests
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "samples", "surveys");

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    /// <summary>What is expected of one survey.</summary>
    /// <param name="Survey">Its name.</param>
    /// <param name="Boxes">What each box becomes; several where each is right.</param>
    /// <param name="Why">The reasons.</param>
    public sealed record Expected(string Survey, IReadOnlyDictionary<string, IReadOnlyList<string>> Boxes, IReadOnlyList<string> Why)
    {
        /// <summary>Whether the habits of some of its boxes are not known.</summary>
        public bool UnknownHabits { get; init; }

        /// <summary>Behind which box each hangs, switches and pairs passed over.</summary>
        public IReadOnlyDictionary<string, string> Behind { get; init; } = new Dictionary<string, string>();

        /// <summary>Where each stands.</summary>
        public IReadOnlyDictionary<string, string> Places { get; init; } = new Dictionary<string, string>();

        /// <summary>Boxes of one kind, of which it does not matter which is which.</summary>
        public IReadOnlyList<IReadOnlyList<string>> Alike { get; init; } = [];

        /// <summary>How many devices are touched; null where it is not told.</summary>
        public int? Touched { get; init; }

        /// <summary>How many boxes are set otherwise; null where it is not told.</summary>
        public int? Changes { get; init; }
    }

    private static IReadOnlyList<Expected> Answers { get; } =
        JsonSerializer.Deserialize<IReadOnlyList<Expected>>(File.ReadAllText(Path.Combine(Folder, "answers.json")), Json)!;

    public static TheoryData<string> Surveys => [.. Answers.Select(a => a.Survey)];

    [Fact]
    public void Every_survey_has_an_answer_with_reasons()
    {
        var files = Directory.GetFiles(Folder, "*.json").Select(f => Path.GetFileNameWithoutExtension(f)!).Where(f => f != "answers");
        Assert.Equal(files.Order(StringComparer.Ordinal), Answers.Select(a => a.Survey).Order(StringComparer.Ordinal));
        Assert.Equal(12, Answers.Count);
        Assert.Equal(3, Answers.Count(a => a.UnknownHabits));
        Assert.All(Answers, a => Assert.NotEmpty(a.Why));
    }

    [Theory]
    [MemberData(nameof(Surveys))]
    public void The_first_option_is_what_an_experienced_installer_makes_of_it(string survey)
    {
        var expected = Answers.Single(a => a.Survey == survey);
        var found = DesignFile.Read(File.ReadAllText(Path.Combine(Folder, $"{survey}.json"))).Value!.AsFound();
        // What could be bought changes nothing where what is there does.
        var answer = Planner.Plan(new(found) { Shelf = ProfileFile.BuiltIn.Profiles }, stop: TestContext.Current.CancellationToken);
        Assert.False(answer.IsCut);
        Assert.Equal(0, answer.Options[0].Score.Missed);
        // Of two alike boxes either may be the one or the other.
        Assert.Empty(Swaps(expected).Select(s => Differs(found, answer.Options[0], expected, s)).MinBy(d => d.Count)!);
    }

    private static IEnumerable<Func<string, string>> Swaps(Expected expected) =>
        expected
            .Alike.Select(pair =>
                (Func<string, string>)(
                    id =>
                        id == pair[0] ? pair[1]
                        : id == pair[1] ? pair[0]
                        : id
                )
            )
            .Prepend(id => id);

    /// <summary>What is otherwise than expected, a line each.</summary>
    private static List<string> Differs(Design found, PlanOption option, Expected expected, Func<string, string> swap)
    {
        var roles = option.Roles.ToDictionary(r => swap(r.Box), StringComparer.Ordinal);
        var uplinks = option.Proof.Observation.Sheet.Uplinks.ToLookup(u => u.Owner, StringComparer.Ordinal);
        var design = option.Proof.Observation.Network.Design;
        string? Behind(string id) => BoxRole.NextTo(design, uplinks, swap(id)) is { } box ? swap(box) : null;
        int Changed() => design.Site.Boxes.Count(b => found.Mode(b.Id)?.Kind != design.Mode(b.Id)?.Kind);
        return
        [
            .. expected
                .Boxes.Where(b => !b.Value.Contains(JsonNamingPolicy.CamelCase.ConvertName($"{roles[b.Key].Kind}")))
                .Select(b => $"{b.Key} is {roles[b.Key].Kind}"),
            .. expected.Behind.Where(b => Behind(b.Key) != b.Value).Select(b => $"{b.Key} is behind {Behind(b.Key)}"),
            .. expected.Places.Where(p => roles[p.Key].Place != p.Value).Select(p => $"{p.Key} stands in {roles[p.Key].Place}"),
            .. expected.Touched is { } touched && option.Score.Effort.DevicesTouched != touched
                ? [$"{option.Score.Effort.DevicesTouched} touched"]
                : (string[])[],
            .. expected.Changes is { } changes && Changed() != changes ? [$"{Changed()} boxes are changed"] : (string[])[],
        ];
    }
}
