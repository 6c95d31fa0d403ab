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

    /// <summary>The same with its article.</summary>
    public static string WithArticle(ModeKind mode) => mode == ModeKind.AccessPoint ? "an access point" : $"a {Of(mode)}";
}
