using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Testing;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>
/// Options for homes of 3 to 12 boxes: the first, and all. The goals are 0.5 s for six boxes, 5 s for twelve, the first option within
/// 0.3 s. Proving the same home once is what they are measured against.
/// </summary>
public class PlanBenchmarks
{
    private Design _found = null!;

    /// <summary>How many boxes: a gateway, a router behind it, and spare ones.</summary>
    [Params(3, 6, 9, 12)]
    public int Boxes { get; set; }

    [GlobalSetup]
    public void Make()
    {
        _found = House(Boxes);
        var answer = Planner.Plan(new(_found));
        Console.WriteLine(
            $"// {Boxes} boxes: {answer.Proven} set-ups proven, cut short: {answer.IsCut}, points {answer.Options[0].Points:0.0}"
        );
    }

    [Benchmark(Baseline = true)]
    public int Prove() => Judging.Judge(Observer.Observe(Compiler.Compile(_found, Situation.Settled)), withRemedies: false).Findings.Count;

    [Benchmark]
    public double First()
    {
        using var stop = new CancellationTokenSource();
        return Planner.Plan(new(_found), _ => stop.Cancel(), stop.Token).Options[0].Points;
    }

    [Benchmark]
    public double All() => Planner.Plan(new(_found)).Options[0].Points;

    /// <summary>
    /// A house of two floors with a room for every box, brick between them: the gateway in the first, a router in a cascade in the second,
    /// a phone in every room that calls have to reach; the other boxes lie about.
    /// </summary>
    private static Design House(int boxes)
    {
        var home = Home.New().Gateway().Cable("street", "gw/wan").Router("inner").Cable("gw/lan1", "inner/wan");
        var spare = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < boxes - 2; i++)
        {
            var id = $"spare{i}";
            spare.Add(id);
            home =
                i % 4 == 0 ? home.Point(id)
                : i % 4 == 1 ? home.Router(id)
                : i % 4 == 2 ? home.Switch(id)
                : home.Repeater(id, "gw");
        }
        for (var i = 0; i < boxes; i++)
        {
            var (east, floor) = (i / 2 * 6.0, i % 2);
            home.Place($"room{i}", p =>
                p with
                {
                    EastMetres = east,
                    NorthMetres = 0,
                    LengthMetres = 6,
                    WidthMetres = 5,
                    Floor = floor,
                    Walls = Altrin.Core.Radio.WallKind.Brick,
                }
            );
            home.Wifi($"phone{i}", "gw").Stands($"phone{i}", $"room{i}").Need(new CallsInPlace($"calls{i}", $"room{i}"));
        }
        home.Stands("gw", "room0").Stands("inner", "room1");
        var design = home.Design;
        var setUp = design.SetUp;
        return design with { SetUp = setUp with { Boxes = [.. setUp.Boxes.Where(b => !spare.Contains(b.Box))] } };
    }
}
