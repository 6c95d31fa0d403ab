using System.Text.Json.Nodes;

namespace Altrin.Formats;

/// <summary>
/// What version 12 of the design file and version 2 of the file of profiles call by another word than the versions before: passing an
/// address on to one MAC address.
/// </summary>
internal static class WordsOfVersion12
{
    /// <summary>Renames it in a home: in the profiles of its boxes, and in how gateways are set.</summary>
    public static void Upgrade(JsonObject home)
    {
        foreach (var box in Items(home["site"] as JsonObject, "boxes"))
        {
            UpgradeProfile(box["profile"] as JsonObject);
        }
        foreach (var setUp in (home["setUps"] as JsonArray ?? []).OfType<JsonObject>())
        {
            foreach (var box in Items(setUp, "boxes"))
            {
                if (box["passing"] is JsonObject passing && IsOld(passing["kind"]))
                {
                    passing["kind"] = Now;
                }
            }
        }
    }

    /// <summary>Renames it in each of a file's profiles.</summary>
    public static void UpgradeProfiles(JsonObject file)
    {
        foreach (var profile in Items(file, "profiles"))
        {
            UpgradeProfile(profile);
        }
    }

    private const string Now = "macAddress";

    private static void UpgradeProfile(JsonObject? profile)
    {
        if (profile?["passes"] is not JsonArray ways)
        {
            return;
        }
        for (var i = 0; i < ways.Count; i++)
        {
            if (IsOld(ways[i]))
            {
                ways[i] = Now;
            }
        }
    }

    private static bool IsOld(JsonNode? word) => word is JsonValue value && value.TryGetValue<string>(out var text) && text == "hardware";

    private static IEnumerable<JsonObject> Items(JsonObject? whole, string list) => (whole?[list] as JsonArray ?? []).OfType<JsonObject>();
}
