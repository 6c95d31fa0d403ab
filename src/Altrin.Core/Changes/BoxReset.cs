using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>What a reset leaves of a box in use: its cables and its place, and what its kind gets back by itself.</summary>
public static class BoxReset
{
    /// <summary>
    /// What may come back by itself after a reset of a box: as its kind says; where that was not found out, each way that there is.
    /// </summary>
    /// <remarks>
    /// Of a gateway the provider may load the login again; nothing comes back to any other box (common practice).
    /// </remarks>
    public static IReadOnlyList<IReadOnlyList<Setting>> Kept(Profile profile) =>
        profile.Traits.Reset?.Keeps is { } known ? [known]
        : profile.Kind == BoxKind.Gateway && profile.Modes.Contains(ModeKind.Router)
            ?
            [
                [],
                [Setting.Line],
            ]
        :
        [
            [],
        ];

    /// <summary>The set-up after it; unchanged where the box is not in use.</summary>
    /// <param name="design">The design before.</param>
    /// <param name="boxId">Which box.</param>
    /// <param name="keeps">What comes back by itself.</param>
    public static SetUp Of(Design design, string boxId, IReadOnlyList<Setting> keeps)
    {
        if (design.Box(boxId) is not { } box || design.Setting(boxId) is null)
        {
            return design.SetUp;
        }
        var mode = Factory.AsItComes(design, box, box.Profile.Modes[0]);
        var after = new Steps(
            design with
            {
                SetUp = design.SetUp with
                {
                    Boxes = [.. design.SetUp.Boxes.Select(b => b.Box == boxId ? b with { Mode = mode, Password = box.Label.Password } : b)],
                },
            }
        );
        // What comes back is set as it was, where the mode still has it.
        foreach (var back in Difference.Between(design.Site, after.SetUp, design.SetUp).Changes)
        {
            after.Unless(!back.Touches(design).All(t => t.Of == boxId && keeps.Contains(t.Setting)), back);
        }
        return after.SetUp;
    }
}
