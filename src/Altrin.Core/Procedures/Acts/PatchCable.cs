using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A cable is plugged in.</summary>
/// <param name="A">One port.</param>
/// <param name="B">The other.</param>
/// <param name="Id">The id that the cable gets; left out for one made of its ends.</param>
/// <param name="Known">What is known of the cable; left out where nothing is.</param>
public sealed record PatchCable(PortRef A, PortRef B, string? Id = null, CableFacts? Known = null) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Laptop?.Cable?.Port is { } port && (port == A || port == B)
            ? Refused($"The laptop is in {PortWords.Of(now.Design, port)}.")
            : One(now, Durations.Hand, new Rewire(new Patch(A, B, Known ?? CableFacts.NotLookedAt) { Id = Id }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Plug a cable from {PortWords.Of(design, A)} to {PortWords.Of(design, B)}";
}
