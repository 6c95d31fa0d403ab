using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Formats.Tests;

/// <summary>An edit changes what its user touched and nothing else: held to every value of the design file.</summary>
public sealed class EditTests
{
    private const int Homes = 120;

    [Fact]
    public void A_change_alters_what_it_declares_and_nothing_else()
    {
        var (applied, touched) = (new SortedSet<string>(StringComparer.Ordinal), new HashSet<Setting>());
        for (var seed = 1; seed <= Homes; seed++)
        {
            var dice = new Random(seed);
            var home = Seeded(seed);
            for (var act = 0; act < 60; act++)
            {
                var design = home.Design("found")!;
                var change = ChangeGenerator.Make(dice, design);
                if (change.ApplyTo(design) is not { Ok: true } done)
                {
                    continue;
                }
                var after = home.With(done.Value);
                touched.UnionWith(Held(home, after, change.Touches(design), $"seed {seed}: {change}"));
                applied.Add(change.GetType().Name);
                home = after;
            }
        }
        Assert.Equal(Kinds(typeof(Change)), applied);
        // Every setting of a set-up was altered by some change, so that none is compared in name only.
        Assert.Empty(Enum.GetValues<Setting>().Where(s => s < Setting.SetUp).Except(touched));
    }

    [Fact]
    public void A_correction_alters_what_it_declares_and_nothing_else()
    {
        var (applied, touched) = (new SortedSet<string>(StringComparer.Ordinal), new HashSet<Setting>());
        for (var seed = 1; seed <= Homes; seed++)
        {
            var dice = new Random(seed + 9000);
            var home = Seeded(seed);
            home = home with { SetUps = [.. home.SetUps, home.SetUps[0] with { Name = "kept-for-later" }] };
            for (var act = 0; act < 30; act++)
            {
                var correction = CorrectionGenerator.Make(dice, home, ProfileFile.BuiltIn);
                if (correction.ApplyTo(home, ProfileFile.BuiltIn) is not { Ok: true } done)
                {
                    continue;
                }
                touched.UnionWith(Held(home, done.Value, correction.Touches(home, ProfileFile.BuiltIn), $"seed {seed}: {correction}"));
                applied.Add(correction.GetType().Name);
                home = done.Value;
            }
        }
        Assert.Equal(Kinds(typeof(Correction)), applied);
        Assert.Empty(Enum.GetValues<Setting>().Where(s => s >= Setting.SetUp).Except(touched));
    }

    // The changes between two set-ups lead from the one to the other, written alike to the letter; back as well as forth. What was done in
    // between is every kind of change, on homes that cover every field of the format.
    [Fact]
    public void A_difference_applied_to_the_first_gives_the_second()
    {
        var (kinds, compared) = (new SortedSet<string>(StringComparer.Ordinal), new HashSet<Setting>());
        for (var seed = 1; seed <= 4 * Homes; seed++)
        {
            var dice = new Random(seed);
            var before = Seeded(seed).Design("found")!;
            var after = before;
            for (var acts = 0; acts < 40; acts++)
            {
                var done = ChangeGenerator.Make(dice, after).ApplyTo(after);
                after = done.Ok ? after with { SetUp = done.Value } : after;
            }
            foreach (var (from, to) in new[] { (before, after), (after, before) })
            {
                var difference = Difference.Between(from.Site, from.SetUp, to.SetUp);
                Assert.True(difference.Whole, $"seed {seed}: {string.Join("; ", difference.Unreachable)}");
                kinds.UnionWith(difference.Changes.Select(c => c.GetType().Name));
                compared.UnionWith(difference.Changes.SelectMany(c => c.Touches(from)).Select(t => t.Setting));
                var reached = difference.Changes.Aggregate(from, (d, c) => d with { SetUp = c.ApplyTo(d).Value });
                Assert.True(
                    Written(to) == Written(reached),
                    $"seed {seed}: {string.Join("; ", difference.Changes)}\n{string.Join('\n', HomeValues.Between(HomeValues.Of(Home(to)), HomeValues.Of(Home(reached))))}"
                );
            }
            Assert.Empty(Difference.Between(after.Site, after.SetUp, after.SetUp).Changes);
            // A file that was written and read again differs in nothing.
            var read = DesignFile.Read(Written(after)).Value!;
            Assert.Empty(Difference.Between(after.Site, after.SetUp, read.SetUps[0]).Changes);
        }
        Assert.Equal(Kinds(typeof(Change)), kinds);
        Assert.Empty(Enum.GetValues<Setting>().Where(s => s < Setting.SetUp).Except(compared));
    }

