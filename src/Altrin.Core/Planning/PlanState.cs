using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>A set-up that was proven.</summary>
/// <param name="Design">The home with it.</param>
/// <param name="Proof">What is proven, without remedies.</param>
/// <param name="Score">What speaks against it.</param>
/// <param name="Points">The sum of that, and more where a box is not what is wanted of it.</param>
/// <param name="Roles">What each box is.</param>
/// <param name="Departures">Where it departs from the installer's way, a sentence each.</param>
/// <param name="NotTonight">What the provider has to say or do first, a sentence each.</param>
/// <param name="Kind">What makes it another kind of answer: two of one kind differ in details only.</param>
internal sealed record PlanState(
    Design Design,
    Proof Proof,
    PlanScore Score,
    double Points,
    IReadOnlyList<BoxRole> Roles,
    IReadOnlyList<string> Departures,
    IReadOnlyList<string> NotTonight,
    string Kind
)
{
    /// <summary>Whether more than an injector has to be bought for it.</summary>
    public bool Buys => Score.Effort.BoxesToBuy > 0;
}
