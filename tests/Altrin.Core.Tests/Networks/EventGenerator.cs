using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Networks;

/// <summary>Random events: power, cables, time, typing and the laptop; sensible and impossible ones.</summary>
internal static class EventGenerator
{
    public static Event Make(Random dice, Moment now)
    {
        var things = now
            .Design.SetUp.Boxes.Select(b => b.Box)
            .Concat(now.Design.SetUp.Devices.Select(d => d.Device))
            .Concat(now.Design.SetUp.Cables.Select(c => c.Id))
            .ToList();
        string Of(IReadOnlyList<string> ids) => ids.Count == 0 ? "none" : ids[dice.Next(ids.Count)];
        var change = ChangeGenerator.Make(dice, now.Design);
        return dice.Next(8) switch
        {
            0 => new TakeAway(Of(things)),
            1 or 2 => new GiveBack(Of(now.Situation.Off)),
            3 => new Wait(TimeSpan.FromSeconds(dice.Next(2) == 0 ? dice.Next(1, 300) : dice.Next(1, 3000) * 60)),
            4 => new Save(Of([.. now.Situation.Typed.Select(t => t.Box)])),
            5 => new MoveLaptop(
                dice.Next(3) == 0
                    ? null
                    : Laptop.At(PortRef.Read($"{Of([.. now.Design.SetUp.Boxes.Select(b => b.Box)])}/lan{dice.Next(1, 5)}"), new Automatic())
            ),
            6 => new Rewire(change),
            _ => new TypeIn(change.Subjects() is [var box, ..] ? box : "gw", change),
        };
    }
}
