using Altrin.Core.Planning;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

public sealed class NearnessTests
{
    /// <summary>Two rooms of 4 m by 4 m: how far east the second is, its floor, walls, building; whether the first serves it.</summary>
    [Theory]
    [InlineData(10, 0, WallKind.Brick, null, Known.Yes)]
    [InlineData(10.1, 0, WallKind.Brick, null, Known.No)]
    [InlineData(6, 0, WallKind.Stone, null, Known.Yes)]
    [InlineData(6.1, 0, WallKind.Stone, null, Known.No)]
    [InlineData(6.1, 0, WallKind.Concrete, null, Known.No)]
    [InlineData(6.1, 0, WallKind.Metal, null, Known.No)]
    [InlineData(0, 1, WallKind.Brick, null, Known.Yes)]
    [InlineData(0, -1, WallKind.Brick, null, Known.Yes)]
    [InlineData(8, 1, WallKind.Brick, null, Known.No)]
    [InlineData(0, 2, WallKind.Brick, null, Known.No)]
    [InlineData(1, 0, WallKind.Brick, "shed", Known.No)]
    public void A_box_serves_what_is_near_in_the_same_building(double east, int floor, WallKind walls, string? building, Known serves)
    {
        var home = Home.WithGateway()
            .Place("here", p => Room(p))
            .Place("there", p => Room(p) with { EastMetres = east, Floor = floor, Walls = walls, Building = building });
        Assert.Equal(serves, Between(home, "here", "there"));
        Assert.Equal(serves, Between(home, "there", "here"));
    }

    /// <summary>Without positions a small floor is served as a whole; a floor of which a room has no size is not known.</summary>
    [Theory]
    [InlineData(40, WallKind.Brick, Known.Yes)]
    [InlineData(41, WallKind.Brick, Known.No)]
    [InlineData(20, WallKind.Stone, Known.Yes)]
    [InlineData(21, WallKind.Stone, Known.No)]
    [InlineData(null, WallKind.Brick, Known.Unknown)]
    public void A_small_floor_is_served_from_anywhere_on_it(int? squareMetresEach, WallKind walls, Known serves)
    {
        Place Sized(Place p) => p with { LengthMetres = squareMetresEach, WidthMetres = 1, Walls = walls };
        Assert.Equal(serves, Between(Home.WithGateway().Place("here", Sized).Place("there", Sized), "here", "there"));
    }

    [Fact]
    public void A_box_serves_the_place_that_it_stands_in() =>
        Assert.Equal(Known.Yes, Between(Home.WithGateway().Place("here"), "here", "here"));

    private static Place Room(Place p) => p with { EastMetres = 0, NorthMetres = 0, Floor = 0, LengthMetres = 4, WidthMetres = 4 };

    private static Known Between(Home home, string from, string to)
    {
        var site = home.Design.Site;
        return Nearness.Serves(site, site.Place(from)!, site.Place(to)!);
    }
}
