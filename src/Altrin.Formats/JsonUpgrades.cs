using System.Text.Json.Nodes;

namespace Altrin.Formats;

/// <summary>Brings a file of an older version up to the newest, one step a version, JSON to JSON.</summary>
internal static class JsonUpgrades
{
    /// <summary>The file in the newest version; unchanged where it has that already, or no version that is known.</summary>
    /// <param name="json">The file; JSON nested at most <see cref="AltrinJson.Depth"/> deep.</param>
    /// <param name="steps">What each version needs to become the next, from version 1; the newest is one more than there are steps.</param>
    public static string ToNewest(string json, IReadOnlyList<Action<JsonObject>> steps)
    {
        if (
            JsonNode.Parse(json, documentOptions: new() { MaxDepth = AltrinJson.Depth }) is not JsonObject root
            || root["formatVersion"] is not JsonValue value
            || !value.TryGetValue<int>(out var version)
            || version < 1
            || version > steps.Count
        )
        {
            return json;
        }
        for (; version <= steps.Count; version++)
        {
            steps[version - 1](root);
        }
        root["formatVersion"] = version;
        return root.ToJsonString(AltrinJson.Options);
    }
}
