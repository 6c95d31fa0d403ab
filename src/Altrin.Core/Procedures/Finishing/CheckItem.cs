namespace Altrin.Core.Procedures.Finishing;

/// <summary>Something that is looked at or asked once and then ticked; it is no step of the order.</summary>
/// <param name="Id">What it is: the same whenever it is derived anew, unique in its list.</param>
/// <param name="About">What it is about, in a word or two.</param>
/// <param name="Says">What is asked, in sentences.</param>
/// <param name="Each">Whom or what it is asked of, line by line; empty where the sentence says it.</param>
public sealed record CheckItem(string Id, string About, string Says, IReadOnlyList<string> Each)
{
    /// <summary>An item of which something is there to be asked of; none where there is nothing.</summary>
    internal static IEnumerable<CheckItem> OfEach(string id, string about, string says, IEnumerable<string> each) =>
        each.ToList() is { Count: > 0 } all ? [new(id, about, says, all)] : [];
}
