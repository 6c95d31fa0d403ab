using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Corrects what stands on the label of a box; what is not given stays.</summary>
public sealed record SetLabel(string Box, Partial<LabelFacts> Label) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (home.Site.Boxes.FirstOrDefault(b => b.Id == Box) is not { } box)
        {
            return Parsed<HomeFile>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.");
        }
        var said = Label.On(box.Label);
        return Edit.Unless(
            Given.WrongLabel(said) ?? Given.WrongMac(home.Site, Box, said.RadioMac),
            home.With(home.Site with { Boxes = Given.With(home.Site.Boxes, box with { Label = said }, b => b.Id) })
        );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"The label of {home.Site.Boxes.FirstOrDefault(b => b.Id == Box)?.Name ?? Box} is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [.. Label.Given.Select(m => new Touch(Setting.Label, Box, m))];
}
