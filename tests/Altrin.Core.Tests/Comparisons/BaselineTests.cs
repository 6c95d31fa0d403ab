using Altrin.Core.Comparisons;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using CsCheck;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>What speed runs are worth.</summary>
public sealed class BaselineTests
{
    private static BaselineGroup Group(int? sold, SpeedLimit? carries, params SpeedRun[] runs) =>
        Assert.Single(Baseline.Of(runs, new PublicDynamic(sold, null), _ => carries is null ? null : new(carries), p => p));

    private static SpeedLimit Wire(int mbps) => new("the port", RateSpan.Exactly(mbps * MediumRates.Payload));

    private static SpeedRun Run(double down, double? seconds = 30, double? megabytes = null, RunBy by = RunBy.Cable) =>
        new(1, "", "hall", by, "", seconds, megabytes, down, null);

    [Fact]
    public void Three_runs_have_a_middle_and_a_spread()
    {
        var group = Group(1000, null, Run(468), Run(471), Run(300));
        Assert.Equal((468, 300, 471, 3), (group.Down!.Median, group.Down.Least, group.Down.Most, group.Usable));
        Assert.Contains(group.Says, s => s.StartsWith("They lie far apart", StringComparison.Ordinal));
        Assert.Contains(group.Says, s => s.StartsWith("Less than the 1000 Mb/s sold", StringComparison.Ordinal));
    }

    /// <summary>A 20 MB file at 800 Mb/s lasts 0.2 s and measures nothing.</summary>
    [Fact]
    public void Runs_that_are_too_short_for_their_rate_do_not_count()
    {
        var group = Group(500, null, Run(800, null, 20), Run(480), Run(470, 4));
        Assert.Equal((3, 1, 480), (group.Runs, group.Usable, group.Down!.Median));
        Assert.Contains(group.Says, s =>
            s.StartsWith("20 MB at 800 Mb/s last 0.2 s and measure nothing", StringComparison.Ordinal)
            && s.Contains("3000 MB in 30 s", StringComparison.Ordinal)
        );
        Assert.Contains("A run of 4 s is too short: 30 s are usual.", group.Says);
        Assert.Contains("1 of at least 3 runs: one more could move the middle.", group.Says);
    }

    [Theory]
    [InlineData(500, 1000, 480, "The service stops it: 500 Mb/s were sold.")]
    [InlineData(500, 100, 93, "It is as much as arrives over the port: 94 Mb/s. 500 Mb/s were sold.")]
    [InlineData(
        500,
        1000,
        210,
        "Less than the 500 Mb/s sold, and than the 500 Mb/s that arrive at least over everything in between: measure at the outermost box next, by cable."
    )]
    [InlineData(500, 25, 35, "More than arrives over the port, 24 Mb/s: what is noted of it is not so")]
    [InlineData(500, 100, 102, "It is as much as arrives over the port")]
    [InlineData(500, 100, 104, "More than arrives over the port")]
    [InlineData(1000, 1000, 935, "The service stops it: 1000 Mb/s were sold.")]
    [InlineData(null, 1000, 935, "The rate sold was not noted: hold it against that.")]
    public void Runs_are_held_to_what_was_sold_and_what_the_wires_carry(int? sold, int carries, double down, string says) =>
        Assert.Contains(Group(sold, Wire(carries), Run(down), Run(down), Run(down)).Says, s =>
            s.StartsWith(says, StringComparison.Ordinal)
        );

