using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Words for a finding of which only the identity is known.</summary>
internal static class AcceptanceWords
{
    /// <summary>Words of codes that are not written in small letters.</summary>
    private static readonly Dictionary<string, string> Written = new(StringComparer.Ordinal)
    {
        ["dhcp"] = "DHCP",
        ["dmz"] = "DMZ",
        ["dns"] = "DNS",
        ["ipv6"] = "IPv6",
        ["nat"] = "NAT",
        ["tv"] = "TV",
        ["upnp"] = "UPnP",
        ["wan"] = "WAN",
        ["wifi"] = "Wi-Fi",
    };

    /// <summary>"double NAT at Loft router": the code with its hyphens as blanks, and the names of its subjects.</summary>
    public static string Of(Design design, string identity)
    {
        var open = identity.IndexOf('(', StringComparison.Ordinal);
        if (open <= 0)
        {
            return "a finding";
        }
        var subjects = Subjects(identity).Select(design.NameOf).ToList();
        var code = string.Join(' ', identity[..open].Split('-').Select(word => Written.GetValueOrDefault(word, word)));
        return subjects.Count == 0 ? code : $"{code} at {string.Join(", ", subjects)}";
    }

    /// <summary>Ids that an identity names.</summary>
    public static IReadOnlyList<string> Subjects(string identity) =>
        identity.IndexOf('(', StringComparison.Ordinal) is var open and > 0
            ? identity[(open + 1)..].TrimEnd(')').Split(',', StringSplitOptions.RemoveEmptyEntries)
            : [];
}
