using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>Something is fetched while there is internet.</summary>
/// <param name="Box">For which box.</param>
/// <param name="What">What.</param>
public sealed record Fetch(string Box, Fetchable What) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Design.Box(Box) is null ? Refused(Missing.Box(now.Design, Box))
        // With the laptop in its bag one has not left yet, or is where there is internet.
        : What is not Fetchable.LabelFacts && now.Laptop is not null && PageReach.NoInternet(now) is { } why ? Refused(why)
        : One(now, Durations.Note, l => l with { Fetched = [.. l.Fetched.Append(new(Box, What)).Distinct()] });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Fetch the {LedgerWords.Of(What)} of {design.NameOf(Box)}";
}
