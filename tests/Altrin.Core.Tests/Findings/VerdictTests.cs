using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class VerdictTests
{
    private static Verdict Of(Home home) => Judging.Prove(home.Design).Verdict;

    public static TheoryData<Home, VerdictKind, string> Sentences =>
        new()
        {
            { Home.New(), VerdictKind.Empty, "No device is in use yet." },
            { Home.New().Gateway(), VerdictKind.Empty, "No device is in use yet." },
            { Home.WithGateway().Router("spare").Cable("gw/lan1", "spare/wan"), VerdictKind.Empty, "No device is in use yet." },
            { Home.WithGateway().Wired("a", "gw/lan1"), VerdictKind.Sound, "Every device reaches the internet and every need is met." },
            {
                Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1"),
                VerdictKind.Works,
                "Every device reaches the internet and every need is met; 1 thing worth knowing."
            },
            {
                Home.WithGateway().Wired("b", "gw/lan1").Wifi("a", "gw", "home", null),
                VerdictKind.Works,
                "Nothing is broken as far as is known; 1 answer is still open."
            },
            {
                Home.WithGateway().Wired("a", "gw/lan1").Repeater("rep", "gw", link: l => l with { Name = "elsewhere" }),
                VerdictKind.Partly,
                "Every device reaches the internet and every need is met, but rep serves nothing."
            },
            {
                Home.WithGateway().Wifi("a", "gw", "home", null).Repeater("rep", "gw", link: l => l with { Password = "x" }).Switch("sw"),
                VerdictKind.Partly,
                "Of what is asked for nothing is broken, 1 answer is still open, but sw serves nothing, and rep serves nothing."
            },
            {
                Home.WithGateway().Wired("a", "gw/lan1").Repeater("rep", "gw", link: l => l with { Password = null }),
                VerdictKind.Works,
                "Every device reaches the internet and every need is met; 2 things worth knowing."
            },
            {
                Home.WithGateway()
                    .Box("gw", b => b with { Holds = [LineService.Television] })
                    .Router("in")
                    .Cable("gw/lan1", "in/wan")
                    .Wired("tv", "in/lan1")
                    .Device("tv", d => d with { Kind = DeviceKind.Television }),
                VerdictKind.Partly,
                "Every device reaches the internet and every need is met, but tv may stay black."
            },
            { Home.New().Gateway().Wired("a", "gw/lan1"), VerdictKind.WillNotWork, "a has no internet." },
            {
                Home.New().Gateway().Wired("a", "gw/lan1").Wired("b", "gw/lan2"),
                VerdictKind.WillNotWork,
                "2 of 2 devices have no internet."
            },
            {
                Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.20/24").Wired("b", "gw/lan2"),
                VerdictKind.WillNotWork,
                "2 of 2 devices have internet by luck only."
            },
            { Home.WithGateway().Wired("a", "gw/lan1").Reach("a", 80), VerdictKind.WillNotWork, "a cannot be reached from outside." },
            {
                Home.WithGateway()
                    .Router("in")
                    .Cable("gw/lan1", "in/wan")
                    .Wired("a", "in/lan1")
                    .Wired("b", "gw/lan2")
                    .Found("b")
                    .Reach("a", 80),
                VerdictKind.WillNotWork,
                "b is not found by all devices, and a cannot be reached from outside."
            },
            {
                Home.WithGateway().Wired("a", "gw/lan1").Reach("a", 80).Forward("gw", 80, "192.168.8.20"),
                VerdictKind.WillNotWork,
                "a is reached from outside by luck only."
            },
        };

    [Theory]
    [MemberData(nameof(Sentences))]
    public void One_sentence_says_what_breaks(Home home, VerdictKind kind, string sentence) =>
        Assert.Equal(new Verdict(kind, sentence), Of(home));

    private static Home Cascade() => Home.WithGateway().Router("in").Cable("gw/lan1", "in/wan").Wired("a", "in/lan1");

    private static Proof Accepting(Home home, bool severe) =>
        Judging.Prove(
            home.Design with
            {
                SetUp = home.Design.SetUp with { Accepted = [new("double-nat(in)", severe, "The lodger wants it.", "A. Name")] },
            }
        );

    [Fact]
    public void An_accepted_concern_is_no_longer_one_to_settle()
    {
        var proof = Accepting(Cascade(), false);
        Assert.Equal(new Verdict(VerdictKind.Sound, "Every device reaches the internet and every need is met; 1 accepted."), proof.Verdict);
        Assert.Equal("A. Name", Assert.Single(proof.Findings).Accepted?.By);
    }

    [Theory]
    [InlineData(false, false)]
    [InlineData(true, true)]
    public void What_was_accepted_as_a_concern_is_open_again_once_something_breaks_by_it(bool severe, bool stays)
    {
        var proof = Accepting(Cascade().Reach("a", 80).Forward("in", 80, "192.168.20.50"), severe);
        Assert.Equal(stays, proof.Findings.Single(f => f.Code == "double-nat").Accepted is not null);
        // A word mends nothing.
        Assert.Equal(VerdictKind.WillNotWork, proof.Verdict.Kind);
    }

    [Fact]
    public void A_long_list_of_needs_is_cut()
    {
        var home = Home.WithGateway();
        foreach (var i in Enumerable.Range(1, 6))
        {
            home.Wifi($"d{i}", "gw").Reach($"d{i}", 8000 + i);
        }
        Assert.EndsWith("and 3 more needs fail.", Of(home).Sentence);
    }

    [Fact]
    public void The_cure_that_settles_most_comes_first()
    {
        var home = Home.WithGateway()
            .Router("in", "192.168.8.1/24", Home.Pool)
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2")
            .Found("b");
        var findings = Judging.Prove(home.Design).Findings;
        var first = findings[0];
        Assert.Equal("double-nat", first.Code);
        Assert.Equal(first.Remedies.Max(r => r.Settles.Count), first.Remedies[0].Settles.Count);
        Assert.All(findings.Where(f => f.CausedBy.Count == 0 && f.Severity == first.Severity), f =>
            Assert.True(f.Remedies.Select(r => r.Settles.Count).DefaultIfEmpty().Max() <= first.Remedies[0].Settles.Count)
        );
    }

    [Theory]
    [InlineData(10, 120)]
    [InlineData(50, 120)]
    [InlineData(500, 12)]
    [InlineData(1_000, 3)]
    [InlineData(4_999, 1)]
    public void Fewer_remedies_are_proven_of_a_larger_home(int devices, int most)
    {
        var design = Home.New().Wired("d", "d/none").Design;
        Assert.Equal(
            most,
            Judging.Provable(
                design with
                {
                    SetUp = design.SetUp with { Devices = [.. Enumerable.Repeat(design.SetUp.Devices[0], devices)] },
                }
            )
        );
    }

    [Fact]
    public void A_design_too_broken_to_prove_every_cure_still_answers()
    {
        var design = DesignGenerator.Make(3, 300);
        var proof = Judging.Prove(design);
        Assert.InRange(proof.Findings.Sum(f => f.Remedies.Count), 1, Judging.Provable(design));
        Assert.NotEmpty(proof.Findings);
    }
}
