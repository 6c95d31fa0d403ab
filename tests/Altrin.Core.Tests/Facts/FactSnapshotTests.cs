using System.Reflection;
using System.Text;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Facts;

/// <summary>Every fact of every home that is held to the kernel, as approved.</summary>
public sealed class FactSnapshotTests
{
    [Theory]
    [InlineData("techniques")]
    [InlineData("traps")]
    [InlineData("radio")]
    public void What_is_reported_is_as_approved(string family)
    {
        var text = new StringBuilder();
        foreach (var (name, design) in Families.Of(family))
        {
            var seen = Judging.Prove(design).Observation;
            text.Append($"\n# {name}\n");
            foreach (
                var part in typeof(FactSheet)
                    .GetProperties(BindingFlags.Instance | BindingFlags.Public)
                    .Where(p => p.Name != nameof(FactSheet.AmongDevices))
            )
            {
                text.Append($"{part.Name}\n");
                var value = part.GetValue(seen.Sheet);
                foreach (var one in value is System.Collections.IEnumerable list ? list.Cast<object>() : [value!])
                {
                    text.Append($"  {Plain.Of(one)}\n");
                }
            }
            text.Append("AddressBook\n");
            foreach (var entry in AddressBook.Of(seen))
            {
                text.Append($"  {Plain.Of(entry)}\n");
            }
            foreach (var seat in Seats.Of(design).Take(4))
            {
                text.Append($"View {seat.Id}\n  {Plain.Of(Looking.From(seen, seat.Id))}\n");
                text.Append($"  {Plain.Of(Looking.To(seen, seat.Id, Provider.Host))}\n");
            }
        }
        Snapshot.Match(text.ToString(), $"Facts.{family}");
    }
}
