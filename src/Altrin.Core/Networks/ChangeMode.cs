using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A box is set to another mode, which clears some of its settings, and starts anew.</summary>
/// <param name="Box">Which; it must be on.</param>
/// <param name="Mode">The mode.</param>
/// <param name="Effects">What it does beside that; null for the first of what its kind allows.</param>
public sealed record ChangeMode(string Box, ModeKind Mode, ModeEffects? Effects = null) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now) =>
        now.Situation.Off.Contains(Box) || now.Design.Mode(Box) is null
            ? Parsed<Moment>.Fail($"{now.Design.NameOf(Box)} is not on.")
            : (Effects ?? ModeEffects.Of(now.Design.Box(Box)!.Profile, Mode)[0])
                .Apply(now.Design, Box, Mode)
                .Then<Moment>(made => Settled(Started(now with { Design = now.Design with { SetUp = made } }, Box)));
}
