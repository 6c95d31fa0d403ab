using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>The trade's words for modes, for labels and messages.</summary>
public static class ModeWords
{
    /// <summary>A mode in one or two words.</summary>
    public static string Of(ModeKind mode) =>
        mode switch
        {
            ModeKind.Router => "router",
            ModeKind.AccessPoint => "access point",
            ModeKind.Bridge => "bridge",
            ModeKind.Switch => "switch",
            ModeKind.Repeater => "repeater",
            ModeKind.WirelessBridge => "wireless bridge",
            ModeKind.Satellite => "satellite",
            _ => throw new ArgumentOutOfRangeException(nameof(mode)),
        };

    /// <summary>The mode that a word of the trade means; null where it means none.</summary>
    public static ModeKind? Read(string text) =>
        text.Trim().ToLowerInvariant() switch
        {
            "ap" => ModeKind.AccessPoint,
            "bridge mode" => ModeKind.Bridge,
            "extender" or "booster" => ModeKind.Repeater,
            "client" or "client bridge" => ModeKind.WirelessBridge,
            "node" or "mesh satellite" or "mesh node" => ModeKind.Satellite,
            var word => Enum.GetValues<ModeKind>()
                .Where(m => word == Of(m) || word == WithArticle(m))
                .Select(m => (ModeKind?)m)
                .FirstOrDefault(),
        };

    /// <summary>The same with its article.</summary>
    public static string WithArticle(ModeKind mode) => mode == ModeKind.AccessPoint ? "an access point" : $"a {Of(mode)}";
}
