using Altrin.Core.Changes;
using Altrin.Core.Coverage;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Coverage;

/// <summary>A channel plan is the best there is where that can be looked up, and planned around what cannot be set.</summary>
public sealed class ChannelPlanTests
{
    [Fact]
    public void Boxes_on_one_channel_are_set_apart_and_all_places_gain()
    {
        var home = Row(2, _ => 36, 20);
        var plan = Of(home.Design);
        Assert.True(plan.IsBest);
        Assert.Equal(3, plan.Radios.Select(r => (r.Planned, r.PlannedMhz)).Distinct().Count());
        Assert.All(plan.Radios, r => Assert.True(r.Then > r.Now));
        Assert.All(plan.Places, p => Assert.True(p.ThenMbps > p.NowMbps));
        var after = ChangeList.Apply(home.Design, plan.Changes).Value;
        // What was planned is there, and nothing is left to gain.
        Assert.Empty(Of(after).Changes);
        Assert.Equal(plan.Radios.Select(r => r.Planned), Of(after).Radios.Select(r => r.Channel));
    }

    /// <summary>Where nothing is to be gained nothing is changed.</summary>
    [Fact]
    public void A_home_that_is_well_set_is_left_alone()
    {
        Assert.Empty(Of(Row(1, i => i == 0 ? 36 : 52, 80).Design).Changes);
        Assert.Empty(Of(Home.WithGateway().Edit<RouterMode>("gw", m => m with { Wifi = [] }).Design).Radios);
    }

    /// <summary>Every combination by another way: plain loops over all blocks, valued by their own sum.</summary>
    [Fact]
    public void A_small_plan_is_the_best_of_all_combinations()
    {
        var draw = new Random(2106);
        for (var round = 0; round < 25; round++)
        {
            HeardNetwork[] scan =
            [
                .. Enumerable
                    .Range(0, draw.Next(6))
                    .Select(i => new HeardNetwork($"n{i}")
                    {
                        Band = RadioBand.Ghz2,
                        Channel = 1 + draw.Next(13),
                        LevelDbm = -40 - draw.Next(50),
                    }),
            ];
            var boxes = 1 + draw.Next(4);
            var first = Enumerable.Range(0, boxes + 1).Select(_ => 1 + draw.Next(11)).ToArray();
            var design = Row(boxes, i => first[i], 20, RadioBand.Ghz2, scan).Design;
            var plan = Of(design);
            Assert.True(plan.IsBest);
            var best = Best(design, boxes);
            Assert.Equal(
                best,
                Value(design, [.. plan.Radios.Select(r => r.Planned!.Value)], [.. plan.Radios.Select(r => r.Channel!.Value)]),
                6
            );
        }
    }

    /// <summary>Twelve radios in one flat: moved one by one, and never worse than what is there.</summary>
    [Fact]
    public void A_large_plan_is_no_worse_than_what_is_there()
    {
        var home = Row(11, i => i % 2 == 0 ? 36 : 40, 20, apart: 3);
        var plan = Of(home.Design);
        Assert.False(plan.IsBest);
        Assert.True(
            plan.Radios.Sum(r => Math.Log(r.Then!.Value * r.PlannedMhz!.Value)) > plan.Radios.Sum(r => Math.Log(r.Now!.Value * 20))
        );
        Assert.All(plan.Radios, r =>
            Assert.NotNull(CountryRules.Allowed("AT", ChannelBlock.Of(r.Band, r.Planned!.Value, r.PlannedMhz!.Value)!))
        );
        Assert.Equal(plan.Radios, Of(home.Design).Radios);
    }

    /// <summary>Where radios are moved one by one, no further move of a single one gains: valued by the sum of the small plans.</summary>
    [Fact]
    public void A_large_plan_gains_by_no_single_move()
    {
        var draw = new Random(2211);
        for (var round = 0; round < 4; round++)
        {
            var first = Enumerable.Range(0, 11).Select(_ => 1 + draw.Next(11)).ToArray();
            var design = Row(10, i => first[i], 20, RadioBand.Ghz2, [], apart: 0.1).Design;
            var plan = Of(design);
            Assert.False(plan.IsBest);
            int[] now = [.. plan.Radios.Select(r => r.Channel!.Value)];
            int[] then = [.. plan.Radios.Select(r => r.Planned!.Value)];
            var value = Value(design, then, now);
            Assert.True(value > Value(design, now, now));
            for (var i = 0; i < then.Length; i++)
            {
                foreach (var channel in new[] { 1, 6, 11, now[i] })
                {
                    int[] moved = [.. then.Select((c, at) => at == i ? channel : c)];
                    Assert.True(Value(design, moved, now) <= value + 1e-6, $"radio {i} to {channel}");
                }
            }
        }
    }

