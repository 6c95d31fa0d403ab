using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Altrin.Formats;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>
/// A run sheet worked out: order and steps, then one step when it is opened. The goals are 300 ms for 6 boxes with 20 devices, 3 s for 12
/// with 40, 150 ms for a step, and 20 s for the page of 12.
/// </summary>
[MemoryDiagnoser]
public class OrderBenchmarks
{
    private readonly (State Start, SetUp Target) _demo = Sample("pottery-house.json", "one-network");
    private readonly (State Start, SetUp Target) _small = Away(4, 20, "p1", "p2");
    private readonly (State Start, SetUp Target) _large = Away(10, 40, "p1", "p2", "p5", "p6", "p9");
    private readonly RunSheet _sheet;
    private readonly int _middle;

    public OrderBenchmarks()
    {
        _sheet = Demo();
        _middle = _sheet.Steps.Count / 2;
        foreach (var sheet in new[] { _sheet, SixBoxes(), TwelveBoxes() })
        {
            // Boxes of a made-up home have no password on record.
            if (sheet.Missing.Count > 0 || sheet.Play.Left.Count > 0)
            {
                throw new InvalidOperationException(string.Join('\n', SheetVerdict.Of(sheet).SelectMany(v => v.Items.Prepend(v.Says))));
            }
        }
    }

    /// <summary>How many acts were tried for each, for the table of what was looked at.</summary>
    public static IEnumerable<string> Tried()
    {
        var all = new OrderBenchmarks();
        yield return $"demo {all._sheet.Order.Tried}, 6 boxes {all.SixBoxes().Order.Tried}, 12 boxes {all.TwelveBoxes().Order.Tried}";
    }

    [Benchmark]
    public RunSheet Demo() => Derived(_demo);

    [Benchmark(Baseline = true)]
    public RunSheet SixBoxes() => Derived(_small);

    [Benchmark]
    public RunSheet TwelveBoxes() => Derived(_large);

    [Benchmark]
    public int StepOpened() => _sheet.Steps[_middle].Sees().Count + StepIfNot.Of(_sheet, _middle + 1).Count;

    [Benchmark]
    public WayBack BackFromTheMiddle() => WayBack.After(_sheet, _middle);

    /// <summary>The page that is taken along, from a sheet of which nothing was looked at: ways back and other outcomes included.</summary>
    [Benchmark]
    public int PageOfTwelveBoxes() => SheetHtml.Parts(Derived(_large), "Page").Sum(p => p(CancellationToken.None).Length);

    /// <summary>From a morning of which nothing was looked at.</summary>
    private static RunSheet Derived((State Start, SetUp Target) of) =>
        RunSheet.Derive(of.Start with { Ledger = Ledger.Empty }, of.Target, Ways.Usual);

    private static (State, SetUp) Sample(string name, string to)
    {
        var home = DesignFile.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "samples", name))).Value!;
        return (State.Morning(home.Design("found")!), home.Design(to)!.SetUp);
    }

    /// <summary>A sound home of which some access points are still on the shelf.</summary>
    private static (State, SetUp) Away(int boxes, int devices, params string[] away)
    {
        var planned = Homes.Sound(boxes, devices);
        var found = ChangeList.Apply(planned, [.. away.Select(b => new TakeOutOfUse(b))]).Value;
        return (State.Morning(found), planned.SetUp);
    }
}
