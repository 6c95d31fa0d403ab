using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>An alternative that a person names, as it is told.</summary>
/// <param name="Box">The box that is asked about.</param>
/// <param name="Wanted">What it should become.</param>
/// <param name="Option">The best option in which it is that; null where there is none.</param>
/// <param name="Because">Why there is none; null where there is one.</param>
/// <param name="Price">In what it differs from the first option, the dearest first; below zero where it is better.</param>
/// <param name="IsCut">Whether the search was cut short.</param>
public sealed record WhyNotDocument(
    string Box,
    RoleKind Wanted,
    OptionDocument? Option,
    string? Because,
    IReadOnlyList<PriceItem> Price,
    bool IsCut
)
{
    /// <summary>Of an answer.</summary>
    public static WhyNotDocument Of(Design found, WhyNot answer) =>
        new(
            answer.Box,
            answer.Wanted,
            answer.Option is { } option ? OptionDocument.Of(Compiler.Compile(found, Situation.Settled), option) : null,
            answer.Because,
            [.. answer.Price.Select(p => p with { Points = Math.Round(p.Points, 1) })],
            answer.IsCut
        );
}
