using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A box that was out of use gets power, with what it holds and no cable in it.</summary>
/// <param name="SetUp">The set-up with it.</param>
public sealed record Bring(SetUp SetUp) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now) => Settled(now with { Design = now.Design with { SetUp = SetUp } });
}
