using System.Text.Json.Nodes;

namespace Altrin.Formats;

/// <summary>
/// What version 8 of the design file calls by other words than the versions before it: those on the pages and labels of boxes.
/// </summary>
internal static class WordsOfVersion8
{
    /// <summary>Members, which meant the same wherever they stood.</summary>
    private static readonly Dictionary<string, string> Members = new(StringComparer.Ordinal)
    {
        ["addressServer"] = "dhcpServer",
        ["hardware"] = "mac",
        ["key"] = "password",
        ["leavesOutNames"] = "leavesOutDns",
        ["nameServers"] = "dnsServers",
        ["radioHardware"] = "radioMac",
        ["translates"] = "nat",
        ["wanHardware"] = "wanMac",
        ["wifiKey"] = "wifiPassword",
    };

    /// <summary>Kinds of services and needs.</summary>
    private static readonly Dictionary<string, string> Kinds = new(StringComparer.Ordinal)
    {
        ["carrierTranslation"] = "carrierNat",
        ["keepsNameAndKey"] = "keepsNameAndPassword",
    };

    /// <summary>Renames members and kinds, in their order.</summary>
    public static void Upgrade(JsonObject home)
    {
        foreach (var part in new[] { home["site"], home["setUps"] })
        {
            Rename(part);
        }
    }

    private static void Rename(JsonNode? node)
    {
        switch (node)
        {
            case JsonArray items:
                foreach (var item in items)
                {
                    Rename(item);
                }
                break;
            case JsonObject whole:
                var members = whole.ToList();
                whole.Clear();
                foreach (var (name, value) in members)
                {
                    Rename(value);
                    whole.Add(NameOf(name), name == "kind" ? KindOf(value) : value);
                }
                break;

                // One that holds both words keeps both, so that the one that is not known is refused.
                string NameOf(string name) => Members.TryGetValue(name, out var now) && members.All(m => m.Key != now) ? now : name;
        }
    }

    private static JsonNode? KindOf(JsonNode? value) =>
        value is JsonValue text && text.TryGetValue<string>(out var kind) && Kinds.TryGetValue(kind, out var now) ? now : value;
}
