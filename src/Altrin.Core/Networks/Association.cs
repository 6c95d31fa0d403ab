using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What keeps a device out of a Wi-Fi, in the order in which it is looked at.</summary>
public enum RefusalReason
{
    /// <summary>The box sends no such name.</summary>
    NameNotSent,

    /// <summary>The name is sent on no band that it knows, or none that its radio for the link is on.</summary>
    BandMissing,

    /// <summary>No protection is known to both.</summary>
    SecurityDiffers,

    /// <summary>Protected management frames are asked for, and it does not know them.</summary>
    FramesUnprotected,

    /// <summary>The channel is one that its radio may not use.</summary>
    ChannelNotUsable,

    /// <summary>The name is there with another key.</summary>
    PasswordDiffers,

    /// <summary>The key of one of both is not recorded.</summary>
    PasswordNotKnown,

    /// <summary>The box takes no frames with four addresses.</summary>
    FourAddressesNotTaken,

    /// <summary>WDS: one of both chooses its channel by itself.</summary>
    ChannelNotFixed,

    /// <summary>WDS: the channels, or their widths, differ.</summary>
    ChannelDiffers,

    /// <summary>WDS: the other box was not told its radio address.</summary>
    PeerNotKnown,

    /// <summary>It belongs to another mesh kit, or the node that it should join does.</summary>
    NotOfKit,

    /// <summary>It is told to join itself.</summary>
    Itself,
}

/// <summary>Who gets into which Wi-Fi (IEEE 802.11, from memory).</summary>
internal static class Association
{
    /// <summary>What keeps a device, or the laptop, out of what a box sends; null where it gets in.</summary>
    public static RefusalReason? OfDevice(IReadOnlyList<Air> sent, WifiJoin wifi, Device? device)
    {
        var (bands, newest) = (device?.Bands ?? [], device?.NewestSecurity);
        return Nearest(sent.Where(a => a.Setting.Name == wifi.Name), air => bands.Count > 0 && !bands.Contains(air.Radio.Band)
                ? RefusalReason.BandMissing
            : newest is { } known && !Protocols(air.Setting.Security).Any(p => UpTo(known).Contains(p)) ? RefusalReason.SecurityDiffers
            : newest is { } old && Unprotected(air.Setting, old) ? RefusalReason.FramesUnprotected
            : Key(air.Setting, wifi.Password));
    }

    /// <summary>What keeps a box from joining another by radio; null where it does.</summary>
    public static RefusalReason? OfBox(Box box, Uplink link, IReadOnlyList<Air> sent)
    {
        if (link.Box == box.Id)
        {
            return RefusalReason.Itself;
        }
        if (box.Profile.Radios.FirstOrDefault(r => r.Id == link.Radio) is not { } radio)
        {
            return RefusalReason.BandMissing;
        }
        return Nearest(sent.Where(a => a.Setting.Name == link.Name), air => air.Radio.Band != radio.Band ? RefusalReason.BandMissing
            : !Protocols(air.Setting.Security)
                .Any(p => Protocols(link.Security).Contains(p) && (radio.NewestSecurity is not { } known || UpTo(known).Contains(p)))
                ? RefusalReason.SecurityDiffers
            : radio.NewestSecurity is { } old && Unprotected(air.Setting, old) ? RefusalReason.FramesUnprotected
            : radio.Channels.Count > 0 && air.Setting.Channel is { } channel && !radio.Channels.Contains(channel)
                ? RefusalReason.ChannelNotUsable
            : Key(air.Setting, link.Password) switch
            {
                // What stands in the way for certain is said before what is not recorded.
                RefusalReason.PasswordNotKnown => Frames(box, link, air) ?? RefusalReason.PasswordNotKnown,
                null => Frames(box, link, air),
                var key => key,
            });
    }

    /// <summary>Whether two radios have a protection in common, so that a device that learned one gets into the other.</summary>
    public static bool InCommon(WifiSecurity a, WifiSecurity b) => Protocols(a).Any(p => Protocols(b).Contains(p));

    private static RefusalReason? Frames(Box box, Uplink link, Air air) =>
        link.Frames switch
        {
            UplinkFrames.FourAddress when air.Radio.FourAddress == Known.No => RefusalReason.FourAddressesNotTaken,
            UplinkFrames.Wds when air.Setting.Channel is null || link.Channel is null => RefusalReason.ChannelNotFixed,
            UplinkFrames.Wds
                when air.Setting.Channel != link.Channel
                    || (air.Setting.WidthMhz is { } there && link.WidthMhz is { } here && there != here) => RefusalReason.ChannelDiffers,
            UplinkFrames.Wds when !air.Setting.WdsPeers.Contains(box.Id) => RefusalReason.PeerNotKnown,
            _ => null,
        };

    /// <summary>
    /// Of several radios one that lets it in suffices, then one that may, whose password is not recorded; else the reason of the one that
    /// came nearest.
    /// </summary>
    private static RefusalReason? Nearest(IEnumerable<Air> candidates, Func<Air, RefusalReason?> refused)
    {
        var nearest = RefusalReason.NameNotSent;
        foreach (var air in candidates)
        {
            if (refused(air) is not { } why)
            {
                return null;
            }
            nearest = nearest != RefusalReason.PasswordNotKnown && (why == RefusalReason.PasswordNotKnown || why > nearest) ? why : nearest;
        }
        return nearest;
    }

    private static RefusalReason? Key(RadioSetting sent, string? key) =>
        sent.Security == WifiSecurity.Open || (sent.Password is not null && sent.Password == key) ? null
        : key is null || sent.Password is null ? RefusalReason.PasswordNotKnown
        : RefusalReason.PasswordDiffers;

    /// <summary>WPA3 brings protected management frames along; who knows no WPA3 is taken not to know them (common practice).</summary>
    private static bool Unprotected(RadioSetting sent, WifiSecurity newest) =>
        sent.ProtectsFrames == FrameProtection.Required && newest < WifiSecurity.Wpa2Wpa3;

    private enum Protocol
    {
        None,
        Wep,
        Tkip,
        Ccmp,
        Sae,
    }

    private static IReadOnlyList<Protocol> Protocols(WifiSecurity security) =>
        security switch
        {
            WifiSecurity.Open => [Protocol.None],
            WifiSecurity.Wep => [Protocol.Wep],
            WifiSecurity.WpaTkip => [Protocol.Tkip, Protocol.Ccmp],
            WifiSecurity.Wpa2 => [Protocol.Ccmp],
            WifiSecurity.Wpa2Wpa3 => [Protocol.Ccmp, Protocol.Sae],
            WifiSecurity.Wpa3 => [Protocol.Sae],
            _ => throw new ArgumentOutOfRangeException(nameof(security)),
        };

    /// <summary>What knows a protection knows the older ones.</summary>
    private static IEnumerable<Protocol> UpTo(WifiSecurity newest) =>
        Enum.GetValues<WifiSecurity>().Where(s => s <= newest).SelectMany(Protocols);
}
