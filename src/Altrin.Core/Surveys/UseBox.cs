using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Notes that a box is in use today, as it was said to be set and connected, else with what it was left with, else as is usual of its
/// kind. Only what was found knows of it; what is planned stays planned.
/// </summary>
/// <param name="Box">The box.</param>
/// <param name="Mode">What it is set to; null for the first mode in which it connects as was said.</param>
/// <param name="Connection">How it is connected.</param>
public sealed record UseBox(string Box, ModeKind? Mode, Connection Connection) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var design = home.AsFound();
        return home.Site.Boxes.FirstOrDefault(b => b.Id == Box) is not { } box
                ? Parsed<HomeFile>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.")
            : design.Mode(Box) is not null ? Parsed<HomeFile>.Fail($"{box.Name} is in use already.")
            : FirstUse
                .Of(design, box, box.Place, Mode ?? box.Stored.Mode, Connection)
                .Then<HomeFile>(setUp => Here(home, box).With(Woken(home.Site, setUp, box.Stored)).Assuming(Box));
    }

    /// <summary>What is in use was bought.</summary>
    private static HomeFile Here(HomeFile home, Box box) =>
        home.With(home.Site with { Boxes = Given.With(home.Site.Boxes, box with { ToBuy = false }, b => b.Id) });

    /// <summary>
    /// What it was left with is what it is taken to be set to until its page is read, as far as its mode has it. Only the set-up that was
    /// found is told.
    /// </summary>
    private SetUp Woken(Site site, SetUp found, StoredSettings stored)
    {
        var left = Partial<FoundSettings>.Nothing;
        left = stored.Address is { } address ? left.And(f => f.LanAddress, address) : left;
        left = stored.DhcpServer is Known.Yes or Known.No ? left.And(f => f.DhcpServer, stored.DhcpServer == Known.Yes) : left;
        left = stored.WifiName is { } name ? left.And(f => f.WifiName, name) : left;
        left = stored.WifiPassword is { } password ? left.And(f => f.WifiPassword, password) : left;
        var box = site.Boxes.First(b => b.Id == Box);
        return left
            .Given.Select(m => Partial<FoundSettings>.Of(((IPartial)left).Values.Where(v => v.Key == m)))
            .Aggregate(new HomeFile(site, [found]), (at, read) =>
                ReadSettings.Into(at, box, read, sure: false) is { Ok: true } told ? told.Value : at
            )
            .SetUps[0];
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{home.Site.Boxes.FirstOrDefault(b => b.Id == Box)?.Name ?? Box} is in use";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            new(Setting.InUse, Box),
            .. Given.Arrival(home, Box),
            new(Setting.Box, Box, nameof(Sites.Box.Assumed)),
            .. Given.Connected(home, ApplyTo(home, shelf)),
        ];
}
