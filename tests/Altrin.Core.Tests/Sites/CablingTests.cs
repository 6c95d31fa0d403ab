using Altrin.Core.Findings;
using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Sites;

public sealed class CablingTests
{
    private static Place At(
        string id,
        double east,
        double north,
        int floor = 0,
        double length = 4,
        double width = 4,
        string? building = null
    ) =>
        new(id, id)
        {
            EastMetres = east,
            NorthMetres = north,
            Floor = floor,
            LengthMetres = length,
            WidthMetres = width,
            Building = building,
        };

    /// <summary>A cable from a port to a device, in two places.</summary>
    private static Design Between(Place from, Place to, Func<Cable, Cable>? cable = null, params CableRun[] runs)
    {
        var design = Home.WithGateway().Wired("tv", "gw/lan1").Design;
        return new(
            design.Site with
            {
                Places = [from, .. to.Id == from.Id ? [] : new[] { to }],
                Devices = [.. design.Site.Devices.Select(d => d with { Place = to.Id })],
                Buildings = [new("house", "House") { StoreyHeightMetres = 3 }, new("barn", "Barn")],
                Runs = runs,
            },
            design.SetUp with
            {
                Boxes = [.. design.SetUp.Boxes.Select(b => b with { Place = from.Id })],
                Cables = [.. design.SetUp.Cables.Select(c => c.Ends("tv") ? (cable ?? (x => x))(c) : c)],
            }
        );
    }

    private static CablingFact Fact(Design design) => Cabling.Of(design, design.SetUp.Cables.First(c => c.Ends("tv")));

    // Worked by hand with a storey of 3 m: (along the walls + storeys + two drops of 0.9 storeys) * 1.1 + 2 * 2 m.
    [Theory]
    [InlineData(10, 0, 0, 10, 20.9)]
    [InlineData(10, 5, 0, 15, 26.4)]
    [InlineData(0, 0, 2, 6, 16.5)]
    [InlineData(-10, -5, -1, 18, 29.7)]
    public void A_length_is_estimated_from_positions(double east, double north, int floor, double walls, double metres)
    {
        var fact = Fact(Between(At("a", 0, 0), At("b", east, north, floor)));
        Assert.Equal(metres, (double)Math.Round((decimal)((walls + 5.4) * 1.1) + 4, 1));
        Assert.Equal((metres, true, false), (fact.LengthMetres!.Value, fact.Estimated, fact.LowerBound));
    }

    [Fact]
    public void Without_positions_it_is_at_least_that_of_neighbours_and_without_sizes_not_known()
    {
        var (a, b) = (At("a", 0, 0) with { EastMetres = null }, At("b", 0, 0));
        Assert.True(Fact(Between(a, b)) is { LengthMetres: > 10 and < 20, LowerBound: true });
        Assert.Null(Fact(Between(a with { LengthMetres = null }, b)).LengthMetres);
        Assert.True(Fact(Between(b, b)) is { LengthMetres: 8.4, LowerBound: false });
    }

    /// <summary>No two places are nearer by a cable than by a thread; swapping the ends changes nothing.</summary>
    [Fact]
    public void Estimates_are_symmetric_and_never_shorter_than_the_straight_way()
    {
        var dice = new Random(77);
        for (var i = 0; i < 300; i++)
        {
            var (a, b) = (At("a", dice.Next(50), dice.Next(50), dice.Next(4)), At("b", dice.Next(50), dice.Next(50), dice.Next(4)));
            var (there, back) = (Fact(Between(a, b)).LengthMetres, Fact(Between(b, a)).LengthMetres);
            Assert.Equal(there, back);
            var straight = Math.Sqrt(
                Math.Pow(a.EastMetres!.Value - b.EastMetres!.Value, 2)
                    + Math.Pow(a.NorthMetres!.Value - b.NorthMetres!.Value, 2)
                    + Math.Pow(3 * (a.Floor - b.Floor), 2)
            );
            Assert.True(there >= straight, $"seed 77, {i}: {there} for {straight}");
        }
    }

    [Fact]
    public void A_run_in_the_wall_limits_the_leads_at_its_ends()
    {
        var run = new CableRun("run", "s1", "s2", Medium.Cat5) { Pairs = 2, LengthMetres = 30 };
        var fact = Fact(Between(At("a", 0, 0), At("b", 5, 5), c => c with { Known = new(Medium.Cat6a, 3, 4, "run") }, run));
        Assert.Equal((Medium.Cat5, 2, 33.0, false), (fact.Medium, fact.Pairs!.Value, fact.LengthMetres!.Value, fact.Estimated));
    }

    // Medium, pairs, length, port rate; what it carries, and a word of what is said.
    [Theory]
    [InlineData(Medium.Cat5, 4, 20, 1000, 1000, null)]
    [InlineData(Medium.Cat5, 2, 20, 1000, 100, "carries at most 100 Mb/s; 900 are sold")]
    [InlineData(Medium.Cat5e, 4, 101, 1000, 1000, "is 101 m long; copper is made for 100")]
    [InlineData(Medium.Unknown, null, 101, 1000, 1000, "what it is made of was not noted")]
    [InlineData(Medium.Unknown, null, 100, 1000, 1000, null)]
    [InlineData(Medium.Cat5e, 4, 100, 1000, 1000, null)]
    [InlineData(Medium.Cat5, 4, 20, 2500, 1000, null)]
    [InlineData(Medium.Cat6, 4, 37, 10000, 10000, null)]
    [InlineData(Medium.Cat6, 4, 38, 10000, 5000, null)]
    [InlineData(Medium.Fibre, null, 400, 1000, 1000, null)]
    [InlineData(Medium.Powerline, null, 20, 1000, 150, "about 60 Mb/s (30 to 150)")]
    [InlineData(Medium.Unknown, 2, 20, 1000, 100, "at most 100 Mb/s")]
    public void A_cable_is_checked_against_channel_category_and_pairs(
        Medium medium,
        int? pairs,
        double metres,
        int port,
        int carries,
        string? says
    )
    {
        var design = Between(At("a", 0, 0), At("b", 5, 5), c => c with { Known = new(medium, metres, pairs, null) });
        design = design with
        {
            Site = design.Site with
            {
                Service = design.Site.Service with { DownMbps = 900 },
                Boxes =
                [
                    .. design.Site.Boxes.Select(b =>
                        b with
                        {
                            Profile = b.Profile with { Ports = [.. b.Profile.Ports.Select(p => p with { SpeedMbps = port })] },
                        }
                    ),
                ],
            },
        };
        var proof = Judging.Prove(design);
        var check = CableCheck.Of(proof).Single();
        Assert.Equal(carries, check.CarriesMbps);
        Assert.Equal(port, check.PortsMbps);
        Assert.Equal(says is null ? 0 : 1, check.Findings.Count);
        Assert.All(check.Findings, t => Assert.Contains(says!, t, StringComparison.Ordinal));
        Assert.Equal(carries, proof.Observation.Sheet.Links.First(l => l.Id == check.Cable).AtMostMbps);
    }
}
