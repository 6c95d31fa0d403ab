using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Web;

/// <summary>A setting that pages of boxes have.</summary>
/// <param name="Setting">Which.</param>
/// <param name="Words">As pages call it.</param>
/// <param name="Modes">The modes that have it.</param>
internal sealed record SettingView(Setting Setting, string Words, IReadOnlyList<ModeKind> Modes)
{
    /// <summary>All of them, in the order in which they are worked through.</summary>
    public static IReadOnlyList<SettingView> All { get; } =
    [
        .. Enum.GetValues<ModeKind>()
            .SelectMany(ModeSettings.OnPages)
            .Distinct()
            .Order()
            .Select(s => new SettingView(
                s,
                SettingWords.Of(s),
                [.. Enum.GetValues<ModeKind>().Where(m => ModeSettings.OnPages(m).Contains(s))]
            )),
    ];
}
