using System.Text;
using Altrin.Core.Readings;
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
            .EnumerateFiles(StandIns.Folder, "*.txt")
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
}
