using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Corrects what is known of a box; what is not given stays.</summary>
public sealed record SetBox(string Box, Partial<BoxFacts> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (home.Site.Boxes.FirstOrDefault(b => b.Id == Box) is not { } box)
        {
            return Parsed<HomeFile>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.");
        }
        var said = Known.On(BoxFacts.Of(box));
        return Edit.Unless(
            Given.WrongName(said.Name)
                ?? Given.WrongPlace(home.Site, said.Place)
                ?? (said.Mac is not null && said.Mac == said.WanMac ? "The WAN side of a box has a MAC address of its own." : null)
                ?? Given.WrongMac(home.Site, Box, said.Mac, said.WanMac),
            home.With(
                home.Site with
                {
                    Boxes = Given.With(
                        home.Site.Boxes,
                        box with
                        {
                            Name = said.Name.Trim(),
                            Mac = said.Mac,
                            WanMac = said.WanMac,
                            Holds = [.. said.Holds.Distinct().Order()],
                            Place = said.Place,
                            ToBuy = said is { ToBuy: true, Mac: null, WanMac: null },
                        },
                        b => b.Id
                    ),
                }
            )
        );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"What is known of {home.Site.Boxes.FirstOrDefault(b => b.Id == Box)?.Name ?? Box} is corrected";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [.. Known.Given.Select(m => new Touch(Setting.Box, Box, m)), .. Given.Arrival(home, Box)];
}
