using Altrin.Core.Radio;

namespace Altrin.Core.Sites;

/// <summary>What a box could join by radio, as its page offers it.</summary>
/// <param name="Box">The box.</param>
/// <param name="Heard">
/// Names that other boxes send on a band that it has a radio for, its fastest band first, then by box. Guest names are left out.
/// </param>
/// <param name="MainNodes">Boxes in use that can be the main node of its kit, by id.</param>
/// <param name="KitNodes">All other boxes in use of its kit, by id.</param>
public sealed record JoinChoices(string Box, IReadOnlyList<Heard> Heard, IReadOnlyList<string> MainNodes, IReadOnlyList<string> KitNodes)
{
    /// <summary>The choices of a box in one set-up.</summary>
    public static JoinChoices Of(Design design, Box box)
    {
        string[] kit =
        [
            .. design
                .SetUp.Boxes.Where(b => b.Box != box.Id && box.Profile.Kit is { } own && design.Box(b.Box)!.Profile.Kit == own)
                .Select(b => b.Box)
                .Order(StringComparer.Ordinal),
        ];
        var sent = Air.Of(design).Where(a => a.Box != box.Id && !a.Guest).ToLookup(a => a.Radio.Band);
        return new(
            box.Id,
            [
                .. box
                    .Profile.Radios.DistinctBy(r => r.Band)
                    .OrderByDescending(r => r.Band)
                    .SelectMany(own => sent[own.Band].Select(air => new Heard(own, air))),
            ],
            [.. kit.Where(b => design.Mode(b) is RouterMode or AccessPointMode)],
            kit
        );
    }
}

/// <summary>A name that a box hears.</summary>
/// <param name="Box">Which box sends it.</param>
/// <param name="Radio">Which of its own radios hears it.</param>
/// <param name="Band">On which band.</param>
/// <param name="Name">The name.</param>
/// <param name="Security">Its protection.</param>
/// <param name="Password">Reference of its password; null where it has none, or none is recorded.</param>
public sealed record Heard(string Box, string Radio, RadioBand Band, string Name, WifiSecurity Security, string? Password)
{
    /// <summary>What one radio hears of another.</summary>
    internal Heard(BoxRadio own, Air air)
        : this(air.Box, own.Id, own.Band, air.Setting.Name, air.Setting.Security, air.Setting.Password) { }
}
