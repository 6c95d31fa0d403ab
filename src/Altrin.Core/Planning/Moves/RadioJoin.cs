using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>Boxes that join another one by radio.</summary>
internal static class RadioJoin
{
    /// <summary>The home with a box more as a wireless bridge, joined to what it hears best; null where it hears nothing.</summary>
    public static Design? Bridge(Design design, Box box, string? place) =>
        Best(design, box, place) is { } link
            ? new Draft(design)
                .Do(new SetMode(box.Id, ModeKind.WirelessBridge))
                .Do(new PlaceBox(box.Id, place))
                .Set(box.Id, m => m is WirelessBridgeMode bridge ? bridge with { Link = link } : m)
                .Made
            : null;

    /// <summary>The home with a box more as a repeater, joined to what it hears best; null where it hears nothing.</summary>
    public static Design? Repeater(Design design, Box box, string? place, HomeName? name) =>
        Best(design, box, place) is { } link
            ? new Draft(design)
                .Do(new SetMode(box.Id, ModeKind.Repeater))
                .Do(new PlaceBox(box.Id, place))
                .Set(box.Id, m => m is RepeaterMode repeater ? repeater with { Link = link with { Locked = true } } : m)
                .Name(box.Id, name)
                .Made
            : null;

    /// <summary>
    /// The home with a router more as an access point joined by WDS, to each box whose radio knows four addresses too: one channel fixed at
    /// both ends, each told of the other (common practice).
    /// </summary>
    public static IEnumerable<Design> Wds(Evidence e, Box box, string? place, HomeName? name) =>
        from own in box.Profile.Radios
        where box.Profile.Modes.Contains(ModeKind.Router) && own.FourAddress == Known.Yes
        from air in Air.Of(e.Design)
        where !air.Guest && !air.Further && air.Radio.Band == own.Band && air.Radio.FourAddress == Known.Yes
        let made = PointMoves.Free(e, air.Box) is { } free ? Paired(e.Design, box, own, air, place, free, name) : null
        where made is not null
        select made;

    private static Design? Paired(Design design, Box box, BoxRadio own, Air air, string? place, InterfaceAddress free, HomeName? name)
    {
        var channel = air.Setting.Channel ?? air.Radio.ChannelWith(own);
        var link = new Uplink(own.Id, air.Box, air.Setting.Name, air.Setting.Security, air.Setting.Password, UplinkFrames.Wds)
        {
            Channel = channel,
            WidthMhz = air.Setting.WidthMhz,
        };
        var fixedTo = Partial<RadioSetting>.With(r => r.Channel, channel);
        return PointMoves
            .ServingNone(new(design), box, place, free)
            .Do(
                new SetRadio(
                    air.Box,
                    air.Setting.Radio,
                    fixedTo.And(r => r.WdsPeers, [.. air.Setting.WdsPeers.Where(p => p != box.Id), box.Id])
                )
            )
            .Do(new SetUplink(box.Id, Partial<Uplink>.All(link)))
            .Name(box.Id, name)
            .Do(new SetRadio(box.Id, own.Id, fixedTo))
            .Made;
    }

    /// <summary>
    /// The link to the name that is heard best in a place, the faster band first where it is strong enough for a repeater; null where
    /// nothing is sent on a band that the box knows.
    /// </summary>
    private static Uplink? Best(Design design, Box box, string? place)
    {
        var (signals, at) = (new Signals(design), design.Site.Place(place));
        var heard = Air.Of(design)
            .Where(a => !a.Guest && !a.Further)
            .Select(a =>
                (Air: a, Level: at is null ? null : signals.Of(a, at), Own: box.Profile.Radios.FirstOrDefault(r => r.Band == a.Radio.Band))
            )
            .Where(h => h.Own is not null)
            .OrderByDescending(h => h.Level is null || h.Level.Dbm >= WantedDbm ? h.Air.Radio.Band : 0)
            .ThenByDescending(h => h.Level?.Dbm)
            .ThenBy(h => h.Air.Box, StringComparer.Ordinal)
            .FirstOrDefault();
        return heard is { Own: { } own, Air: var air }
            ? new(own.Id, air.Box, air.Setting.Name, air.Setting.Security, air.Setting.Password, UplinkFrames.ThreeAddress)
            : null;
    }

    /// <summary>How strongly a link should be received, in dBm (common practice).</summary>
    private const double WantedDbm = -65;
}
