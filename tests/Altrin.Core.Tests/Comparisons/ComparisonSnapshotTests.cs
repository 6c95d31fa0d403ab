using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>Every statement on every stand-in text and on every case, held against homes of two kinds, as approved.</summary>
public sealed class ComparisonSnapshotTests
{
    [Theory]
    [InlineData("house")]
    [InlineData("radio")]
    public void What_is_said_of_readings_is_as_approved(string home)
    {
        var (design, seats) =
            home == "house"
                ? (ReadHome.House(), new[] { null, "gw/lan4", "a" })
                : (
                    Home.WithGateway()
                        .Point("point")
                        .Cable("gw/lan1", "point/wan")
                        .Wifi("a", "point")
                        .Wifi("b", "gw")
                        .Wired("c", "gw/lan2"),
                    new[] { "a", "c" }
                );
        var texts = Directory
            .EnumerateFiles(SampleReadings.Folder, "*.txt")
            .Order(StringComparer.Ordinal)
            .Select(f => (Name: Path.GetFileName(f), Text: File.ReadAllText(f)))
            .Concat(ReadingCases.All.Select((c, i) => (Name: $"case {i}", Text: c.Data.Item2)).DistinctBy(c => c.Text));
        var text = new StringBuilder();
        foreach (var (name, printed) in texts.Where(t => ReadingText.Read(t.Text).Ok))
        {
            foreach (var seat in seats)
            {
                text.Append($"\n# {name} at {seat ?? "no seat"}\n");
                foreach (var statement in ReadHome.At(design, seat, printed).Statements)
                {
                    text.Append($"  {Plain.Of(statement)}\n");
                }
            }
        }
        Snapshot.Match(text.ToString(), $"Comparisons.{home}");
    }

    [Fact]
    public void How_addresses_belong_to_a_label_is_as_approved()
    {
        var text = new StringBuilder();
        var box = Home.WithGateway().Design.Box("gw")!;
        var traits = box.Profile.Traits with { Neighbours = [new("wan", 3), new("r5", -2) { Local = true }] };
        box = box with
        {
            Mac = new(0x001A2B3C4D50UL),
            WanMac = new(0x001A2B3C4D70UL),
            Label = box.Label with { RadioMac = new(0x001A2B3C4D90UL) },
        };
        var cases =
            from given in new[] { box, box with { Profile = box.Profile with { Traits = traits } }, box with { Mac = null } }
            from start in new[] { 0x001A2B3C4D50UL, 0x001A2B3C4D70UL, 0x001A2B3C4D90UL }
            from local in new[] { 0UL, 0x020000000000UL }
            select (given, start, local);
        foreach (var (given, start, local) in cases)
        {
            for (var off = -10; off <= 10; off++)
            {
                var seen = new MacAddress((start + (ulong)off) | local);
                text.Append($"{seen} {Plain.Of(MacKin.Of(given, seen))} digits {Plain.Of(MacKin.OfDigits("4d50", seen))}\n");
            }
        }
        Snapshot.Match(text.ToString(), "MacKin");
    }

    [Fact]
    public void What_speed_runs_prove_is_as_approved()
    {
        double[][] rates =
        [
            [],
            [50],
            [88, 94],
            [40, 90, 95],
            [180, 200, 280],
            [270, 285, 300, 290],
            [0, 0, 0],
        ];
        var text = new StringBuilder();
        var cases =
            from sold in new int?[] { null, 100, 300 }
            from limit in new[] { null, new SpeedLimit("the port", RateSpan.Exactly(94)), new("the powerline pair", new(30, 60, 150)) }
            from way in new[] { RunBy.Cable, RunBy.Ghz5 }
            from lasts in new (double?, double?)[] { (30, null), (9.5, null), (null, 20), (null, 2000), (null, null) }
            from downs in rates
            select (sold, limit, way, lasts, downs);
        foreach (var (sold, limit, way, (seconds, megabytes), downs) in cases)
        {
            var runs = downs.Select((down, i) => new SpeedRun(i, "", "hall", way, "", seconds, megabytes, down, i == 0 ? null : down / 4));
            var groups = Baseline.Of([.. runs], new PublicDynamic(sold, 50), _ => limit is null ? null : new(limit), p => p);
            text.Append($"{sold} {limit?.Which} {way} {seconds} {megabytes} [{string.Join(' ', downs)}]\n  {Plain.Of(groups)}\n");
        }
        Snapshot.Match(text.ToString(), "SpeedRuns");
    }

    [Fact]
    public void What_routes_and_traces_say_is_as_approved()
    {
        const string Far = "traceroute to 198.51.100.10 (198.51.100.10)";
        var traces =
            from first in new[] { "192.168.20.1", "192.168.8.1", "*" }
            from second in new[] { "192.168.8.1", "203.0.113.1", "100.64.0.1", "*" }
            from third in new[] { "", "203.0.113.1", "192.168.8.9" }
            select $"{Far}\n 1  {Shown(first)}\n 2  {Shown(second)}\n{(third.Length > 0 ? $" 3  {Shown(third)}\n" : "")}";
        string[] routes =
        [
            .. from gateway in new[] { "192.168.8.1", "192.168.20.1", "10.0.0.1" }
            from to in new[] { "default", "10.0.0.0/8", "192.168.20.0/24", "198.51.100.10" }
            select $"{to} via {gateway} dev eth0\n192.168.8.0/24 dev eth0 scope link src 192.168.8.44\n",
        ];
        var text = new StringBuilder();
        foreach (var printed in traces.Concat(routes).Where(t => ReadingText.Read(t).Ok))
        {
            foreach (var seat in new[] { "gw/lan4", "c" })
            {
                text.Append($"\n{printed.ReplaceLineEndings(" | ")} at {seat}\n");
                foreach (var statement in ReadHome.At(ReadHome.House(), seat, printed).Statements)
                {
                    text.Append($"  {Plain.Of(statement)}\n");
                }
            }
        }
        Snapshot.Match(text.ToString(), "Routes");

        string Shown(string hop) => hop == "*" ? "* * *" : $"{hop}  1 ms";
    }
}
