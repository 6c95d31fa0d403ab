using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A repeater, bridge or satellite that does not get into the box that it should join.</summary>
public static class UplinkNotJoined
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            CauseCodes.UplinkNotJoined,
            "radio link not joined",
            "A box that should join another by radio does not get in, or whether it does is not known.",
            "Name, password, security, band and channel must fit; for WDS both channels are fixed and each box knows the other. Otherwise it just keeps blinking.",
            "IEEE 802.11 (from memory); common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        [
            .. e.Network.Unjoined.Select(u =>
                e.BreaksLike(
                    e.Finding(
                        Rule,
                        [u.Box],
                        Why(e, u),
                        "Its light keeps blinking, and no device behind it has a network.",
                        Cure(e, u),
                        u.Why == RefusalReason.NotOfKit
                            ? ["Only boxes of one kit join each other; let it be a repeater, or cable it as an access point."]
                            : ["Set it up about 2 m from the box that it joins, and carry it away once its light stands still."]
                    ),
                    [.. Island(e, u.Box)]
                ) with
                {
                    Idle = $"{e.Name(u.Box)} serves nothing",
                }
            ),
            .. e
                .Network.RadioLinks.Where(l => l.KeyOpen)
                .Select(l =>
                    e.Finding(
                        Rule,
                        [l.Box],
                        $"The password by which {e.Name(l.Box)} joins {e.Name(l.To)} is not recorded",
                        "Whether it gets in is not known; if it does not, no device behind it has a network.",
                        [],
                        ["Note the Wi-Fi password of both; it stands on the label, or on the page under Wi-Fi."]
                    )
                ),
            .. e
                .Network.RadioLinks.Where(l =>
                    !l.KeyOpen && l.Frames == UplinkFrames.FourAddress && e.Seen.Tracer.World.Radio.Untold(l) is not null
                )
                .Select(l =>
                    e.Finding(
                        Rule,
                        [l.Box],
                        $"Whether {e.Name(l.To)} takes four addresses from {e.Name(l.Box)} was not found out",
                        "If it does not, nothing behind it gets through, although the link itself stands.",
                        [],
                        [
                            "Look into the settings of both boxes for WDS or four addresses, or try a ping across before anything is carried upstairs.",
                        ]
                    )
                ),
            .. e
                .Network.RadioLinks.Where(l => e.Seen.Tracer.World.Radio.Wanders(l) is not null)
                .Select(l =>
                    e.Finding(
                        Rule,
                        [l.Box],
                        $"{e.Name(l.To)} chooses its channel by itself, and {e.Name(l.Box)} may not use all of them",
                        "It works until the other box moves to a channel that this one was not made for, such as after a night or a power cut.",
                        Settle(e, l)
                    )
                ),
        ];

    /// <summary>What goes wrong on the island that the box and the hosts behind it are on.</summary>
    private static IEnumerable<Cause> Island(Evidence e, string box) =>
        e
            .Network.Segments.Where(s =>
                s.Boxes.Contains(box)
                && !s.HasStreet
                && s.Interfaces.All(i => i.Side != Side.Lan || e.Network.Find(i.Owner, Side.Wan) is not { Linked: true })
            )
            .SelectMany(s => e.Sheet.Internet.Where(i => e.Network.Find(i.Device, Side.Device)!.Segment == s.Id))
            .SelectMany(i => i.Answer.Causes);

    private static string Why(Evidence e, LinkRefusal refused)
    {
        var (box, to) = (e.Name(refused.Box), e.Name(refused.To));
        return refused.Why switch
        {
            RefusalReason.NameNotSent => $"{box} looks for \"{refused.Name}\", which {to} does not send",
            RefusalReason.BandMissing => $"{box} looks for \"{refused.Name}\" on a band where {to} does not send it",
            RefusalReason.SecurityDiffers => $"{box} and {to} know no common protection for \"{refused.Name}\"",
            RefusalReason.FramesUnprotected => $"{to} asks for protected management frames, which {box} does not know",
            RefusalReason.ChannelNotUsable => $"{to} is on a channel that {box} may not use here",
            RefusalReason.PasswordDiffers => $"{box} has another password for \"{refused.Name}\" than {to}",
            RefusalReason.FourAddressesNotTaken => $"{to} takes no frames with four addresses from {box}",
            RefusalReason.ChannelNotFixed => $"{box} and {to} are joined by WDS, and a channel is left to chance",
            RefusalReason.ChannelDiffers => $"{box} and {to} are joined by WDS on different channels or widths",
            RefusalReason.PeerNotKnown => $"{to} was not told the radio address of {box}",
            RefusalReason.NotOfKit => $"{box} and {to} are of no kit together",
            _ => $"{box} is told to join itself",
        };
    }

    private static IEnumerable<Remedy> Cure(Evidence e, LinkRefusal refused)
    {
        if (e.Design.Mode(refused.Box)?.Joins is not { } link || e.Design.Box(refused.Box) is not { } box)
        {
            yield break;
        }
        // The band that the link is on already comes first.
        var own = box.Profile.Radios.FirstOrDefault(r => r.Id == link.Radio)?.Band;
        foreach (var air in Air.Of(e.Design, refused.To).Where(a => !a.Guest).OrderBy(a => a.Radio.Band != own))
        {
            if (box.Profile.Radios.FirstOrDefault(r => r.Band == air.Radio.Band) is not { } radio)
            {
                continue;
            }
            var (mine, changes) = (
                link with
                {
                    Radio = radio.Id,
                    Name = air.Setting.Name,
                    Security = air.Setting.Security,
                    Password = air.Setting.Password,
                },
                new List<Change>()
            );
            var theirs = air.Setting;
            if (link.Frames == UplinkFrames.Wds)
            {
                var channel = theirs.Channel ?? link.Channel ?? air.Radio.ChannelWith(radio);
                mine = mine with { Channel = channel, WidthMhz = theirs.WidthMhz };
                theirs = theirs with
                {
                    Channel = channel,
                    WdsPeers = theirs.WdsPeers.Contains(box.Id) ? theirs.WdsPeers : [.. theirs.WdsPeers, box.Id],
                };
            }
            theirs = refused.Why switch
            {
                RefusalReason.ChannelNotUsable => theirs with { Channel = air.Radio.ChannelWith(radio) },
                RefusalReason.FramesUnprotected => theirs with { ProtectsFrames = FrameProtection.Optional },
                RefusalReason.SecurityDiffers
                    when !air.Further
                        && radio.NewestSecurity is { } newest
                        && newest < WifiSecurity.Wpa3
                        && theirs.Security == WifiSecurity.Wpa3 => theirs with
                {
                    Security = WifiSecurity.Wpa2Wpa3,
                },
                _ => theirs,
            };
            mine = mine with { Security = radio.Nearest(theirs.Security) };
            mine = refused.Why == RefusalReason.FourAddressesNotTaken ? mine with { Frames = UplinkFrames.ThreeAddress } : mine;
            changes.AddRange(theirs == air.Setting ? [] : [SetRadio.Between(refused.To, air.Setting, theirs)]);
            changes.AddRange(mine == link ? [] : [SetUplink.Between(box.Id, link, mine)]);
            if (changes.Count > 0)
            {
                yield return Cures.Hopeful(
                    $"Let {box.Name} and {e.Name(refused.To)} agree on \"{air.Setting.Name}\", {BandWords.Of(air.Radio.Band)}",
                    changes
                );
            }
        }
    }

    /// <summary>The channel of the other box fixed to one that both may use.</summary>
    private static IEnumerable<Remedy> Settle(Evidence e, RadioLink link) =>
        from own in e.Design.Box(link.Box)!.Profile.Radios.Where(r => r.Id == e.Design.Mode(link.Box)!.Joins!.Radio)
        from air in Air.Of(e.Design, link.To)
        where !air.Guest && air.Radio.Band == own.Band && air.Radio.Channels.Intersect(own.Channels).Any()
        let channel = air.Radio.ChannelWith(own)
        select Cures.Hopeful(
            $"Fix {BandWords.Of(air.Radio.Band)} of {e.Name(link.To)} to channel {channel}",
            new SetRadio(link.To, air.Setting.Radio, Partial<RadioSetting>.With(r => r.Channel, channel))
        );
}
