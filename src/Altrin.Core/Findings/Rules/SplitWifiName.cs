using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>Several Wi-Fi names where the installer wants one.</summary>
public static class SplitWifiName
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "split-wifi-name",
            "split Wi-Fi name",
            "Split Wi-Fi names: the home has several although one is wanted, everywhere or for each band.",
            "Devices never move between different names while the old one still works.",
            "common practice; schools differ",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e.Design.Site.Naming switch
        {
            NamingSchool.OneName => Differing(e, [.. WifiNames.OfHome(e)], "the home"),
            NamingSchool.OnePerBand => WifiNames
                .OfHome(e)
                .GroupBy(r => e.Design.Box(r.Box)!.Profile.Radios.First(x => x.Id == r.Setting.Radio).Band)
                .OrderBy(g => g.Key)
                .SelectMany(g => Differing(e, [.. g], BandWords.Of(g.Key))),
            _ => [],
        };

    private static IEnumerable<Finding> Differing(Evidence e, List<(string Box, RadioSetting Setting)> radios, string where)
    {
        var names = radios.Select(r => r.Setting.Name).Distinct().Order(StringComparer.Ordinal).ToList();
        if (names.Count < 2)
        {
            yield break;
        }
        var users = e.Design.SetUp.Devices.Select(d => d.Wifi?.Name).OfType<string>().ToList();
        yield return e.Finding(
            Rule,
            radios.Select(r => $"{r.Box}/{r.Setting.Radio}"),
            $"Wi-Fi of {where} has {names.Count} names: {string.Join(", ", names.Select(n => $"\"{n}\""))}",
            "Phones stay on the box that they joined first, however weak it becomes.",
            names
                .OrderByDescending(n => users.Count(u => u == n))
                .Select(name =>
                {
                    var like = radios.First(r => r.Setting.Name == name).Setting;
                    return Cures.Hopeful(
                        $"Call all of them \"{name}\"",
                        [
                            .. radios.Where(r => r.Setting.Name != name).SelectMany(r => WifiNames.Follow(e, r, like)),
                            .. names.Where(n => n != name).SelectMany(n => WifiNames.Rejoin(e, n, like)),
                        ]
                    );
                })
        );
    }
}
