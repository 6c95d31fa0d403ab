using Altrin.Core.Changes;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Core.Trials;

namespace Altrin.Core.Tests.Trials;

public sealed class TrialTests
{
    private static Home House() =>
        Home.WithGateway()
            .Point("point", "192.168.8.3/24")
            .Cable("gw/lan1", "point/wan")
            .Wired("a", "gw/lan2")
            .Wired("b", "point/lan1")
            .Found("b");

    private static TrialResult Try(Home home, string id) => WhatIf.Try(home.Design, id).Value;

    private static IEnumerable<string> Told(TrialPhase phase, MovedKind kind) =>
        phase.Difference.Moved.Where(m => m.Kind == kind).Select(m => $"{m.Trend}: {m.About}, {m.Before} to {m.After}");

    [Fact]
    public void Offers_what_may_happen_to_this_home() =>
        Assert.Equal(
            [
                "restart:home",
                "off:gw",
                "off:point",
                "unplug:street-gw-wan",
                "unplug:gw-lan1-point-wan",
                "unplug:gw-lan2-a",
                "unplug:point-lan1-b",
                "swap:gw",
                "swap:point",
                "reset:gw",
            ],
            WhatIf.Of(House().Design).Select(t => t.Id)
        );

    /// <summary>One box alone has no order to start in, and what stands on a shelf is told by its name.</summary>
    [Fact]
    public void Offers_only_what_can_happen()
    {
        Assert.DoesNotContain("restart:home", WhatIf.Of(Home.WithGateway().Wired("a", "gw/lan1").Design).Select(t => t.Id));
        var home = House()
            .Router("zz")
            .Box("zz", b => b with { Name = "Attic router" })
            .Router("aa")
            .Box("aa", b => b with { Name = "Barn router" });
        var design = home.Design;
        design = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box is not ("zz" or "aa"))] } };
        Assert.Equal(
            ["old-router:zz", "old-router:aa"],
            WhatIf.Of(design).Select(t => t.Id).Where(t => t.StartsWith("old", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void A_caller_that_no_longer_waits_is_not_answered()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        Assert.ThrowsAny<OperationCanceledException>(() => WhatIf.Try(House().Design, "off:gw", new Work(gone.Token)));
    }

    /// <summary>Another router in between is neither better nor worse; one more or less is.</summary>
    [Theory]
    [InlineData("one/lan1", "two/lan1", Trend.Other)]
    [InlineData("one/lan1", "gw/lan3", Trend.Better)]
    [InlineData("gw/lan3", "two/lan1", Trend.Worse)]
    public void Each_router_that_does_NAT_more_is_worse(string from, string to, Trend trend)
    {
        static Proof At(string port) =>
            Judging.Prove(
                Home.WithGateway()
                    .Router("one", "192.168.20.1/24")
                    .Router("two", "192.168.30.1/24")
                    .Cable("gw/lan1", "one/wan")
                    .Cable("gw/lan2", "two/wan")
                    .Wired("a", port)
                    .Design
            );
        var moved = ProofDifference.Between(At(from), At(to)).Moved.Single(m => m.About == "NAT on the way of a");
        Assert.Equal(trend, moved.Trend);
    }

    /// <summary>Who reaches whom is told pair by pair up to a number of pairs, and not beyond it.</summary>
    [Theory]
    [InlineData(100, true)]
    [InlineData(101, false)]
    public void Pairs_are_told_up_to_a_limit(int devices, bool told)
    {
        var home = Home.WithGateway().Switch("s", devices + 1).Cable("gw/lan1", "s/lan1");
        for (var i = 0; i < devices; i++)
        {
            home.Wired($"d{i:000}", $"s/lan{i + 2}");
        }
        var result = Try(home, "unplug:s-lan2-d000").Phases[0];
        Assert.Equal(told, result.Difference.Moved.Any(m => m.Kind == MovedKind.Reach));
    }

    [Fact]
    public void An_unplugged_cable_takes_those_behind_it_along_and_their_leases_run_out_later()
    {
        var phases = Try(House(), "unplug:gw-lan1-point-wan").Phases;
        var phase = phases[0];
        Assert.Empty(Told(phase, MovedKind.Address));
        Assert.StartsWith("Worse: Address of b", Assert.Single(Told(phases[1], MovedKind.Address)));
        Assert.Equal(["Worse: Internet of b, yes to no"], Told(phase, MovedKind.Internet));
        Assert.Equal(["Worse: b found by every device, yes to no"], Told(phase, MovedKind.Need));
        Assert.Equal(["Worse: a to b, yes to no", "Worse: b to a, yes to no"], Told(phase, MovedKind.Reach));
        Assert.Equal("The cable of b is unplugged.", Try(House(), "unplug:point-lan1-b").Phases[0].Difference.Moved[0].Why);
        Assert.Equal("gw, which a is connected to, is off.", Try(House(), "off:gw").Phases[0].Difference.Moved[0].Why);
        Assert.Equal(1, phase.Difference.Stayed);
        Assert.Equal(VerdictKind.WillNotWork, phase.Difference.Verdict.Kind);
    }

    [Fact]
    public void Without_their_router_neighbours_talk_until_their_leases_run_out_and_then_by_addresses_of_their_own()
    {
        var result = Try(Home.WithGateway().Switch("sw").Cable("gw/lan1", "sw/lan1").Wired("a", "sw/lan2").Wired("b", "sw/lan3"), "off:gw");
        Assert.Equal(["At once", "Once all leases have run out"], result.Phases.Select(p => p.When));
        Assert.Equal(["Worse: Internet of a, yes to no", "Worse: Internet of b, yes to no"], Told(result.Phases[0], MovedKind.Internet));
        Assert.Empty(Told(result.Phases[0], MovedKind.Reach));
        Assert.Empty(Told(result.Phases[0], MovedKind.Address));
        Assert.Equal(
            ["Worse: Address of a", "Worse: Address of b"],
            Told(result.Phases[1], MovedKind.Address).Select(t => t.Split(',')[0])
        );
    }

    /// <summary>
    /// An access point that serves while it hears no other is up before the main router after a power cut (common practice).
    /// </summary>
    [Fact]
    public void After_a_power_cut_the_worst_order_lets_a_second_server_wake()
    {
        var result = Try(House().Wakes("point"), "restart:home");
        Assert.StartsWith("Start in this order: point, gw", result.How);
        Assert.Contains(result.Phases[0].Difference.Moved, m =>
            m.Kind == MovedKind.Internet && m.Trend == Trend.Worse && m.Subjects[0] == "b"
        );
        // Where no one wakes, everything comes back by itself.
        Assert.DoesNotContain(Try(House(), "restart:home").Phases[^1].Difference.Moved, m => m.Trend == Trend.Worse);
    }

    [Fact]
    public void Swapped_ports_are_told_by_what_they_break()
    {
        var result = Try(Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1").Wired("c", "gw/lan2"), "swap:in");
        Assert.Contains("in", result.How);
        var worse = Assert.Single(result.Phases).Difference.Moved.Where(m => m.Trend == Trend.Worse).ToList();
        Assert.Contains(worse, m => m.Kind == MovedKind.Internet && m.Subjects[0] == "a");
        Assert.Contains(worse, m => m.Kind == MovedKind.Finding && m.About.Contains("addresses", StringComparison.Ordinal));
    }

    [Fact]
    public void A_reset_access_point_serves_again_and_an_old_router_too()
    {
        var design = House().Router("old").Design;
        var shelved = design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "old")] } };
        Assert.Contains("old-router:old", WhatIf.Of(shelved).Select(t => t.Id));
        Assert.Contains(WhatIf.Try(shelved, "old-router:old").Value.Phases[0].Difference.Moved, m =>
            m.Kind == MovedKind.Finding && m.About == "gw and old both hand out addresses in one network"
        );
        var changed = ChangeList
            .Apply(House().Router("in").Cable("gw/lan3", "in/wan").Wired("x", "in/lan1").Design, [new SetMode("in", ModeKind.AccessPoint)])
            .Value;
        Assert.Contains(WhatIf.Try(changed, "reset:in").Value.Phases[0].Difference.Moved, m =>
            m.Kind == MovedKind.Internet && m.About == "NAT on the way of x" && m.Trend == Trend.Worse
        );
        // The names that phones know are gone too.
        Assert.Contains(Try(Home.WithGateway().Wifi("phone", "gw").Wired("a", "gw/lan1"), "reset:gw").Phases[0].Difference.Moved, m =>
            m is { Kind: MovedKind.Internet, Trend: Trend.Worse, About: "Internet of phone" }
        );
    }

    [Theory]
    [InlineData("unplug:nothing")]
    [InlineData("off")]
    [InlineData("")]
    public void What_is_not_offered_is_refused_by_name(string id) =>
        Assert.Equal($"There is nothing to try by the name of '{id}'.", WhatIf.Try(House().Design, id).Error);

    /// <summary>Every trial of every random home has its answer, and comparing a proof with itself tells nothing.</summary>
    [Theory]
    [InlineData(11)]
    [InlineData(12)]
    [InlineData(13)]
    [InlineData(14)]
    public void Everything_that_is_offered_can_be_tried(int seed)
    {
        var design = DesignGenerator.Make(seed, 6);
        var proof = Judging.Prove(design);
        Assert.Empty(ProofDifference.Between(proof, Judging.Prove(design)).Moved);
        Assert.All(WhatIf.Of(design), t => Assert.True(WhatIf.Try(design, t.Id).Ok, t.Id));
    }

    [Fact]
    public void A_finding_that_says_the_same_of_others_neither_came_nor_went()
    {
        static Home Named(bool third) =>
            (third ? Home.WithGateway().Point("third", "192.168.8.4/24").Cable("gw/lan3", "third/wan") : Home.WithGateway())
                .Point("point", "192.168.8.3/24", name: "other")
                .Cable("gw/lan1", "point/wan")
                .Wired("a", "gw/lan2");
        var (before, after) = (Judging.Prove(Named(true).Design), Judging.Prove(Named(false).Design));
        Assert.NotEqual(
            before.Findings.Single(f => f.Code == "split-wifi-name").Identity,
            after.Findings.Single(f => f.Code == "split-wifi-name").Identity
        );
        Assert.DoesNotContain(ProofDifference.Between(before, after).Moved, m => m.Kind == MovedKind.Finding);
    }

    [Fact]
    public void Mending_a_home_shows_as_better_and_breaking_it_again_as_worse()
    {
        var broken = Home.WithGateway()
            .Router("in", "192.168.8.1/24")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("c", "gw/lan2")
            .Design;
        var mended = ChangeList.Apply(broken, [new SetMode("in", ModeKind.AccessPoint)]).Value;
        var (better, worse) = (
            ProofDifference.Between(Judging.Prove(broken), Judging.Prove(mended)),
            ProofDifference.Between(Judging.Prove(mended), Judging.Prove(broken))
        );
        Assert.DoesNotContain(better.Moved, m => m.Trend == Trend.Worse && m.Kind != MovedKind.Finding);
        Assert.Contains(better.Moved, m => m.Kind == MovedKind.Internet && m.About == "Internet of a");
        // What one calls better the other calls worse.
        Assert.Equal(
            better
                .Moved.Where(m => m.Kind is MovedKind.Internet or MovedKind.Reach)
                .Select(m => (m.About, m.Before, m.After, m.Trend == Trend.Better))
                .Order(),
            worse
                .Moved.Where(m => m.Kind is MovedKind.Internet or MovedKind.Reach)
                .Select(m => (m.About, m.After, m.Before, m.Trend == Trend.Worse))
                .Order()
        );
    }
}
