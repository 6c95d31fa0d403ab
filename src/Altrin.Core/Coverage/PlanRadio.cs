using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Coverage;

/// <summary>A radio as the channel plan sees it.</summary>
internal sealed class PlanRadio
{
    /// <summary>A channel that allows so much less than is usual is no choice, in dB (common practice).</summary>
    private const double MuchLessDb = 6;

    /// <summary>
    /// The widest channel that is planned at 5 GHz, and at 6 GHz: wider ones find no room beside others (common practice).
    /// </summary>
    private const int Widest5Mhz = 80,
        Widest6Mhz = 160;

    private readonly Dictionary<ChannelBlock, double[]> _neighbours = [];
    private readonly Design _design;
    private readonly IReadOnlyList<(HeardNetwork Network, ChannelBlock Block)> _heard;

    private PlanRadio(Design design, PathRates rates, Air air)
    {
        (_design, Air) = (design, air);
        var use = rates.Use.First(u => (u.Box, u.Radio) == (air.Box, air.Radio.Id));
        Beacons = use.Beacons;
        var ours = rates.Airs.Select(a => a.Setting.Name).ToHashSet(StringComparer.Ordinal);
        _heard = [.. Facts.Neighbours.In(design.Site, design.Site.Place(use.ScannedIn), air.Radio.Band, ours)];
        Now = AirUse.BlockOf(air with { Setting = air.Setting with { WidthMhz = air.Setting.WidthMhz ?? UsualMhz(air.Radio) } });
    }

    /// <summary>What it sends.</summary>
    public Air Air { get; }

    /// <summary>Where it sends today; null where its box chooses.</summary>
    public ChannelBlock? Now { get; private set; }

    /// <summary>What its beacons take.</summary>
    public double Beacons { get; }

    /// <summary>Which other radios it hears, by their places in the list.</summary>
    public IReadOnlyList<int> Hears { get; private set; } = [];

    /// <summary>
    /// The radio on whose channel it has to be, since it joins it, or joins what joins it; null for none.
    /// </summary>
    public int? Follows { get; private set; }

    /// <summary>Whether others join it by radio: it then keeps off channels on which radar comes first.</summary>
    public bool IsJoined { get; private set; }

    /// <summary>Why it is planned around; null where it can be set.</summary>
    public string? Stays { get; private set; }

    /// <summary>Every radio that sends, by box and radio.</summary>
    public static IReadOnlyList<PlanRadio> Of(Design design, PathRates rates)
    {
        List<PlanRadio> radios = [.. rates.Airs.DistinctBy(a => (a.Box, a.Radio.Id)).Select(a => new PlanRadio(design, rates, a))];
        foreach (var radio in radios)
        {
            var place = design.Site.Place(design.Setting(radio.Air.Box)?.Place);
            radio.Hears =
            [
                .. Enumerable
                    .Range(0, radios.Count)
                    .Where(i =>
                        radios[i].Air.Box != radio.Air.Box
                        && radios[i].Air.Radio.Band == radio.Air.Radio.Band
                        && place is not null
                        && rates.Signals.Of(radios[i].Air, place) is { Dbm: >= Airtime.HeardDbm }
                    ),
            ];
            radio.Follows = Head(design, radios, radio);
            radio.Stays = radio.WhyNot(design);
        }
        foreach (var radio in radios)
        {
            if (radio.Follows is { } head)
            {
                // What joins another is where that one is.
                radio.Now = radios[head].Now;
                radios[head].IsJoined = true;
            }
        }
        foreach (var radio in radios.Where(r => r.Stays is null && !r.Choices().Any()))
        {
            radio.Stays = design.Site.Country is null
                ? "no channel of it is allowed in every country: note the country in the survey"
                : "the country allows no channel that it can be set to";
        }
        return radios;
    }

    /// <summary>The blocks that it may be set to.</summary>
    public IEnumerable<ChannelBlock> Choices()
    {
        var band = Air.Radio.Band;
        var widest = Math.Min(Air.Radio.WidestMhz ?? Widest5Mhz, band == RadioBand.Ghz6 ? Widest6Mhz : Widest5Mhz);
        // At 2.4 GHz there is room for one wide channel, or for three narrow ones.
        return (band == RadioBand.Ghz2 ? [Channels.NarrowMhz] : Channels.Widths(band).Where(w => w <= widest))
            .SelectMany(w =>
                ChannelChoice
                    .Allowed(_design, Air with { Setting = Air.Setting with { WidthMhz = w } }, radarToo: !IsJoined)
                    .DistinctBy(b => b.CentreMhz)
            )
            .Where(b =>
                CountryRules.Allowed(_design.Site.Country, b) is { } allowed
                && allowed.MostDbm > RadioPower.OfBox(band) - MuchLessDb
                && allowed.Wait <= RadarWait.Usual
            );
    }

    /// <summary>What each neighbour takes of a block.</summary>
    public IReadOnlyList<double> Neighbours(ChannelBlock block)
    {
        if (!_neighbours.TryGetValue(block, out var takes))
        {
            takes = [.. Facts.Neighbours.Taken(block, _heard)];
            _neighbours[block] = takes;
        }
        return takes;
    }

    /// <summary>Whether radar comes first in a block.</summary>
    public bool IsRadar(ChannelBlock block) => CountryRules.Of(_design.Site.Country)?.Allowed(block) is { Radar: true };

    /// <summary>What sets it to a block; none where it is there, or is not to be set: a width that is left to the box stays so.</summary>
    public IEnumerable<Change> Set(ChannelBlock block)
    {
        if (Stays is null && block != Now)
        {
            yield return SetRadio.Between(Air.Box, Air.Setting, Air.Setting with { Channel = block.Primary, WidthMhz = block.WidthMhz });
        }
    }

    /// <summary>
    /// The radio at the head of a chain of boxes that join each other on one radio: a repeater's own name is on the channel of what it
    /// joins, whatever is set. Null for a radio that joins nothing, and in a chain without a head.
    /// </summary>
    private static int? Head(Design design, List<PlanRadio> radios, PlanRadio of)
    {
        var at = of;
        for (var hops = 0; hops <= radios.Count; hops++)
        {
            if (design.Mode(at.Air.Box)?.Joins is not { } joins || joins.Radio != at.Air.Radio.Id)
            {
                return at == of ? null : radios.IndexOf(at);
            }
            if (radios.Find(r => r.Air.Box == joins.Box && r.Air.Radio.Band == at.Air.Radio.Band) is not { } next)
            {
                return null;
            }
            at = next;
        }
        return null;
    }

    /// <summary>The width that a box takes by itself where none is set: 20 MHz at 2.4 GHz, elsewhere 80 or its widest.</summary>
    private static int UsualMhz(BoxRadio radio) =>
        radio.Band == RadioBand.Ghz2 ? Channels.NarrowMhz : Math.Min(radio.WidestMhz ?? Widest5Mhz, Widest5Mhz);

    private string? WhyNot(Design design)
    {
        var profile = design.Box(Air.Box)!.Profile;
        return Follows is not null ? "it is on the channel of the box that it joins"
            : Air.SetAt.Box != Air.Box || profile.Kit is not null ? "its kit chooses the channel"
            : profile.Traits.App?.Sets.Contains(Setting.Channel) == true ? "only its application sets the channel"
            : profile.Traits.Pages is { } pages && !pages.Any(p => p.Sets.Contains(Setting.Channel)) ? "no page of it sets the channel"
            : design.Mode(Air.Box)?.Joins?.Frames == UplinkFrames.Wds || Air.Setting.WdsPeers.Count > 0
                ? "its WDS link needs the channel that is set at both ends"
            : null;
    }
}
