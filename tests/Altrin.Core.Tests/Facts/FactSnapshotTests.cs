using System.Reflection;
using System.Text;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
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
            text.Append($"\n# {name}\n");
            var seen = Judging.Prove(design).Observation;
            Tell(text, seen);
            foreach (var seat in Seats.Of(design).Take(4))
            {
                text.Append($"View {seat.Id}\n  {Plain.Of(Looking.From(seen, seat.Id))}\n");
                text.Append($"  {Plain.Of(Looking.To(seen, seat.Id, Provider.Host))}\n");
            }
        }
        Snapshot.Match(text.ToString(), $"Facts.{family}");
    }

    /// <summary>Homes with the faults that people make, some devices with one band only, and a laptop in a port and on Wi-Fi.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(9)]
    public void What_is_reported_of_generated_homes_is_as_approved(int first)
    {
        var text = new StringBuilder();
        for (var seed = first; seed < first + 8; seed++)
        {
            var made = DesignGenerator.Make(seed, 6);
            RadioBand[][] bands =
            [
                [],
                [RadioBand.Ghz2],
                [RadioBand.Ghz5, RadioBand.Ghz2],
            ];
            var design = made with
            {
                Site = made.Site with { Devices = [.. made.Site.Devices.Reverse().Select((d, i) => d with { Bands = bands[i % 3] })] },
            };
            text.Append($"\n# {seed}\n");
            Tell(text, Judging.Prove(design).Observation);
            foreach (var laptop in Laptops(design))
            {
                var seen = Observer.Observe(Compiler.Compile(design, Situation.Settled with { Laptop = laptop }));
                text.Append($"Laptop {Plain.Of(laptop)}\n");
                foreach (var adapter in laptop.Adapters())
                {
                    text.Append($"  {Plain.Of(Looking.From(seen, adapter.Owner))}\n");
                }
                foreach (var to in new[] { Provider.Host, Home.At("192.168.8.1"), Home.At("192.168.1.1"), Home.At("10.0.0.1") })
                {
                    text.Append($"  {to} by {string.Join(' ', Looking.Ways(seen, laptop, to).Select(w => w.Owner))}\n");
                }
            }
        }
        Snapshot.Match(text.ToString(), $"Generated.{first}");
    }

    /// <summary>In a free port, on the first name that is sent, and both at once.</summary>
    private static IEnumerable<Laptop> Laptops(Design design)
    {
        var port = design
            .SetUp.Boxes.SelectMany(b => design.Box(b.Box)!.Profile.Ports.Select(p => new PortRef(b.Box, p.Id)))
            .Where(p => design.CableAt(p) is null)
            .Select(p => Laptop.At(p, new Automatic()))
            .FirstOrDefault();
        var name = Air.Of(design).Select(a => Laptop.In(new(a.Box, a.Setting.Name, a.Setting.Password), new Automatic())).FirstOrDefault();
        return new[] { port, name, port is null || name is null ? null : port with { Wifi = name.Wifi } }.OfType<Laptop>();
    }

    private static void Tell(StringBuilder text, Observation seen)
    {
        text.Append($"Names {Plain.Of(Roaming.Names(seen.Network))}\nHeard {Plain.Of(Roaming.Heard(seen.Network))}\n");
        foreach (var box in seen.Network.Design.SetUp.Boxes)
        {
            var sides = seen.Network.Interfaces.Where(i => i.Owner == box.Box).Select(i => i.Segment).Distinct();
            text.Append($"{box.Box} at {string.Join(' ', sides.Select(s => $"{s}={seen.AddressOf(box.Box, s)}"))}\n");
        }
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
    }
}
