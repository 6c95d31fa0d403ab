using System.Text;
using Altrin.Core.Networks;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Networks;

/// <summary>Networks as they are built, and what events make of them, as approved.</summary>
public sealed class NetworkSnapshotTests
{
    [Theory]
    [InlineData("techniques")]
    [InlineData("traps")]
    [InlineData("radio")]
    public void What_is_built_is_as_approved(string family)
    {
        var text = new StringBuilder();
        foreach (var (name, design) in Families.Of(family))
        {
            text.Append($"\n# {name}\n");
            Tell(text, Compiler.Compile(design, Situation.Settled));
        }
        Snapshot.Match(text.ToString(), $"Networks.{family}");
    }

    [Fact]
    public void What_events_make_of_it_is_as_approved()
    {
        var text = new StringBuilder();
        for (var seed = 1; seed <= 30; seed++)
        {
            var dice = new Random(seed);
            var now = Moment.Morning(DesignGenerator.Make(seed, 4));
            text.Append($"\n# Home {seed}\n{Plain.Of(now.Situation)}\n");
            for (var i = 0; i < 10; i++)
            {
                var happens = EventGenerator.Make(dice, now);
                var after = now.After(happens);
                text.Append($"{happens.GetType().Name}: {(after.Ok ? Plain.Of(after.Value.Situation) : after.Error)}\n");
                now = after.Ok ? after.Value : now;
            }
            text.Append($"{Plain.Of(Stickiness.Of(now))}\n");
        }
        Snapshot.Match(text.ToString(), "Events");
    }

    private static void Tell(StringBuilder text, Network network)
    {
        foreach (var segment in network.Segments)
        {
            text.Append($"{segment.Id}: {string.Join(' ', segment.Boxes)} cables {string.Join(' ', segment.Cables)}\n");
            text.Append($"  {Plain.Of(segment.Servers)} {Plain.Of(segment.Loops)}\n");
            foreach (var side in segment.Interfaces)
            {
                text.Append($"  {Plain.Of(side)}\n");
            }
        }
        text.Append($"{Plain.Of(network.Links)}\n{Plain.Of(network.RadioLinks)}\n");
        text.Append($"{Plain.Of(network.Refusals)} {Plain.Of(network.Unjoined)} {Plain.Of(network.Renumbered)}\n");
    }
}
