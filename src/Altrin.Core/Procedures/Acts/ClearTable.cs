using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The laptop forgets which box had which address: its table is cleared and a private browser window is opened.</summary>
public sealed record ClearTable : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) => One(now, Durations.Hand, l => l with { Opened = [] });

    /// <inheritdoc/>
    public override string Describe(Design design) => "Clear the laptop's address table and open a private browser window";
}
