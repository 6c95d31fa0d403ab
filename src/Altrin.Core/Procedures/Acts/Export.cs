using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The settings of a box are exported to a file.</summary>
/// <param name="Box">Which.</param>
public sealed record Export(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        PageOpens.LoggedIn(now, Box).Then(_ => One(now, Durations.Note, l => l with { Exported = [.. l.Exported.Append(Box).Distinct()] }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Export the settings of {design.NameOf(Box)}";
}
