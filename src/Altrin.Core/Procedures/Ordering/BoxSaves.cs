using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What can be set next in a box that is in use, page by page.</summary>
internal static class BoxSaves
{
    /// <summary>The pages that can be saved next; a reset where no page leads to the plan.</summary>
    public static IEnumerable<WorkItem> Of(State now, Aim aim, string id)
    {
        var goal = BoxGoal.Planned(now, aim, id);
        var pages = PageWork.Of(now.Design, goal, aim.Ways);
        var toMode = now.Design.Mode(id)!.Kind != goal.Mode.Kind;
        // A gateway that stopped routing has no page any more, and some kits cannot be set back.
        if (
            now.Design.Mode(id) is BridgeMode && toMode
            || toMode && pages.All(w => !w.Changes.Any(c => c is SetMode))
            || pages.Count == 0 && Differs(now, goal)
        )
        {
            yield return Reset(WorkKind.Save, id);
            yield break;
        }
        if (pages.Count > 0 && IsLost(now, aim, id))
        {
            yield return Reset(WorkKind.Away, id);
        }
        if (toMode)
        {
            // What can be set before the mode is may be set earlier than that, so that other work comes in between.
            if (PageWork.Of(now.Design, BoxGoal.BeforeMode(now, goal), aim.Ways) is [var first, ..])
            {
                yield return Saved(id, first);
            }
            yield return new(WorkKind.Save, $"{id} {ModeWords.Of(goal.Mode.Kind)}", s =>
                TableWork.Settle(s, id, n => BoxGoal.Planned(n, aim, id))
            )
            {
                Box = id,
            };
            yield break;
        }
        // One page after another; radios go on when their time has come, though never while the factory's password is in force.
        var exposed = pages is [{ Changes: var begin }, ..] && begin.Any(c => c is SetPagePassword);
        foreach (var page in exposed ? pages.Take(1) : pages.Where(IsOfAir).Take(1).Concat(pages.Where(p => !IsOfAir(p)).Take(1)))
        {
            yield return Saved(id, page);
        }
    }

    /// <summary>Whether the page of a box waits for a lease, and no cable of the plan will bring it one: it is tried last.</summary>
    private static bool IsLost(State now, Aim aim, string id) =>
        !PageAt.HasNone(now.Design.Box(id)!.Profile)
        && !PageOpens.IsBusy(now, id)
        && !PageOpens.AddressOf(now, id).Ok
        && aim.Target.Cables.Where(c => c.Ends(id))
            .All(c => c.Ends(PortRef.Street) || now.Design.Device(c.A.Owner) is not null || now.Design.Device(c.B.Owner) is not null);

    private static WorkItem Saved(string id, PageWork page) =>
        new(WorkKind.Save, $"{id} {page.Area}", s => Saving.Save(s, id, page)) { Box = id, IsLate = IsOfAir(page) };

    private static WorkItem Reset(WorkKind kind, string id) =>
        new(kind, $"{id} reset", s => WorkItems.OutOf(s, id) && s.Do(new ResetBox(id)) && s.Ready(id)) { Box = id };

    private static bool IsOfAir(PageWork page) =>
        page.Area != PageWork.InApp && page.Changes.Any(c => c is SetRadio or SetGuest or SetPointGuest);

    /// <summary>Whether anything of a box is not as it is to be.</summary>
    private static bool Differs(State now, BoxSetting goal)
    {
        var set = now.Design.SetUp with { Boxes = [.. now.Design.SetUp.Boxes.Select(b => b.Box == goal.Box ? goal : b)] };
        return now.Left(set).Count > 0;
    }
}
