using System.Text;
using Altrin.Core.Exchanges;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Exchanges;

/// <summary>Every frame of every kind of ladder, as it was looked at and approved.</summary>
public sealed class LadderSnapshotTests
{
    [Theory]
    [InlineData("techniques")]
    [InlineData("traps")]
    [InlineData("radio")]
    public void What_is_said_in_the_homes_of_the_kernel_tests_is_as_approved(string family)
    {
        var text = new StringBuilder();
        foreach (var (name, design) in Families.Of(family))
        {
            text.Append("\n# ").Append(name).Append('\n');
            foreach (var ladder in All(Judging.Prove(design).Observation))
            {
                Tell(text, ladder);
            }
        }
        Snapshot.Match(text.ToString(), $"Ladders.{family}");
    }

    /// <summary>Each kind, from the first clients or devices only.</summary>
    private static IEnumerable<Ladder> All(Observation seen)
    {
        var design = seen.Network.Design;
        string[] devices = [.. design.Site.Devices.Select(d => d.Id).Order(StringComparer.Ordinal)];
        var pairs = devices.Zip(devices.Skip(1)).SelectMany(p => new[] { (p.First, p.Second), (p.Second, p.First) });
        return
        [
            .. LeaseLadder.Clients(seen.Network).Take(2).Select(c => LeaseLadder.Of(seen, c.Owner)!),
            .. devices.Take(1).Select(d => ConnectionLadder.ToInternet(seen, d)).OfType<Ladder>(),
            .. pairs.Take(2).Select(p => ConnectionLadder.Between(seen, p.Item1, p.Item2)).OfType<Ladder>(),
            .. pairs.Take(2).Select(p => DiscoveryLadder.Of(seen, p.Item1, p.Item2)).OfType<Ladder>(),
            .. design.Site.Needs.Select(n => ConnectionLadder.FromInternet(seen, n.Id)).OfType<Ladder>(),
        ];
    }

    private static void Tell(StringBuilder text, Ladder ladder)
    {
        text.Append($"\n{ladder.Title}: {ladder.Answer.Kind}");
        text.Append(ladder.StoppedBy is { } by ? $", stopped by {by}\n" : "\n");
        foreach (var cause in ladder.Answer.Causes)
        {
            text.Append($"  because {cause.Text}\n");
        }
        foreach (var note in ladder.Notes)
        {
            text.Append($"  note {note}\n");
        }
        foreach (var f in ladder.Frames)
        {
            text.Append($"  {f.At.TotalSeconds:0.000} {f.Segment} {Who(f.From)} > {(f.To is { } to ? Who(to) : "all")} | {f.Text}\n");
            text.Append($"    {Plain.Of(f.Payload)}\n");
        }
    }

    private static string Who(Station station) => $"{station.Owner}/{station.Side} {station.Mac}{(station.Read ? "" : "*")}";
}
