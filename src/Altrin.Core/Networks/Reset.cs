using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A box is reset: its settings are those of the factory, and it starts anew.</summary>
/// <param name="Box">Which; it must be on.</param>
/// <param name="Keeps">What comes back by itself; null for the first of what its kind allows.</param>
public sealed record Reset(string Box, IReadOnlyList<Setting>? Keeps = null) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now) =>
        now.Situation.Off.Contains(Box) || now.Design.Mode(Box) is null
            ? Parsed<Moment>.Fail($"{now.Design.NameOf(Box)} is not on.")
            : Settled(
                Started(
                    now with
                    {
                        Design = now.Design with
                        {
                            SetUp = BoxReset.Of(now.Design, Box, Keeps ?? BoxReset.Kept(now.Design.Box(Box)!.Profile)[0]),
                        },
                    },
                    Box
                )
            );
}
