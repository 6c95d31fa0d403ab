using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

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
                    $"{box.Name} is in use in \"{setUp.Name}\" with {missed}, which {profile.Name} does not have. Take it out of use there first."
                );
            }
        }
        if (PageChecks.WrongStored(profile, box.Stored) is { } wrong)
        {
            return Parsed<HomeFile>.Fail($"{box.Name} was left in its last home as {profile.Name} cannot be. {wrong} Note that first.");
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
                ?? new RadioSetting(r.Id, false, FactoryNames.Of(box), r.Nearest(WifiSecurity.Wpa2), box.Label.WifiPassword)
            ),
        ];
        return mode is RouterMode or AccessPointMode or RepeaterMode ? mode.WithRadios(radios) : mode;
    }
}
