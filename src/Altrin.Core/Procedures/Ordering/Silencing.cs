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
        var moving = sent.GroupBy(s => s.Radio.Name, StringComparer.Ordinal)
            .Where(g => g.Select(s => s.Box).Distinct().Count() > 1 && g.Any(s => !IsAsPlanned(aim, s)))
            .Select(g => g.Key)
            .ToHashSet(StringComparer.Ordinal);
        foreach (var box in sent.Where(s => moving.Contains(s.Radio.Name)).GroupBy(s => s.Box, s => s.Radio.Radio))
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

    private static IEnumerable<(string Box, RadioSetting Radio)> Sent(State now) =>
        now
            .Design.SetUp.Boxes.Where(b => b.Mode is not SatelliteMode && !now.Moment.Situation.Silent().Contains(b.Box))
            .SelectMany(b => b.Mode.Radios.Where(r => r.On).Select(r => (b.Box, r)));

    private static bool IsAsPlanned(Aim aim, (string Box, RadioSetting Radio) sent) =>
        aim.Of(sent.Box)?.Mode.Radios.FirstOrDefault(r => r.Radio == sent.Radio.Radio) is { } to
        && (to.Name, to.Security, to.Password) == (sent.Radio.Name, sent.Radio.Security, sent.Radio.Password);
}
