using Altrin.Core.Procedures.Finishing;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A list of a run sheet that is ticked beside its steps.</summary>
/// <param name="Title">Its heading.</param>
/// <param name="Items">What is on it; at least one.</param>
public sealed record SheetChecks(string Title, IReadOnlyList<CheckItem> Items)
{
    /// <summary>What is prepared at an earlier visit, and looked up before the subnet changes; none where there is nothing of it.</summary>
    public static IEnumerable<SheetChecks> Before(RunSheet sheet) =>
        [.. Of("At an earlier visit", EarlierVisit.Of(sheet)), .. Of("Before the subnet changes", SubnetMove.Of(sheet))];

    /// <summary>What is to be proven at the end; none where there is nothing to do.</summary>
    public static IEnumerable<SheetChecks> After(RunSheet sheet) => Of("To be proven at the end", FinishList.Of(sheet));

    private static IEnumerable<SheetChecks> Of(string title, IReadOnlyList<CheckItem> items) =>
        items.Count == 0 ? [] : [new SheetChecks(title, items)];
}
