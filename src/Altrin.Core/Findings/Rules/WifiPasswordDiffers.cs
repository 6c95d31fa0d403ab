using Altrin.Core.Changes;

namespace Altrin.Core.Findings.Rules;

/// <summary>One Wi-Fi name with different security or keys.</summary>
public static class WifiPasswordDiffers
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "wifi-password-differs",
            "password differs",
            "Split Wi-Fi: one name is sent with different passwords or security.",
            "A device that learned one of them is refused by the other, and seems to lose the Wi-Fi from room to room.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Sending.GroupBy(r => r.Setting.Name, StringComparer.Ordinal)
            .OrderBy(g => g.Key, StringComparer.Ordinal)
            .Where(g => g.Select(r => (r.Setting.Security, r.Setting.Password)).Distinct().Count() > 1)
            .Select(g =>
                e.Finding(
                    Rule,
                    g.Select(r => $"{r.Box}/{r.Setting.Radio}"),
                    $"\"{g.Key}\" has different passwords or security on {e.Names(g.Select(r => r.Box).Distinct())}",
                    "Devices do not move from one to the other, and small ones lose the Wi-Fi.",
                    g.DistinctBy(r => (r.Setting.Security, r.Setting.Password))
                        .OrderByDescending(r => r.Setting.Security)
                        .Select(r => (r.Box, Like: r.Setting))
                        .Select(of =>
                            Cures.Hopeful(
                                $"Password and {SecurityWords.Of(of.Like.Security)} of {e.Name(of.Box)} everywhere for \"{g.Key}\"",
                                [
                                    .. g.Where(r => (r.Setting.Security, r.Setting.Password) != (of.Like.Security, of.Like.Password))
                                        .SelectMany(r => WifiNames.Follow(e, r, of.Like)),
                                    .. WifiNames.Rejoin(e, g.Key, of.Like),
                                ]
                            )
                        )
                )
            );
}
