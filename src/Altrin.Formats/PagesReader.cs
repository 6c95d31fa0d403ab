using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Reads what the pages of one kind of box set, and what a change of mode and a reset take from them.</summary>
internal static class PagesReader
{
    /// <summary>The traits of a profile, with what cannot be so among its pages noted as errors.</summary>
    public static Traits Read(ProfileDocument profile, string pointer, ReadErrors errors)
    {
        if (profile.Traits is not { } traits)
        {
            return Traits.NotKnown;
        }
        var at = $"{pointer}/traits";
        var pages = traits.Pages ?? [];
        var taken = new HashSet<(ModeKind, Setting)>();
        for (var i = 0; i < pages.Count; i++)
        {
            Modes(pages[i].Modes ?? [], $"{at}/pages/{i}/modes");
            var modes = pages[i].Modes ?? profile.Modes;
            Sets(pages[i].Sets, modes, $"{at}/pages/{i}/sets");
            for (var j = 0; j < pages[i].Sets.Count; j++)
            {
                var setting = pages[i].Sets[j];
                var free = modes
                    .Where(m => ModeSettings.OnPages(m).Contains(setting))
                    .Aggregate(true, (ok, m) => taken.Add((m, setting)) && ok);
                if (!free)
                {
                    errors.Add($"{at}/pages/{i}/sets/{j}", AltrinJson.Name(setting), "a setting that no other page has in the same mode");
                }
            }
        }
        if (traits.App is { } app)
        {
            Sets(app.Sets, profile.Modes, $"{at}/app/sets");
        }
        Sets(traits.Reset?.Keeps ?? [], profile.Modes, $"{at}/reset/keeps");
        var effects = traits.Effects ?? [];
        for (var i = 0; i < effects.Count; i++)
        {
            Sets(effects[i].Clears ?? [], [effects[i].Mode], $"{at}/effects/{i}/clears");
        }
        return traits;

        void Modes(IReadOnlyList<ModeKind> modes, string list)
        {
            for (var i = 0; i < modes.Count; i++)
            {
                if (!profile.Modes.Contains(modes[i]))
                {
                    errors.Add($"{list}/{i}", AltrinJson.Name(modes[i]), $"one of its modes: {Names(profile.Modes)}");
                }
            }
        }

        void Sets(IReadOnlyList<Setting> settings, IReadOnlyList<ModeKind> modes, string list)
        {
            var known = modes.SelectMany(ModeSettings.OnPages).Distinct().Order().ToList();
            for (var i = 0; i < settings.Count; i++)
            {
                if (!known.Contains(settings[i]))
                {
                    errors.Add($"{list}/{i}", AltrinJson.Name(settings[i]), $"a setting that it has in that mode: {Names(known)}");
                }
            }
        }
    }

    private static string Names<T>(IEnumerable<T> values)
        where T : struct, Enum => string.Join(", ", values.Select(AltrinJson.Name));
}
