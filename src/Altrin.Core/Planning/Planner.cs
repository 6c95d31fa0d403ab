using Altrin.Core.Addressing;
using Altrin.Core.Findings;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>One way to set a home up, proven.</summary>
/// <param name="Site">The home, with whatever has to be bought for it.</param>
/// <param name="SetUp">The set-up, named "planned".</param>
/// <param name="Proof">What is proven of it, without remedies.</param>
/// <param name="Score">What speaks against it.</param>
/// <param name="Points">The sum of that.</param>
/// <param name="Roles">What each box is.</param>
/// <param name="Departures">Where it departs from the installer's way, a sentence each.</param>
/// <param name="NotTonight">What the provider has to say or do first, a sentence each: with any it is not done tonight.</param>
public sealed record PlanOption(
    Site Site,
    SetUp SetUp,
    Proof Proof,
    PlanScore Score,
    double Points,
    IReadOnlyList<BoxRole> Roles,
    IReadOnlyList<string> Departures,
    IReadOnlyList<string> NotTonight
)
{
    /// <summary>What has to be bought for it.</summary>
    public IEnumerable<Box> Bought => Site.Boxes.Where(b => b.ToBuy && SetUp.Boxes.Any(s => s.Box == b.Id));

    /// <summary>
    /// The home with the option as its set-up "planned", in place of one that stands. What has to be bought is noted; what was noted so
    /// for the plan before alone is taken off again, but for what a person has given a name of its own. Where the way of working names
    /// Wi-Fi otherwise than the survey, the survey has it so from then on.
    /// </summary>
    public HomeFile ChosenIn(HomeFile home) => NamedIn(home, SetUp);

    /// <summary>The home with the option as one more set-up, to be looked at and compared; or why it cannot be kept.</summary>
    /// <param name="home">The home.</param>
    /// <param name="name">What it is to be called: the set-up is named after it, in small letters with hyphens.</param>
    public Parsed<HomeFile> KeptIn(HomeFile home, string name)
    {
        var slug = Slugs.Of(name, _ => false, "");
        return slug.Length == 0 ? Parsed<HomeFile>.Fail("A name with a letter from a to z, or a digit, is expected.")
            : home.SetUps.Any(s => s.Name == slug) || slug is HomeFile.FoundName or HomeFile.PlannedName
                ? Parsed<HomeFile>.Fail($"A name other than those of the set-ups that stand is expected; '{slug}' is one.")
            : home.SetUps.Count >= HomeFile.MostSetUps
                ? Parsed<HomeFile>.Fail($"At most {HomeFile.MostSetUps} set-ups are kept; remove one first.")
            : NamedIn(home, SetUp with { Name = slug });
    }

    private HomeFile NamedIn(HomeFile home, SetUp setUp)
    {
        var before = home.Design(setUp.Name);
        var planned = before is null ? home with { SetUps = [.. home.SetUps, setUp] } : home.With(setUp);
        var needed = planned.SetUps.SelectMany(s => s.Boxes).Select(b => b.Box).ToHashSet(StringComparer.Ordinal);
        return planned with
        {
            Site = home.Site with
            {
                Naming = Site.Naming,
                Boxes =
                [
                    .. home.Site.Boxes.Where(b => !WishedGear.IsNamedByKind(b) || needed.Contains(b.Id) || before?.Setting(b.Id) is null),
                    .. Bought.Where(b => home.Site.Boxes.All(o => o.Id != b.Id)),
                ],
            },
        };
    }
}

/// <summary>The options for a home.</summary>
/// <param name="Options">One to five that differ in kind, the best first.</param>
/// <param name="Proven">How many set-ups were proven.</param>
/// <param name="IsCut">Whether the search ended before it was through: these are the best so far.</param>
/// <param name="Found">What was found, as if it were an option.</param>
/// <param name="With">The best of what was proven in which each box serves, by the id of the box.</param>
/// <param name="Gateway">The best of what was proven for each way that the box at the internet line can go.</param>
/// <param name="NotMet">Needs that no option meets, with what would; worked out once the search has ended.</param>
public sealed record PlanAnswer(
    IReadOnlyList<PlanOption> Options,
    int Proven,
    bool IsCut,
    PlanOption Found,
    IReadOnlyDictionary<string, PlanOption> With,
    IReadOnlyDictionary<GatewaySchool, PlanOption> Gateway,
    IReadOnlyList<NeedNotReached> NotMet
);

/// <summary>Works out what each box of a home should become.</summary>
public static class Planner
{
    /// <summary>How many options are shown.</summary>
    public const int MostOptions = 5;

    /// <summary>The options for a home.</summary>
    /// <param name="task">The home as it was found, and how the installer goes about it.</param>
    /// <param name="progress">Told of the best so far, again and again.</param>
    /// <param name="stop">Ends the search; what was found by then is the answer.</param>
    public static PlanAnswer Plan(PlanTask task, Action<PlanAnswer>? progress = null, CancellationToken stop = default)
    {
        task = task.Named();
        var search = new PlanSearch(task, stop);
        search.Run(() => progress?.Invoke(Answer(task, search, isCut: true)));
        var answer = Answer(task, search, search.IsCut);
        return answer with { NotMet = NeedNotReached.Of(answer.Options) };
    }

    private static PlanAnswer Answer(PlanTask task, PlanSearch search, bool isCut)
    {
        var shown = search.Shown(MostOptions);
        return new(
            [.. shown.Select(s => Option(task, s))],
            search.Proven,
            isCut || search.IsCut,
            Option(task, search.Found!),
            search.With.ToDictionary(w => w.Key, w => Option(task, w.Value), StringComparer.Ordinal),
            search.Gateway.ToDictionary(w => w.Key, w => Option(task, w.Value)),
            []
        );
    }

    private static PlanOption Option(PlanTask task, PlanState state)
    {
        var site = Needed(task.Found.Site, state.Design);
        return new(
            site,
            state.Design.SetUp with
            {
                Name = HomeFile.PlannedName,
                Accepted = [],
            },
            state.Proof,
            state.Score,
            state.Score.Points(task.Weights),
            [
                .. site
                    .Boxes.OrderBy(b => b.Id, StringComparer.Ordinal)
                    .Select(b => state.Roles.FirstOrDefault(r => r.Box == b.Id) ?? new(b.Id, RoleKind.Unused, null, false, null)),
            ],
            state.Departures,
            state.NotTonight
        );
    }

    /// <summary>The home that was found, and what is used beyond it.</summary>
    private static Site Needed(Site found, Design design) =>
        found with
        {
            Boxes =
            [
                .. found.Boxes,
                .. design.Site.Boxes.Where(b => design.Setting(b.Id) is not null && found.Boxes.All(o => o.Id != b.Id)),
            ],
        };
}
