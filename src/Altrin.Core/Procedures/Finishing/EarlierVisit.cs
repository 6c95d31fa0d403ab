using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>What spares work on the evening where it is done at a visit some days earlier (common practice).</summary>
public static class EarlierVisit
{
    /// <summary>How long leases last then, in minutes: short enough to wait for, long enough to do no harm where it is forgotten.</summary>
    public const int Minutes = 10;

    /// <summary>The items of a sheet; empty where there is nothing to prepare.</summary>
    public static IReadOnlyList<CheckItem> Of(RunSheet sheet)
    {
        var design = sheet.Start.Design;
        var renewed = sheet
            .Steps.SelectMany(s => s.Acts)
            .Where(a => a.Act is NewLink)
            .Select(a => (((NewLink)a.Act).Device, Server: ServerOf(a.Before, ((NewLink)a.Act).Device)))
            .Where(r => r.Server is not null)
            .GroupBy(r => r.Server!, r => r.Device, StringComparer.Ordinal)
            .OrderBy(g => g.Key, StringComparer.Ordinal);
        return [.. renewed.SelectMany(g => Shortened(sheet, design, g.Key, [.. g.Distinct()]))];
    }

    private static IEnumerable<CheckItem> Shortened(RunSheet sheet, Design design, string id, IReadOnlyList<string> devices)
    {
        if (
            design.Setting(id)?.Mode is not RouterMode router
            || design.Box(id) is not { } box
            || router.Server.LeaseMinutes <= Minutes
            || PageAt.Of(box.Profile, ModeKind.Router, Setting.LeaseTime) is not { } page
        )
        {
            yield break;
        }
        var lasts = router.Server.LeaseMinutes ?? DhcpServerSetting.UsualLeaseMinutes;
        var back = sheet.Aim.Of(id)?.Mode is RouterMode { Server.On: true } ? "Set it back when all is done. " : "";
        yield return new(
            $"lease-{id}",
            $"Leases of {box.Name}",
            $"On its page \"{page.Area}\" set the lease time to {Minutes} minutes, at least {TimeWords.Of(lasts * 60L)} before the work "
                + $"({(router.Server.LeaseMinutes is null ? "the usual lease; see how long it is here" : "its present lease")}). "
                + $"{back}These then ask anew by themselves, and need not be switched off and on:",
            [.. devices.Select(design.NameOf)]
        );
    }

    /// <summary>Whose lease a device has; null for none.</summary>
    private static string? ServerOf(State now, string device) =>
        now.Moment.Situation.Memory?.Held.Where(h => h.Owner == device).SelectMany(h => h.Leases).Select(l => l.Server).FirstOrDefault();
}
