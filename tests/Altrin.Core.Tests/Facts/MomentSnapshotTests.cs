using System.Text;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Facts;

/// <summary>Where packets get from every side to every other, in settled homes and in moments that remember, as approved.</summary>
public sealed class MomentSnapshotTests
{
    [Theory]
    [InlineData("techniques")]
    [InlineData("traps")]
    [InlineData("radio")]
    public void Pings_go_as_approved(string family)
    {
        var text = new StringBuilder();
        foreach (var (name, design) in Families.Of(family))
        {
            text.Append($"\n# {name}\n");
            Pings(text, Observer.Observe(Compiler.Compile(design, Situation.Settled)));
        }
        Snapshot.Match(text.ToString(), $"Pings.{family}");
    }

    [Theory]
    [InlineData("techniques")]
    [InlineData("radio")]
    public void What_is_remembered_shows_as_approved(string family)
    {
        var text = new StringBuilder();
        foreach (var (name, design) in Families.Of(family))
        {
            var morning = Moment.Morning(design);
            foreach (var box in design.SetUp.Boxes.Select(b => b.Box).Order(StringComparer.Ordinal).Take(2))
            {
                foreach (var (when, events) in Happening(box))
                {
                    text.Append($"\n# {name}: {box} {when}\n");
                    Tell(text, morning.After(events).Value);
                }
            }
        }
        Snapshot.Match(text.ToString(), $"Moments.{family}");
    }

    private static IEnumerable<(string When, Event[] Events)> Happening(string box)
    {
        yield return ("off", [new TakeAway(box)]);
        yield return ("off for a day", [new TakeAway(box), new Wait(TimeSpan.FromDays(1))]);
        yield return ("off and on", [new TakeAway(box), new Wait(TimeSpan.FromMinutes(5)), new GiveBack(box)]);
    }

    private static void Tell(StringBuilder text, Moment moment)
    {
        var seen = Observer.Observe(Compiler.Compile(moment.Design, moment.Situation));
        foreach (var fact in seen.Internet)
        {
            text.Append($"  {fact.Device}: {Words(fact.Answer)} by {string.Join('>', fact.NatBy)}\n");
        }
        foreach (var fact in seen.Sheet.Needs)
        {
            text.Append($"  {fact.Need}: {Words(fact.Answer)} {fact.StoppedBy}\n");
        }
        foreach (var fact in seen.Sheet.Addresses)
        {
            text.Append($"  {fact.Owner} {fact.Side} {fact.Origin} {fact.Address} {fact.From}\n");
        }
        foreach (var of in seen.Sheet.Reach.Classes)
        {
            text.Append($"  {of.Id}: {string.Join(' ', of.Devices)}\n");
        }
        foreach (var cell in seen.Sheet.Reach.Cells)
        {
            text.Append($"  {cell.From} to {cell.To}: {Codes(cell.Answer)} {cell.StoppedBy}\n");
        }
        text.Append($"  sticks {Plain.Of(moment.Sticks)}\n");
    }

    private static void Pings(StringBuilder text, Observation seen)
    {
        foreach (var from in seen.Network.Interfaces)
        {
            foreach (var to in seen.Network.Interfaces.Where(i => i != from))
            {
                var way = seen.Tracer.Ping(from, to);
                text.Append($"  {from.Owner} {from.Side} to {to.Owner} {to.Side}: {Codes(way.Answer)}");
                text.Append($" {string.Join('>', way.Routers)} nat {string.Join('>', way.NatBy)} in {string.Join('>', way.Segments)}");
                text.Append($" stop {way.StoppedBy} as {way.SeenAs} at {way.ArrivedAt} {way.Sure}\n");
            }
        }
    }

    private static string Words(Answer answer) => $"{answer.Kind} {string.Join(' ', answer.Causes.Select(c => c.Text))}";

    private static string Codes(Answer answer) => $"{answer.Kind} {string.Join(' ', answer.Causes.Select(c => c.Identity))}";
}
