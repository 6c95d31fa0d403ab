using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A box is carried to another place: it loses power on the way and starts there.</summary>
/// <param name="Box">Which.</param>
/// <param name="Place">Where to.</param>
public sealed record CarryBox(string Box, string Place) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now)
    {
        if (now.Design.Box(Box) is not { } box)
        {
            return Refused(Missing.Box(now.Design, Box));
        }
        if (now.Design.Mode(Box) is null)
        {
            return Refused($"{box.Name} is not in use.");
        }
        if (now.Laptop?.Cable?.Port.Owner == Box)
        {
            return Refused($"The laptop is plugged into {box.Name}.");
        }
        var starts = Durations.Boot(box.Profile);
        // The plug is pulled before the way, not at its end.
        return One(
                now,
                Duration.None,
                [
                    .. now.Moment.Situation.Off.Contains(Box) ? Array.Empty<Event>() : [new TakeAway(Box)],
                    new Wait(Durations.Carry.Usual),
                    new Rewire(new PlaceBox(Box, Place)),
                    new Occupy(Box, BusyKind.Starting, starts.Usual),
                    new GiveBack(Box),
                ]
            )
            .Then<IReadOnlyList<Outcome>>(o => new[] { o[0] with { Takes = Durations.Carry, Then = starts } });
    }

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Carry {design.NameOf(Box)} to {design.NameOf(Place)}";
}
