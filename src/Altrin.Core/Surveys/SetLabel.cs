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
        if ((Given.WrongLabel(said) ?? Given.WrongMac(home.Site, Box, said.RadioMac)) is { } wrong)
        {
            return Parsed<HomeFile>.Fail(wrong);
        }
        var labelled = box with { Label = said, ToBuy = box.ToBuy && said == LabelFacts.Empty };
        var noted = home.With(home.Site with { Boxes = Given.With(home.Site.Boxes, labelled, b => b.Id) });
        // Where a page takes no such value, the label says it and the box is set otherwise.
        return Follows(home, box) is { Given.Count: > 0 } read && ReadSettings.Into(noted, box, read, sure: false) is { Ok: true } followed
            ? followed
            : noted;
    }

    /// <summary>What of the label a box in use is taken to be set to, as long as its page was not read.</summary>
    private Partial<FoundSettings> Follows(HomeFile home, Box box)
    {
        var mode = home.AsFound().Mode(box.Id);
        var (assumed, label, read) = (box.Assumed.In(mode), Label.On(box.Label), Partial<FoundSettings>.Nothing);
        read =
            Label.Gives(nameof(LabelFacts.Address)) && assumed.LanAddress is not null && label.Address is { } address
                ? read.And(f => f.LanAddress, address)
                : read;
        read =
            Label.Gives(nameof(LabelFacts.WifiName)) && assumed.WifiName is not null && label.WifiName is { } name
                ? read.And(f => f.WifiName, name)
                : read;
        return
            Label.Gives(nameof(LabelFacts.WifiPassword))
            && label.WifiPassword is { } password
            && mode?.Radios is { Count: > 0 } radios
            && radios.All(r => r.Password is null || r.Password == box.Label.WifiPassword)
            ? read.And(f => f.WifiPassword, password)
            : read;
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"The label of {home.Site.Boxes.FirstOrDefault(b => b.Id == Box)?.Name ?? Box} is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            .. Label.Given.Select(m => new Touch(Setting.Label, Box, m)),
            .. Given.Arrival(home, Box),
            .. home.Site.Boxes.FirstOrDefault(b => b.Id == Box) is { } box && Follows(home, box) is { Given.Count: > 0 } read
                ? (IEnumerable<Touch>)
                    [
                        new(Setting.Box, Box, nameof(Sites.Box.Assumed)),
                        .. Given.Set(home, Box, read.Given),
                        .. Given.Connected(home, ApplyTo(home, shelf)),
                    ]
                : [],
        ];
}
