using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A box is taken out of use: its cables are pulled, it loses power and is labelled.</summary>
/// <param name="Box">Which.</param>
public sealed record PutBoxAway(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Design.Box(Box) is not { } box ? Refused(Missing.Box(now.Design, Box))
        : now.Design.Mode(Box) is null ? Refused($"{box.Name} is not in use.")
        : now.Laptop?.Cable?.Port.Owner == Box ? Refused($"The laptop is plugged into {now.Design.NameOf(Box)}.")
        : One(now, Durations.Hand, new Rewire(new TakeOutOfUse(Box)));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Take {design.NameOf(Box)} out of use";
}