    /// <summary>One box alone is as wide as it can be, 80 MHz at most where its widest was not read.</summary>
    [Theory]
    [InlineData(20, 20)]
    [InlineData(40, 40)]
    [InlineData(80, 80)]
    [InlineData(160, 80)]
    [InlineData(null, 80)]
    public void A_box_alone_is_as_wide_as_it_can_be(int? widest, int planned)
    {
        var home = Row(0, _ => 36, 20).Profile("gw", p => p with { Radios = [new("r5", RadioBand.Ghz5) { WidestMhz = widest }] });
        var radio = Assert.Single(Of(home.Design).Radios);
        Assert.Equal(planned, radio.PlannedMhz);
    }

    /// <summary>What a place gets is what the best of the boxes brings there, and not the weakest.</summary>
    [Fact]
    public void A_place_gets_what_the_best_box_brings()
    {
        var alone = Of(Row(0, _ => 36, 80).Design).Places.Single(p => p.Place == "r0").ThenMbps;
        var far = Of(Row(1, i => i == 0 ? 36 : 52, 80, apart: 60).Design).Places;
        Assert.Equal(alone, far.Single(p => p.Place == "r0").ThenMbps);
        Assert.Equal(alone, far.Single(p => p.Place == "r1").ThenMbps);
        Assert.All(far, p => Assert.Equal(p.ThenMbps, p.NowMbps));
    }

    /// <summary>What cannot be set is planned around, and why is told; a repeater goes where the box goes that it joins.</summary>
    [Fact]
    public void What_cannot_be_set_is_planned_around()
    {
        var home = Row(2, _ => 36, 20).Profile("p1", p => p with { Traits = p.Traits with { Pages = [new("LAN", [Setting.LanAddress])] } });
        var plan = Of(home.Design);
        Assert.Equal("no page of it sets the channel", plan.Radios.Single(r => r.Box == "p1").Stays);
        Assert.Equal(36, plan.Radios.Single(r => r.Box == "p1").Planned);
        Assert.DoesNotContain(plan.Changes.OfType<SetRadio>(), c => c.Box == "p1");
        Assert.NotEqual(36, plan.Radios.Single(r => r.Box == "p2").Planned);
        var joined = Row(1, _ => 52, 20)
            .Repeater("rep", "gw", UplinkFrames.FourAddress)
            .FourAddresses("gw")
            .FourAddresses("rep")
            .Stands("rep", "r1");
        var with = Of(joined.Design);
        var (main, follower) = (with.Radios.Single(r => r.Box == "gw"), with.Radios.Single(r => r.Box == "rep"));
        Assert.Equal((main.Planned, "it is on the channel of the box that it joins"), (follower.Planned, follower.Stays));
        // Under a link that has to come up at once no radar comes first.
        Assert.False(main.Radar);
        Assert.DoesNotContain(with.Changes.OfType<SetRadio>(), c => c.Box == "rep");
        Assert.Equal(
            "its kit chooses the channel",
            Of(Row(1, _ => 36, 20).Profile("p1", p => p with { Kit = "kit" }).Design).Radios.Single(r => r.Box == "p1").Stays
        );
    }

    /// <summary>Boxes that join each other in a chain on one radio are all where its head is, today and in the plan.</summary>
    [Fact]
    public void A_chain_goes_along_as_a_whole()
    {
        var home = Row(1, _ => 36, 20);
        foreach (var (box, at) in new[] { ("near", "gw"), ("far", "near") })
        {
            home.Repeater(box, at, UplinkFrames.FourAddress).FourAddresses(at).FourAddresses(box).Stands(box, "r1");
        }
        var plan = Of(home.Design);
        var head = plan.Radios.Single(r => r.Box == "gw");
        Assert.All(plan.Radios.Where(r => r.Box is "near" or "far"), r =>
            Assert.Equal((head.Planned, head.PlannedMhz, false), (r.Planned, r.PlannedMhz, r.Moves))
        );
        // Two that join each other have no head: they are left as they are.
        var ring = Row(1, _ => 36, 20).Repeater("a", "b", UplinkFrames.FourAddress).Repeater("b", "a", UplinkFrames.FourAddress);
        Assert.DoesNotContain(Of(ring.Design).Changes.OfType<SetRadio>(), c => c.Box == "gw" && c.Radio != "r5");
    }

    /// <summary>A radio that stays where it is keeps a width that is left to the box.</summary>
    [Fact]
    public void What_stays_is_not_pinned()
    {
        var plan = Of(Row(1, i => i == 0 ? 36 : 52, null).Design);
        Assert.Empty(plan.Changes);
        Assert.All(plan.Radios, r => Assert.False(r.Moves));
    }

