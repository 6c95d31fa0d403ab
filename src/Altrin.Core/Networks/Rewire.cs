using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>
/// A cable is plugged in, unplugged or moved, a thing is taken out of use; or what a box cannot know changes, such as where something
/// stands.
/// </summary>
/// <param name="Change">What is done.</param>
public sealed record Rewire(Change Change) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now) =>
        Change is not (Patch or Unpatch or SetCable or SetDeviceAddress or JoinWifi or PlaceBox or TakeOutOfUse)
            ? Parsed<Moment>.Fail("That is typed into a box and saved there.")
            : ChangeList.Apply(now.Design, [Change]).Then<Moment>(design => Settled(Without(now, design)));

    /// <summary>Nothing is remembered of what is no longer in use.</summary>
    private static Moment Without(Moment now, Design design)
    {
        bool Is(string id) =>
            design.Mode(id) is not null || design.SetUp.Devices.Any(d => d.Device == id) || design.SetUp.Cables.Any(c => c.Id == id);
        return now with
        {
            Design = design,
            Situation = now.Situation with
            {
                Off = [.. now.Situation.Off.Where(Is)],
                Typed = [.. now.Situation.Typed.Where(t => Is(t.Box))],
                Busy = [.. now.Situation.Busy.Where(b => Is(b.Box))],
            },
        };
    }
}
