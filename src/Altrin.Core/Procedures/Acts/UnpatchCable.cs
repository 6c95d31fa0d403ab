using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A cable is pulled out.</summary>
/// <param name="Cable">Its id.</param>
public sealed record UnpatchCable(string Cable) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) => One(now, Durations.Hand, new Rewire(new Unpatch(Cable)));

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.SetUp.Cables.FirstOrDefault(c => c.Id == Cable) is { } cable
            ? $"Pull out the cable from {PortWords.Of(design, cable.A)} to {PortWords.Of(design, cable.B)}"
            : $"Pull out the cable '{Cable}'";
}