    // Two edits that began with the same home: either the second is made on top of the first and both are there, or what clashes is named.
    [Fact]
    public void Of_two_edits_none_is_lost_unsaid()
    {
        var (clashing, apart) = (0, 0);
        for (var seed = 1; seed <= 10 * Homes; seed++)
        {
            var dice = new Random(seed);
            var home = Seeded(seed % Homes, 1);
            var design = home.Design("found")!;
            var (theirs, mine) = (ChangeGenerator.Make(dice, design), ChangeGenerator.Make(dice, design));
            if (theirs.ApplyTo(design) is not { Ok: true } first || mine.ApplyTo(design) is not { Ok: true } alone)
            {
                continue;
            }
            var (seen, head) = (home.With(alone.Value), home.With(first.Value));
            if (Clash.Between(home, seen, head).Count > 0)
            {
                clashing++;
                continue;
            }
            if (mine.ApplyTo(design with { SetUp = first.Value }) is not { Ok: true } both)
            {
                continue;
            }
            apart++;
            var (was, other, own, now) = (
                HomeValues.Of(home),
                HomeValues.Of(head),
                HomeValues.Of(seen),
                HomeValues.Of(home.With(both.Value))
            );
            Assert.All(HomeValues.Between(was, other).Where(p => other.GetValueOrDefault(p) != now.GetValueOrDefault(p)), p =>
                Assert.True(
                    own.GetValueOrDefault(p) == now.GetValueOrDefault(p)
                        || mine.Touches(design with { SetUp = first.Value }).Any(t => t.Covers(HomeValues.TouchAt(p))) is false,
                    $"seed {seed}: {theirs} then {mine} loses {p}"
                )
            );
        }
        Assert.True(clashing > 3 && apart > 200, $"{clashing} clashing, {apart} apart");
    }

    [Fact]
    public void Two_tabs_that_move_one_end_of_a_pool_each_keep_both()
    {
        var home = Home(Testing.Home.WithGateway().Design);
        Design Then(Design design, Change change) => design with { SetUp = change.ApplyTo(design).Value };
        var design = home.Design("found")!;
        var (end, start) = (
            new MovePool("gw") { Last = Testing.Home.At("192.168.8.120") },
            new MovePool("gw") { First = Testing.Home.At("192.168.8.50") }
        );
        Assert.Empty(Clash.Between(home, Home(Then(design, start)), Home(Then(design, end))));
        Assert.Equal("192.168.8.50-192.168.8.120", $"{((RouterMode)Then(Then(design, end), start).Mode("gw")!).Server.Pool}");
        var other = new MovePool("gw") { Last = Testing.Home.At("192.168.8.130") };
        Assert.Equal(
            [new Clash("last address of the DHCP pool of gw", "found", "192.168.8.130", "192.168.8.120")],
            Clash.Between(home, Home(Then(design, other)), Home(Then(design, end)))
        );
    }

    private static HomeFile Seeded(int seed, int devices = 8)
    {
        var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, devices), seed);
        return Home(
            design with
            {
                Site = design.Site with
                {
                    Boxes = [.. design.Site.Boxes.Select(b => Everything(b, design.Mode(b.Id) is SwitchMode { Page: null }))],
                },
            }
        );
    }

    /// <summary>Every kind of box may become whatever a change asks for, so that no mode is left out.</summary>
    private static Box Everything(Box box, bool plain) =>
        box with
        {
            Profile = box.Profile with
            {
                Modes = [.. Enum.GetValues<ModeKind>().OrderBy(m => m != box.Profile.Modes[0])],
                FactoryAddress = plain ? null : box.Profile.FactoryAddress ?? Testing.Home.Own("192.168.0.1/24"),
                Passes = [PassKind.Port, PassKind.MacAddress, PassKind.Mapping],
                Radios =
                    box.Profile.Radios.Count > 0 || !box.Profile.Modes.SequenceEqual([ModeKind.Switch])
                        ? box.Profile.Radios
                        : [new BoxRadio("r5", RadioBand.Ghz5)],
            },
        };

    private static HomeFile Home(Design design) => new(design.Site, [design.SetUp with { Name = "found" }]);

    private static string Written(Design design) => DesignFile.Write(Home(design));

    private static IEnumerable<string> Kinds(Type of) =>
        of.Assembly.GetTypes().Where(t => t.IsSubclassOf(of)).Select(t => t.Name).Order(StringComparer.Ordinal);

    private static List<Setting> Held(HomeFile before, HomeFile after, IReadOnlyList<Touch> declared, string what)
    {
        var altered = HomeValues.Between(HomeValues.Of(before), HomeValues.Of(after));
        foreach (var path in altered)
        {
            var touch = HomeValues.TouchAt(path);
            Assert.True(
                declared.Any(d => d.Covers(touch)),
                $"{what} altered {path}, which it does not declare: {string.Join(", ", declared)}"
            );
        }
        return altered.Select(p => HomeValues.TouchAt(p).Setting).ToList();
    }
}
