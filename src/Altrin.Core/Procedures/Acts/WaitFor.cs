using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>One waits.</summary>
/// <param name="Seconds">How long, 1 s to a day.</param>
public sealed record WaitFor(int Seconds) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        Seconds is < 1 or > 86_400 ? Refused("One waits a second to a day.") : One(now, Duration.Seconds(Seconds, Seconds, Seconds));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Wait {TimeWords.Of(Seconds)}";
}
