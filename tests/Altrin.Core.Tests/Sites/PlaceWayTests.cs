using Altrin.Core.Radio;
using Altrin.Core.Sites;
using static Altrin.Core.Radio.WallKind;

namespace Altrin.Core.Tests.Sites;

public sealed class PlaceWayTests
{
    /// <summary>Three rooms of 4 m in a row, a room above the first, a yard behind, a shed across it.</summary>
    private static readonly Site Row = Home.WithGateway()
        .Outbuilding("shed", Known.Yes)
        .Place("a", p => Room(p, 0, 0, Brick))
        .Place("b", p => Room(p, 4, 0, Brick))
        .Place("c", p => Room(p, 8, 0, Stone))
        .Place("above", p => Room(p, 0, 0, Light) with { Floor = 1 })
        .Place("top", p => Room(p, 8, 0, Light) with { Floor = 2 })
        .Place("yard", p => Room(p, 12, 0, Unknown) with { Kind = PlaceKind.Outdoors })
        .Place("barn", p => Room(p, 20, 0, Concrete) with { Building = "shed" })
        .Place("unseen", p => p with { Floor = 0 })
        .Design.Site;

    /// <summary>Rooms side by side share a wall, and the heavier of what was noted of it counts; a yard has none.</summary>
    [Theory]
    [InlineData("a", "b", 4, 0, "Brick")]
    [InlineData("a", "c", 8, 0, "Brick Stone")]
    [InlineData("b", "c", 4, 0, "Stone")]
    [InlineData("a", "yard", 12, 0, "Brick Stone Stone")]
    [InlineData("c", "yard", 4, 0, "Stone")]
    [InlineData("a", "above", 2.7, 1, "")]
    [InlineData("a", "top", 9.65, 2, "Brick Light")]
    [InlineData("yard", "barn", 8, 0, "Concrete")]
    [InlineData("c", "barn", 12, 0, "Stone Concrete")]
    public void Walls_and_floors_between_are_counted(string from, string to, double metres, int floors, string walls)
    {
        var way = Between(Row, from, to)!;
        Assert.Equal(metres, way.Metres, 0.01);
        Assert.Equal((floors, true), (way.Floors, way.Measured));
        Assert.Equal(walls.Split(' ', StringSplitOptions.RemoveEmptyEntries).Order(), way.Walls!.Select(w => w.ToString()).Order());
        Assert.Equal(way with { Walls = null }, Between(Row, to, from)! with { Walls = null });
        Assert.Equal(way.Walls, Between(Row, to, from)!.Walls);
    }

    [Fact]
    public void What_was_not_noted_is_not_made_up()
    {
        // A wall that was not looked at, and a room whose size or position was not noted.
        var open = Row with { Places = [.. Row.Places.Select(p => p.Id == "b" ? p with { Walls = Unknown } : p)] };
        Assert.Null(Between(open, "a", "b")!.Walls);
        Assert.Null(Between(open, "a", "c")!.Walls);
        var unplaced = Between(Row, "a", "unseen")!;
        Assert.Equal((false, 6.0), (unplaced.Measured, unplaced.Metres));
        Assert.Null(unplaced.Walls);
        var apart = Row with { Places = [.. Row.Places.Select(p => p.Id == "barn" ? p with { EastMetres = null } : p)] };
        Assert.Null(Between(apart, "a", "barn"));
    }

    /// <summary>
    /// Within a room: half of the way from corner to corner or so, and no wall. Sizes alone: what is usual on such a floor.
    /// </summary>
    [Fact]
    public void Where_positions_are_missing_what_is_usual_stands_in()
    {
        var same = Between(Row, "a", "a")!;
        Assert.Equal(2.09, same.Metres, 0.01);
        Assert.Equal((0, true), (same.Walls!.Count, same.Measured));
        Assert.Equal((3.0, false), (Between(Row, "unseen", "unseen")!.Metres, Between(Row, "unseen", "unseen")!.Measured));
        var sized = Home.WithGateway()
            .Place("x", p => p with { LengthMetres = 8, WidthMetres = 8 })
            .Place("y", p => p with { LengthMetres = 6, WidthMetres = 6 })
            .Place("z", p => p with { LengthMetres = 6, WidthMetres = 6, Floor = 1 })
            .Design.Site;
        Assert.Equal(5.214, Between(sized, "x", "y")!.Metres, 0.001);
        Assert.Equal(Math.Sqrt((5.214 * 5.214) + (2.7 * 2.7)), Between(sized, "x", "z")!.Metres, 0.001);
    }

    /// <summary>Seed 2103: what lies between is the same from both ends, and no nearer than the straight line.</summary>
    [Fact]
    public void A_way_is_the_same_from_both_ends()
    {
        var draw = new Random(2103);
        for (var round = 0; round < 300; round++)
        {
            var home = Home.WithGateway();
            for (var i = 0; i < 8; i++)
            {
                var (east, north, floor, wall) = (draw.Next(20), draw.Next(20), draw.Next(3), (WallKind)draw.Next(7));
                home.Place($"p{i}", p => Room(p, east, north, wall) with { Floor = floor });
            }
            var site = home.Design.Site;
            foreach (var (a, b) in site.Places.SelectMany(x => site.Places.Select(y => (x, y))))
            {
                var (there, back) = (PlaceWay.Between(site, a, b)!, PlaceWay.Between(site, b, a)!);
                Assert.Equal(there with { Walls = null }, back with { Walls = null });
                Assert.Equal(there.Walls, back.Walls);
                Assert.True(there.Walls is null || !there.Walls.Contains(Unknown));
                Assert.Equal(Math.Abs(a.Floor - b.Floor), there.Floors);
            }
        }
    }

    private static Place Room(Place place, double east, double north, WallKind walls) =>
        place with
        {
            EastMetres = east,
            NorthMetres = north,
            LengthMetres = 4,
            WidthMetres = 4,
            Walls = walls,
            Floor = 0,
        };

    private static PlaceWay? Between(Site site, string from, string to) => PlaceWay.Between(site, site.Place(from)!, site.Place(to)!);
}
