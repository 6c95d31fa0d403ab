using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Notes a piece of gear by its kind on the shelf. A gateway is taken to be in use at the line; anything else lies on the shelf until it
/// is said to be in use.
/// </summary>
/// <param name="Name">What the installer calls it.</param>
/// <param name="ShelfId">Its kind.</param>
public sealed record AddBox(string Name, string ShelfId) : Correction
{
    /// <summary>Its id; empty to have one made of its name.</summary>
    public string Id { get; init; } = "";

    /// <summary>MAC address on its label; null where not read.</summary>
    public MacAddress? Mac { get; init; }

    /// <summary>MAC address of its WAN side; null where not read.</summary>
    public MacAddress? WanMac { get; init; }

    /// <summary>Where it stands, or lies while it is not in use; null where not noted.</summary>
    public string? Place { get; init; }

    /// <summary>What lives in it beside the internet.</summary>
    public IReadOnlyList<LineService> Holds { get; init; } = [];

    /// <summary>What stands on its label.</summary>
    public LabelFacts Label { get; init; } = LabelFacts.Empty;

    /// <summary>Whether it is in use; null for what is usual of its kind.</summary>
    public bool? InUse { get; init; }

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (shelf.Find(ShelfId) is not { } profile)
        {
            return Parsed<HomeFile>.Fail($"There is no '{Ipv4Address.Shown(ShelfId)}' on the shelf.");
        }
        if (
            (
                Given.WrongName(Name)
                ?? (Id.Length > 0 ? Given.WrongNewId(home.Site, Id) : null)
                ?? Given.WrongPlace(home.Site, Place)
                ?? Given.WrongLabel(Label)
                ?? Given.WrongMac(home.Site, null, Mac, WanMac, Label.RadioMac)
                ?? (home.Site.Boxes.Count >= Site.MostBoxes ? $"At most {Site.MostBoxes:#,0} boxes are kept." : null)
            ) is
            { } wrong
        )
        {
            return Parsed<HomeFile>.Fail(wrong);
        }
        var id = Id.Length > 0 ? Id : Slugs.Of(Name, home.Site.Uses, "box");
        var box = new Box(id, Name.Trim(), profile, Mac, WanMac)
        {
            Holds = [.. Holds.Distinct().Order()],
            Label = Label,
            Place = Place,
        };
        var isHandOff = home.Site.Service.HandOff is null && profile.Kind == BoxKind.Gateway;
        var site = home.Site with
        {
            Boxes = [.. home.Site.Boxes, box],
            Service = isHandOff ? home.Site.Service with { HandOff = box.Id } : home.Site.Service,
        };
        var noted = home.With(site);
        return InUse ?? isHandOff ? noted.InEach(d => FirstUse.Of(d, box, Place)) : noted;
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{Name} is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf)
    {
        var id = Id.Length > 0 ? Id : Slugs.Of(Name, home.Site.Uses, "box");
        return
        [
            new(Setting.Box, id),
            new(Setting.InUse, id),
            new(Setting.Service, "", nameof(ServiceFacts.HandOff)),
            .. Given.NewCables(home, ApplyTo(home, shelf)),
        ];
    }
}

/// <summary>What is known of a box beside its kind and its label.</summary>
/// <param name="Name">What the installer calls it.</param>
/// <param name="Mac">MAC address of its LAN side; null where not read.</param>
/// <param name="WanMac">MAC address of its WAN side; null where not read.</param>
/// <param name="Holds">What lives in it beside the internet.</param>
/// <param name="Place">Where it lies while it is not in use; null where not noted.</param>
public sealed record BoxFacts(string Name, MacAddress? Mac, MacAddress? WanMac, IReadOnlyList<LineService> Holds, string? Place)
{
    /// <summary>What is known of a box.</summary>
    public static BoxFacts Of(Box box) => new(box.Name, box.Mac, box.WanMac, box.Holds, box.Place);
}

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
        [.. Known.Given.Select(m => new Touch(Setting.Box, Box, m))];
}

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

/// <summary>
/// Gives a box another kind, or the later edition of its own. Where it is in use, its mode, ports and radios must still be there.
/// </summary>
public sealed record TakeProfile(string Box, string ShelfId) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (home.Site.Boxes.FirstOrDefault(b => b.Id == Box) is not { } box)
        {
            return Parsed<HomeFile>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.");
        }
        if (shelf.Find(ShelfId) is not { } profile)
        {
            return Parsed<HomeFile>.Fail($"There is no '{Ipv4Address.Shown(ShelfId)}' on the shelf.");
        }
        foreach (var setUp in home.SetUps)
        {
            if (Misses(setUp, box with { Profile = profile }) is { } missed)
            {
                return Parsed<HomeFile>.Fail(
                    $"{box.Name} is in use in \"{setUp.Name}\" with {missed}, which {profile.Name} does not have. Put it on the shelf there first."
                );
            }
        }
        var taken = box with { Profile = profile };
        return home.With(home.Site with { Boxes = Given.With(home.Site.Boxes, taken, b => b.Id) })
            .InEach(d =>
                d.SetUp with
                {
                    Boxes = [.. d.SetUp.Boxes.Select(b => b.Box == Box ? b with { Mode = Aligned(taken, b.Mode) } : b)],
                }
            );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"{home.Site.Boxes.FirstOrDefault(b => b.Id == Box)?.Name ?? Box} is of another kind, or of its newer edition";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [new(Setting.Profile, Box), .. ModeSettings.Radio.Select(setting => new Touch(setting, Box))];

    private string? Misses(SetUp setUp, Box taken)
    {
        var (profile, mode) = (taken.Profile, setUp.Boxes.FirstOrDefault(b => b.Box == Box)?.Mode);
        return mode is null ? null
            : !profile.Modes.Contains(mode.Kind) ? $"the mode {ModeWords.Of(mode.Kind)}"
            : setUp
                .Cables.SelectMany(c => new[] { c.A, c.B })
                .Where(e => e.Owner == Box && profile.Port(e.Port) is null)
                .Select(e => $"the port {e.Port}")
                .FirstOrDefault()
                ?? mode.Radios.Where(r => r.On && profile.Radios.All(x => x.Id != r.Radio))
                    .Select(r => $"the radio {r.Radio}")
                    .FirstOrDefault()
                ?? (
                    mode.Radios.Any(r =>
                        profile.Radios.FirstOrDefault(x => x.Id == r.Radio) is { } own
                        && PageChecks.WrongChannel(own.Band, r.Channel, r.WidthMhz) is not null
                    )
                        ? "a channel"
                        : null
                )
                ?? (mode.Joins is { } link && PageChecks.WrongUplink(taken, link) is not null ? "a radio link" : null)
                ?? (
                    mode is RouterMode { Passing: { } passing } && PageChecks.WrongPassing(taken, passing) is not null
                        ? "a public address that is passed on"
                        : null
                )
                ?? (mode is SwitchMode plain && PageChecks.WrongVlans(taken, plain.Vlans, plain) is not null ? "VLANs" : null);
    }

    /// <summary>The same mode with each radio of the kind once: one that is new is off, one that is gone was off.</summary>
    private static BoxMode Aligned(Box box, BoxMode mode)
    {
        RadioSetting[] radios =
        [
            .. box.Profile.Radios.Select(r =>
                mode.Radios.FirstOrDefault(s => s.Radio == r.Id)
                ?? new RadioSetting(r.Id, false, FactoryNames.Of(box), WifiSecurity.Wpa2, box.Label.WifiPassword)
            ),
        ];
        return mode is RouterMode or AccessPointMode or RepeaterMode ? mode.WithRadios(radios) : mode;
    }
}
