using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>What holds of every option of every survey and sample.</summary>
public sealed class PlannedOptionTests
{
    private static readonly string Samples = Path.Combine(AppContext.BaseDirectory, "samples");

    public static TheoryData<string> Homes =>
        [
            .. new[] { Samples, Path.Combine(Samples, "surveys") }
                .SelectMany(f => Directory.GetFiles(f, "*.json"))
                .Where(f => Path.GetFileName(f) != "answers.json")
                .Select(f => Path.GetRelativePath(Samples, f))
                .Order(StringComparer.Ordinal),
        ];

    private static Design Found(string file) => DesignFile.Read(File.ReadAllText(Path.Combine(Samples, file))).Value!.AsFound();

    private static PlanAnswer Plan(Design found) =>
        Planner.Plan(new(found) { Shelf = ProfileFile.BuiltIn.Profiles }, stop: TestContext.Current.CancellationToken);

    [Theory]
    [MemberData(nameof(Homes))]
    public void An_option_is_what_is_proven_and_can_be_made_by_hand(string file)
    {
        var found = Found(file);
        var answer = Plan(found);
        Assert.InRange(answer.Options.Count, 1, Planner.MostOptions);
        var harm = PlanHarm(found);
        foreach (var option in answer.Options)
        {
            var (site, begun) = (option.Site, found with { Site = option.Site });
            var design = new Design(site, option.SetUp);
            Assert.Equal(HomeFile.PlannedName, option.SetUp.Name);
            // Proven anew, apart from the search, it says the same.
            var proof = Judging.Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)), withRemedies: false);
            Assert.Equal(proof.Findings.Select(f => f.Identity), option.Proof.Findings.Select(f => f.Identity));
            Assert.Equal(proof.Verdict, option.Proof.Verdict);
            Assert.Subset(harm, PlanHarm(design));
            // Its settings are such as the pages of the boxes take.
            var steps = Difference.Between(site, found.SetUp, option.SetUp);
            Assert.Empty(steps.Unreachable);
            var made = steps.Changes.Chunk(ChangeList.Most).Aggregate(begun, (at, some) => ChangeList.Apply(at, some).Value);
            Assert.Empty(Difference.Between(site, made.SetUp, option.SetUp).Changes);
            // It is written and read back without a loss.
            var home = new HomeFile(site, [option.SetUp]);
            Assert.Equal(DesignFile.Write(home), DesignFile.Write(DesignFile.Read(DesignFile.Write(home)).Value!));
        }
        // The fewest points first; nothing is bought where what is there does as well.
        var there = answer.Options.Where(o => o.Score.Effort.BoxesToBuy == 0).ToList();
        Assert.Equal(there.Select(o => o.Points).Order(), there.Select(o => o.Points));
        Assert.All(answer.Options.TakeWhile(o => o != there[0]), o =>
            Assert.True(o.Score.Missed < there[0].Score.Missed || o.Score.WillNotWork < there[0].Score.WillNotWork)
        );
        Assert.All(answer.Options, o => Assert.DoesNotContain(answer.Options, other => other.Score.Dominates(o.Score)));
        Assert.Equal(answer.Options.Count, answer.Options.Select(o => string.Join(';', o.Roles)).Distinct().Count());
    }

    /// <summary>Findings about what can hurt a person or damage a box.</summary>
    private static HashSet<string> PlanHarm(Design design) =>
        [
            .. Judging
                .Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)), withRemedies: false)
                .Findings.Where(f =>
                    f.Code is "copper-between-buildings" or "powerline-across-supplies" or "passive-power" or "cable-too-long"
                )
                .Select(f => f.Identity),
        ];

    /// <summary>The order in which things were noted changes no answer.</summary>
    [Theory]
    [InlineData("pottery-house.json")]
    [InlineData("surveys/house-and-barn.json")]
    [InlineData("surveys/third-near-second.json")]
    [InlineData("surveys/stone-house.json")]
    public void The_order_of_the_notes_does_not_matter(string file)
    {
        var found = Found(file);
        var turned = new Design(
            found.Site with
            {
                Boxes = [.. found.Site.Boxes.Reverse()],
                Devices = [.. found.Site.Devices.Reverse()],
                Needs = [.. found.Site.Needs.Reverse()],
                Places = [.. found.Site.Places.Reverse()],
                Runs = [.. found.Site.Runs.Reverse()],
                Sockets = [.. found.Site.Sockets.Reverse()],
            },
            found.SetUp with
            {
                Boxes = [.. found.SetUp.Boxes.Reverse()],
                Cables = [.. found.SetUp.Cables.Reverse()],
                Devices = [.. found.SetUp.Devices.Reverse()],
            }
        );
        Assert.Equal(Told(Plan(found)), Told(Plan(turned)));
    }

    private static IReadOnlyList<string> Told(PlanAnswer answer) =>
        [.. answer.Options.Select(o => $"{o.Points:0.00} {string.Join(';', o.Roles)} {o.Proof.Verdict.Sentence}")];

    /// <summary>What is stopped says so, and still tells the best so far: what was found at the least.</summary>
    [Fact]
    public void A_search_that_is_stopped_says_so()
    {
        var found = Found("pottery-house.json");
        using var stopped = new CancellationTokenSource();
        stopped.Cancel();
        var answer = Planner.Plan(new(found), stop: stopped.Token);
        Assert.Equal((true, 1), (answer.IsCut, answer.Proven));
        Assert.Empty(Difference.Between(found.Site, found.SetUp, Assert.Single(answer.Options).SetUp).Changes);
        var brief = Planner.Plan(new(found) { MostProofs = 30 }, stop: TestContext.Current.CancellationToken);
        Assert.True(brief.IsCut);
        Assert.InRange(brief.Proven, 1, 30);
        var told = new List<PlanAnswer>();
        var whole = Planner.Plan(new(found), told.Add, TestContext.Current.CancellationToken);
        Assert.False(whole.IsCut);
        Assert.All(told, t => Assert.True(t.IsCut));
        // The best so far only gets better, and ends as the answer.
        Assert.Equal(told.Select(t => t.Options[0].Points).OrderDescending(), told.Select(t => t.Options[0].Points));
        Assert.Equal(whole.Options[0].Points, told[^1].Options[0].Points);
    }

    /// <summary>Weights decide: where a device that is touched counts for much, another option comes first.</summary>
    [Fact]
    public void Weights_decide_which_comes_first()
    {
        var found = Found("pottery-house.json");
        var usual = Plan(found).Options[0];
        Assert.Equal(1, usual.Score.Effort.DevicesTouched);
        var dear = Planner.Plan(
            new(found) { Weights = PlanWeights.Usual with { DeviceTouched = 400 } },
            stop: TestContext.Current.CancellationToken
        );
        Assert.Equal(0, dear.Options[0].Score.Effort.DevicesTouched);
        Assert.Equal(0, dear.Options[0].Score.Missed);
    }

    /// <summary>A box that is added to a home named by a school sends the home's name as that school has it.</summary>
    [Theory]
    [InlineData(NamingSchool.OneName, "willow", "willow")]
    [InlineData(NamingSchool.OnePerBox, "willow Attic router", "willow Attic router")]
    [InlineData(NamingSchool.OnePerBand, "willow", "willow 5")]
    public void A_box_that_is_added_is_named_by_the_school(NamingSchool school, params string[] names)
    {
        var found = Found("surveys/third-near-second.json");
        // What was found is named by the school of bands too: otherwise one name everywhere is less to do.
        BoxMode Named(BoxMode mode) =>
            school != NamingSchool.OnePerBand
                ? mode
                : mode.WithRadios([.. mode.Radios.Select(r => r.Radio == "r5" ? r with { Name = "willow 5" } : r)]);
        var setUp = found.SetUp with { Boxes = [.. found.SetUp.Boxes.Select(b => b with { Mode = Named(b.Mode) })] };
        var option = Plan(new(found.Site with { Naming = school }, setUp)).Options[0];
        var added = new Design(found.Site, option.SetUp).Mode("attic-router");
        Assert.Equal(names, added!.Radios.Select(r => r.Name));
    }

    /// <summary>A pair for television cable serves where that comes out in both places, and nowhere else.</summary>
    [Fact]
    public void A_coax_pair_needs_television_cable()
    {
        var found = Found("surveys/stone-house.json");
        var site = found.Site with
        {
            Boxes =
            [
                .. found.Site.Boxes.Select(b =>
                    b.Profile.Kind == BoxKind.Powerline ? b with { Profile = b.Profile with { Kind = BoxKind.Coax } } : b
                ),
            ],
        };
        var without = Plan(found with { Site = site });
        Assert.All(without.Options, o => Assert.DoesNotContain(o.Roles, r => r.Kind == RoleKind.Switch));
        IReadOnlyList<Socket> sockets =
        [
            new("tv-hall", "Hall television socket", SocketKind.Coax) { Place = "hall" },
            new("tv-study", "Study television socket", SocketKind.Coax) { Place = "study" },
        ];
        var with = Plan(found with { Site = site with { Sockets = [.. site.Sockets, .. sockets] } });
        Assert.Equal(2, with.Options[0].SetUp.Boxes.Count(b => site.Boxes.Any(o => o.Id == b.Box && o.Profile.Kind == BoxKind.Coax)));
        Assert.Contains(with.Options[0].SetUp.Cables, c => c.Medium == Medium.Coax);
    }

    /// <summary>The document lists each weight as it is.</summary>
    [Fact]
    public void The_document_tells_the_weights()
    {
        var rows = File.ReadLines(Path.Combine(AppContext.BaseDirectory, "docs", "planning.md"))
            .SkipWhile(l => !l.StartsWith("| what | points", StringComparison.Ordinal))
            .Skip(2)
            .TakeWhile(l => l.StartsWith('|'))
            .Select(l => double.Parse(l.Split('|')[^2], System.Globalization.CultureInfo.InvariantCulture));
        Assert.Equal(
            typeof(PlanWeights).GetProperties().Where(p => p.PropertyType == typeof(double)).Select(p => p.GetValue(PlanWeights.Usual)),
            rows.Cast<object>()
        );
    }
}