    [Fact]
    public void Each_place_and_medium_is_held_to_the_best_of_all()
    {
        SpeedRun At(string place, double down, RunBy by = RunBy.Cable) => new(1, "", place, by, "", 30, null, down, null);
        SpeedRun[] runs =
        [
            At("hall", 480),
            At("hall", 500),
            At("hall", 490),
            At("loft", 120, RunBy.Ghz5),
            At("loft", 98),
            new(1, "", "shed", RunBy.Ghz2, "", 2, null, 90, null),
        ];
        var groups = Baseline.Of(runs, new PublicDynamic(500, null), _ => null, p => p);
        Assert.Equal(
            ["", "24 % of what arrives in hall by cable, the best of all.", "20 % of what arrives in hall by cable, the best of all.", ""],
            groups.Select(g => g.Says.FirstOrDefault(s => s.Contains("best of all", StringComparison.Ordinal)) ?? "")
        );
        // One run alone is its own best.
        Assert.DoesNotContain(Group(500, null, Run(480)).Says, s => s.Contains("best of all", StringComparison.Ordinal));
    }

    /// <summary>
    /// What was sold says nothing of a run within the home, and each is held to the best with the same other end; where it went over all
    /// that a slower run over the internet did, it is not the home that stops that one.
    /// </summary>
    [Theory]
    [InlineData(1000, 480, 900, "ab", "a", true)]
    [InlineData(1000, 480, 500, "ab", "a", false)]
    [InlineData(1000, 480, 900, "b", "a", false)]
    public void Runs_within_the_home_are_told_from_the_others(
        int carries,
        double outer,
        double inner,
        string over,
        string out1,
        bool cleared
    )
    {
        SpeedRun At(string place, double down, string to = "") => new(1, "", place, RunBy.Cable, "", 30, null, down, null, to);
        var groups = Baseline.Of(
            [
                .. Enumerable.Repeat(At("hall", outer), 3),
                .. Enumerable.Repeat(At("hall", inner, "nas"), 3),
                .. Enumerable.Repeat(At("loft", 90, "nas"), 3),
            ],
            new PublicDynamic(600, null),
            r => r.Place == "loft" ? null : new(Wire(carries)) { Links = [.. (r.To.Length == 0 ? out1 : over).Select(c => $"{c}")] },
            p => p
        );
        Assert.Equal([null, "nas", "nas"], groups.Select(g => g.To));
        var clears =
            $"It is not the home that stops it: {inner} Mb/s went over the same ways to nas. Measure at the outermost box, by cable.";
        Assert.Equal(
            cleared ? new[] { clears } : [],
            groups.SelectMany(g => g.Says).Where(s => s.StartsWith("It is not the home", StringComparison.Ordinal))
        );
        Assert.DoesNotContain(groups.Skip(1).SelectMany(g => g.Says), s => s.Contains("were sold", StringComparison.Ordinal));
        Assert.DoesNotContain(groups[0].Says, s => s.Contains("best of all", StringComparison.Ordinal));
        Assert.Contains($"{90 / inner * 100:0} % of what arrives in hall by cable, the best of all to nas.", groups[2].Says);
        Assert.Contains(groups[2].Says, s =>
            s.StartsWith("It is a run within the home, apart from what was sold. Where", StringComparison.Ordinal)
        );
    }

    /// <summary>A long table costs so many looks at the network and no more, and is told whole.</summary>
    [Fact]
    public void A_long_table_of_runs_is_looked_at_in_part()
    {
        var looks = 0;
        var runs = Enumerable
            .Range(0, 20_000)
            .Select(i => new SpeedRun(i, "", "", RunBy.Cable, "", 30, null, 90 + (i % 7), null, $"end {i}"));
        var groups = Baseline.Of(
            [.. runs],
            new PublicDynamic(500, null),
            _ =>
            {
                looks++;
                return new(null);
            },
            p => p
        );
        Assert.Equal((Baseline.MostPaths, 20_000), (looks, groups.Count));
    }

    /// <summary>Against the definition: half of the values are not above the median, half not below.</summary>
    [Fact]
    public void The_middle_is_the_median() => Property.Check(Gen.Double[1, 1000].Array[1, 9], values =>
        {
            var spread = MedianSpread.Of(values);
            Assert.True(
                values.Count(v => v <= spread.Median) * 2 >= values.Length && values.Count(v => v >= spread.Median) * 2 >= values.Length
            );
            Assert.Equal((values.Min(), values.Max()), (spread.Least, spread.Most));
        });
}
