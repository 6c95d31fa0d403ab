using Altrin.Core.Addressing;
using Altrin.Core.Planning;

namespace Altrin.Formats;

/// <summary>What a box becomes as it is typed, such as "lanToLan".</summary>
public static class RoleText
{
    private static readonly IReadOnlyDictionary<string, RoleKind> All = Enum.GetValues<RoleKind>()
        .ToDictionary(k => WayText.Said($"{k}"), StringComparer.OrdinalIgnoreCase);

    /// <summary>What is expected, in a sentence.</summary>
    public static string Expected { get; } = $"Roles: {string.Join(", ", All.Keys)}.";

    /// <summary>The role, capitals or not; or what was expected.</summary>
    public static Parsed<RoleKind> Read(string text) => All.TryGetValue(text, out var kind) ? kind : Parsed<RoleKind>.Fail(Expected);
}
