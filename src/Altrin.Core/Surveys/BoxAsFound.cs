using System.Text.Json;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>How a box in use is set today, as far as a survey asks for it.</summary>
/// <param name="Box">The box.</param>
/// <param name="Settings">What its mode holds; null for what it does not have.</param>
/// <param name="Assumed">
/// Which members of it were not read yet, as <see cref="FoundSettings"/> calls them, with a small first letter.
/// </param>
/// <param name="Elsewhere">What other set-ups hold otherwise, a sentence each, such as "planned has the Wi-Fi name "Lantern".".</param>
public sealed record BoxAsFound(string Box, FoundSettings Settings, IReadOnlyList<string> Assumed, IReadOnlyList<string> Elsewhere)
{
    /// <summary>Every box of what was found that routes or sends Wi-Fi of its own, by id.</summary>
    public static IReadOnlyList<BoxAsFound> Of(HomeFile home)
    {
        var found = home.AsFound().SetUp;
        return
        [
            .. found
                .Boxes.Where(b => b.Mode is RouterMode || b.Mode.Radios.Count > 0)
                .OrderBy(b => b.Box, StringComparer.Ordinal)
                .Select(b => new BoxAsFound(
                    b.Box,
                    FoundSettings.Of(b.Mode),
                    [.. Still(home.Site.Boxes.First(x => x.Id == b.Box).Assumed.In(b.Mode))],
                    [
                        .. home
                            .SetUps.Where(s => s.Name != found.Name)
                            .Select(s => (s.Name, Other: s.Boxes.FirstOrDefault(o => o.Box == b.Box)?.Mode))
                            .Where(s => s.Other is not null)
                            .Select(s => (s.Name, Parts: Parts(FoundSettings.Of(b.Mode), FoundSettings.Of(s.Other)).ToList()))
                            .Where(s => s.Parts.Count > 0)
                            .Select(s => $"{s.Name} has {string.Join(", ", s.Parts)}."),
                    ]
                )),
        ];
    }

    private static IEnumerable<string> Still(AssumedSettings assumed)
    {
        if (assumed.LanAddress is not null)
        {
            yield return Member(nameof(FoundSettings.LanAddress));
        }
        if (assumed.DhcpServer is not null)
        {
            yield return Member(nameof(FoundSettings.DhcpServer));
        }
        if (assumed.Pool is not null)
        {
            yield return Member(nameof(FoundSettings.PoolFirst));
            yield return Member(nameof(FoundSettings.PoolLast));
        }
        if (assumed.WifiName is not null)
        {
            yield return Member(nameof(FoundSettings.WifiName));
        }
    }

    private static string Member(string name) => JsonNamingPolicy.CamelCase.ConvertName(name);

    private static IEnumerable<string> Parts(FoundSettings here, FoundSettings there)
    {
        if (there.LanAddress is { } lan && lan != here.LanAddress)
        {
            yield return $"the address {lan}";
        }
        if (there.DhcpServer is { } on && on != here.DhcpServer)
        {
            yield return on ? "the DHCP server on" : "the DHCP server off";
        }
        if (there.PoolFirst is { } first && there.PoolLast is { } last && (first, last) != (here.PoolFirst, here.PoolLast))
        {
            yield return $"the pool {first}-{last}";
        }
        if (there.WifiName is { } name && name != here.WifiName)
        {
            yield return $"the Wi-Fi name \"{name}\"";
        }
        if (there.WifiName is not null && there.WifiPassword != here.WifiPassword)
        {
            yield return there.WifiPassword is null ? "no Wi-Fi password recorded" : "another Wi-Fi password";
        }
    }
}