    /// <summary>Without a country only what every country allows is planned: at 5 GHz nothing, and why is told.</summary>
    [Theory]
    [InlineData(RadioBand.Ghz5, "no channel of it is allowed in every country: note the country in the survey")]
    [InlineData(RadioBand.Ghz2, null)]
    public void Without_a_country_nothing_is_planned_that_may_be_forbidden(RadioBand band, string? stays)
    {
        var design = Row(1, _ => 1, 20, band).Design;
        var plan = Of(design with { Site = design.Site with { Country = null } });
        Assert.All(plan.Radios, r => Assert.Equal(stays, r.Stays));
        Assert.Equal(stays is null, plan.Changes.Count > 0);
        Assert.All(plan.Radios.Where(r => r.Moves), r => Assert.Contains(r.Planned!.Value, new[] { 6, 11 }));
    }

    /// <summary>Where a box chooses its channel today there is nothing to compare with, and a plan all the same.</summary>
    [Fact]
    public void A_box_that_chooses_today_is_given_a_channel()
    {
        var plan = Of(Row(2, _ => null, null).Design);
        Assert.All(plan.Radios, r => Assert.True(r is { Now: null, Planned: not null }));
        Assert.All(plan.Places, p => Assert.Null(p.NowMbps));
        Assert.Equal(3, plan.Changes.Count);
    }

    private static double Best(Design design, int boxes)
    {
        int[] now = [.. Air.Of(design).Select(a => a.Setting.Channel!.Value)];
        var best = double.NegativeInfinity;
        int[][] choices = [.. now.Select(n => new[] { 1, 6, 11, n }.Distinct().ToArray())];
        var at = new int[boxes + 1];
        while (true)
        {
            best = Math.Max(best, Value(design, [.. at.Select((c, i) => choices[i][c])], now));
            var next = 0;
            while (next < at.Length && ++at[next] == choices[next].Length)
            {
                at[next++] = 0;
            }
            if (next == at.Length)
            {
                return best;
            }
        }
    }

    /// <summary>All boxes of a flat hear each other: the sum of the logarithms of their shares, and 0.03 for each change.</summary>
    private static double Value(Design design, int[] channels, int[] now)
    {
        var scan = design.Site.Places[0].Air?.Networks ?? [];
        var value = 0.0;
        for (var i = 0; i < channels.Length; i++)
        {
            var share = 1 - Airtime.OfBeacon(1);
            foreach (var n in scan.Where(n => n.LevelDbm >= -82))
            {
                share *= 1 - (Overlap(channels[i], n.Channel!.Value) * (0.1 + Airtime.OfBeacon(1)));
            }
            value += Math.Log(share / (1 + channels.Where((_, j) => j != i).Sum(c => Overlap(channels[i], c))));
        }
        return value - (0.03 * channels.Zip(now).Count(c => c.First != c.Second));

        static double Overlap(int a, int b) => Math.Max(0, 20 - (5 * Math.Abs(a - b))) / 20.0;
    }

    /// <summary>A gateway "gw" and access points "p1" and on by cable, each in a room of its own, all within hearing.</summary>
    private static Home Row(
        int points,
        Func<int, int?> channel,
        int? width,
        RadioBand band = RadioBand.Ghz5,
        IReadOnlyList<HeardNetwork>? scan = null,
        double apart = 4
    )
    {
        var home = Home.WithGateway()
            .Country("AT")
            .Place("r0", p => Room(p, 0) with { Air = scan is null ? null : new(scan) })
            .Stands("gw", "r0");
        home.Switch("core", points + 1).Cable("gw/lan1", "core/lan1");
        for (var i = 1; i <= points; i++)
        {
            var at = i;
            home.Point($"p{i}").Cable($"core/lan{i + 1}", $"p{i}/lan1").Place($"r{i}", p => Room(p, at * apart)).Stands($"p{i}", $"r{i}");
            home.Edit<AccessPointMode>($"p{i}", m => m with { Wifi = [m.Wifi[0] with { Channel = channel(at), WidthMhz = width }] });
        }
        home.Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = channel(0), WidthMhz = width }] });
        foreach (var box in Enumerable.Range(1, points).Select(i => $"p{i}").Prepend("gw"))
        {
            home.Profile(box, p => p with { Radios = [new("r5", band) { WidestMhz = 80 }] });
        }
        return home;

        static Place Room(Place place, double east) =>
            place with
            {
                EastMetres = east,
                NorthMetres = 0,
                LengthMetres = 3,
                WidthMetres = 3,
                Walls = WallKind.Light,
            };
    }

    private static ChannelPlan Of(Design design) =>
        ChannelPlan.Of(design, new(Observer.Observe(Compiler.Compile(design, Situation.Settled))));
}
