using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Sets what a box is. What the new mode still has is kept (radios, where both have them); the rest takes the factory values.
/// A box that was not in use comes into use by it.
/// </summary>
public sealed record SetMode(string Box, ModeKind Mode) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design)
    {
        if (design.Box(Box) is not { } box)
        {
            return Parsed<SetUp>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.");
        }
        if (!box.Profile.Modes.Contains(Mode))
        {
            return Parsed<SetUp>.Fail(
                $"The {box.Name} cannot be set to {ModeWords.Of(Mode)}; it can be {string.Join(" or ", box.Profile.Modes.Select(ModeWords.Of))}."
            );
        }
        var old = design.Mode(Box);
        return old?.Kind == Mode ? design.SetUp : Edit.WithMode(design.SetUp, Box, Factory.Mode(design, box, Mode, old));
    }

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} becomes {ModeWords.WithArticle(Mode)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        design.Mode(Box) is { } old
            ? [new(Setting.Mode, Box), .. ModeSettings.Of(old.Kind).Union(ModeSettings.Of(Mode)).Select(s => new Touch(s, Box))]
            : [new(Setting.InUse, Box)];
}
