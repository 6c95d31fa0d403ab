using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>What is typed into a page by each change of a set-up.</summary>
public static class TypedSettings
{
    /// <summary>
    /// The settings that a person types for a change, without what follows from them by itself, such as the pool that moves with the LAN
    /// address; empty for what no page sets: cables, devices, places.
    /// </summary>
    public static IReadOnlyList<Setting> Of(Design design, string box, Change change) =>
        change switch
        {
            SetMode => [Setting.Mode],
            SetLanAddress => [Setting.LanAddress],
            SetRadio radio => [.. radio.Given().Order()],
            _ =>
            [
                .. change
                    .Touches(design)
                    .Where(t => t.Of == box && t.Setting is not (Setting.InUse or Setting.StandsIn or Setting.Plugged or Setting.Cable))
                    .Select(t => t.Setting)
                    .Distinct()
                    .Order(),
            ],
        };
}
