using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;

namespace Altrin.Core.Tests.Facts;

public sealed class PathTests
{
    private static Observation Seen(Home home) => Judging.Prove(home.Design).Observation;

    private static Home Cascade() =>
        Home.WithGateway()
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Wired("a", "in/lan1")
            .Wired("b", "gw/lan2")
            .Wired("c", "gw/lan3")
            .Reach("a", 8443);

    [Theory]
    [InlineData("b", "c", "b reaches c directly, inside one network.", "gw-lan2-b gw-lan3-c")]
    [InlineData("a", "b", "a reaches b through in: 1 hop.", "in-lan1-a gw-lan1-in-wan gw-lan2-b")]
    [InlineData(
        "b",
        "a",
        "b does not reach a, and in stops it. in lets in no connection that was not opened from inside.",
        "gw-lan2-b gw-lan1-in-wan"
    )]
    public void A_way_is_told_and_shown_as_far_as_it_goes(string from, string to, string sentence, string links)
    {
        var path = Paths.Between(Seen(Cascade()), from, to)!;
        Assert.Equal((sentence, links), (path.Sentence, string.Join(' ', path.Links)));
    }

    [Fact]
    public void From_outside_it_is_shown_as_far_as_it_is_let_in()
    {
        var stopped = Paths.FromInternet(Seen(Cascade()), "reach-a")!;
        Assert.StartsWith("A host on the internet does not reach a, and gw stops it. ", stopped.Sentence);
        Assert.Equal(["street-gw-wan"], stopped.Links);
        Assert.Null(Paths.FromInternet(Seen(Cascade()), "no such need"));
        Assert.Null(Paths.Between(Seen(Cascade()), "a", "a"));
        Assert.Equal("a reaches the internet through in, then gw: 2 hops.", Paths.ToInternet(Seen(Cascade()), "a")!.Sentence);
    }

    /// <summary>
    /// Of every pair of a random home: the same answer as the table gives, over links that are there, the first at the host that begins.
    /// </summary>
    [Theory]
    [InlineData(21)]
    [InlineData(22)]
    [InlineData(23)]
    [InlineData(24)]
    [InlineData(25)]
    [InlineData(26)]
    public void Ways_agree_with_the_table_and_run_over_links_that_join(int seed)
    {
        var seen = Judging.Prove(DesignGenerator.Make(seed, 6)).Observation;
        var links = seen.Sheet.Links.ToDictionary(l => l.Id);
        var devices = seen.Network.Interfaces.Where(i => i.Side == Side.Device).Select(i => i.Owner).ToList();
        foreach (var (a, b) in devices.SelectMany(a => devices.Where(b => b != a).Select(b => (a, b))))
        {
            var path = Paths.Between(seen, a, b)!;
            Assert.Equal(seen.Reach(a, b)!.Answer.Kind, path.Answer.Kind);
            Assert.All(path.Links, l => Assert.True(links.ContainsKey(l)));
            if (path.Answer.IsYes)
            {
                var at = a;
                foreach (var link in path.Links.Select(l => links[l]))
                {
                    Assert.True(link.A.Owner == at || link.B.Owner == at, $"{a} to {b}: {link.Id} does not begin at {at}");
                    at = link.A.Owner == at ? link.B.Owner : link.A.Owner;
                }
                Assert.Equal(b, at);
            }
        }
    }
}
