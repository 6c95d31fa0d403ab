using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The page at an address is opened.</summary>
/// <param name="Box">Whose page is meant.</param>
/// <param name="Address">At which address; left out for where that box answers.</param>
public sealed record OpenPage(string Box, Ipv4Address? Address = null) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        PageOpens
            .At(now, Box, Address)
            .Then(at => One(now, Durations.Open, l => l with { Opened = [.. l.Opened.Where(o => o.Address != at), new(at, Box)] }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Open the page of {design.NameOf(Box)}{(Address is { } at ? $" at {at}" : "")}";
}
