using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>
/// A detour of the evening: where a name gets another password, security or network and several boxes send it, the radios of one are off
/// meanwhile. The plan is not to have it so; what is switched off is left to be switched on again.
/// </summary>
internal static class Silencing
{
    /// <summary>The boxes that can be silenced, each with the radios that send a name of which some sender is not as planned.</summary>
    public static IEnumerable<WorkItem> Of(State now, Aim aim)
    {
        var sent = Sent(now).ToList();
        var moving = sent.GroupBy(s => s.Setting.Name, StringComparer.Ordinal)
            .Where(g => g.Select(s => s.Box).Distinct().Count() > 1 && g.Any(s => !IsAsPlanned(aim, s)))
            .Select(g => g.Key)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var box in sent.Where(s => moving.Contains(s.Setting.Name)).GroupBy(s => s.Box, s => s.Setting.Radio))
        {
            var radios = box.ToHashSet(StringComparer.Ordinal);
            var mode = now.Design.Mode(box.Key)!;
            var goal = now.Design.Setting(box.Key)! with
            {
                Mode = mode.WithRadios([.. mode.Radios.Select(r => radios.Contains(r.Radio) ? r with { On = false } : r)]),
            };
            if (PageWork.Of(now.Design, goal, aim.Ways) is [var page, ..])
            {
                yield return new(WorkKind.Silence, box.Key, s => Saving.Save(s, box.Key, page)) { Box = box.Key };
            }
        }
    }

    /// <summary>What is on the air and set at the box that sends it: a satellite changes with the main node of its kit.</summary>
    private static IEnumerable<Air> Sent(State now) =>
        now
            .Design.SetUp.Boxes.Select(b => b.Box)
            .Except(now.Moment.Situation.Silent())
            .SelectMany(b => Air.Of(now.Design, b))
            .Where(a => !a.Guest && a.SetAt.Box == a.Box);

    private static bool IsAsPlanned(Aim aim, Air sent) =>
        aim.Of(sent.Box)?.Mode.Radios.FirstOrDefault(r => r.Radio == sent.Setting.Radio) is { } to
        && new FurtherName(sent.Setting.Name, sent.Setting.Security, sent.Setting.Password) is var name
        && (sent.Further ? to.FurtherNames.Contains(name) : new FurtherName(to.Name, to.Security, to.Password) == name);
}
