using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Whether what the customer asked for comes true, where it is about the home rather than one connection.</summary>
internal static class HomeNeeds
{
    /// <summary>Radio links and mains wiring on a way to the internet, and the service itself.</summary>
    public static Answer LittleDelay(Network network, LinkMap links, Interface device, Route way)
    {
        var passed = links.Along(device, way).Select(id => network.Links.First(l => l.Id == id)).ToList();
        var slow = new List<Cause>();
        if (passed.Count(l => l.Cable is null) is var radios and > 1)
        {
            slow.Add(
                NotQuick(
                    $"{network.NameOf(device.Owner)} goes over {radios} radio links, each of which adds waits that come and go.",
                    device.Owner
                )
            );
        }
        foreach (var mains in passed.Where(l => l.Cable is { Medium: Medium.Powerline }))
        {
            slow.Add(
                NotQuick(
                    $"{network.NameOf(device.Owner)} goes over mains wiring, which adds waits that come and go.",
                    device.Owner,
                    mains.Id
                )
            );
        }
        if (network.Design.Site.Service.Access == AccessKind.Satellite)
        {
            slow.Add(NotQuick("Every packet goes up to a satellite and back.", device.Owner, PortRef.Street));
        }
        return slow.Count > 0 ? way.Answer.And(Answer.No([.. slow])) : way.Answer;
    }

    /// <summary>Whether the best of what serves a place is strong enough for calls.</summary>
    public static Answer Calls(PathRates rates, Design design, CallsInPlace need)
    {
        var place = design.Site.Place(need.Place);
        var heard = rates.Serving.Select(a => (Air: a, Level: place is null ? null : rates.Signals.Of(a, place))).ToList();
        if (heard.Count == 0)
        {
            return Answer.No(Cause.Of(CauseCodes.TooWeak, $"No box that is connected sends Wi-Fi: {Wanted}.", need.Place));
        }
        var strongest = heard.Where(h => h.Level is not null).OrderByDescending(h => h.Level!.Dbm - h.Level.SpreadDb).FirstOrDefault();
        if (strongest is not { Level: { } best, Air: var air })
        {
            return Open($"How strongly a box is heard in {design.NameOf(need.Place)} is not known: {Wanted}.");
        }
        var name = $"{design.NameOf(air.Box)} at {BandWords.Of(air.Radio.Band)}";
        return best.Reaches(SignalLevel.ForCallsDbm) switch
        {
            // How far apart rooms usually are says nothing of these two.
            Known.Yes when best.Basis > LevelBasis.Distance => Answer.Yes,
            // A box of which the place was not noted may stand in that very room.
            Known.No when best.Basis > LevelBasis.Distance && heard.TrueForAll(h => h.Level is not null) => Answer.No(
                Cause.Of(
                    CauseCodes.TooWeak,
                    $"{name} is heard in {design.NameOf(need.Place)} at {LevelWords.Of(best)}, and {Wanted}.",
                    need.Place
                )
            ),
            _ => Open(
                $"{name} is heard in {design.NameOf(need.Place)} at {LevelWords.Of(best)}: {best.ChanceOf(SignalLevel.ForCallsDbm):P0} likely to do, "
                    + $"since {Wanted}. Measure there."
            ),
        };

        Answer Open(string says) => Answer.NotKnown(Cause.Of(CauseCodes.NotMeasured, says, need.Place));
    }

    private static readonly string Wanted = $"{SignalLevel.ForCallsDbm:0} dBm or better is wanted for calls";

    public static Answer Guests(Network network)
    {
        var names = new List<Answer>();
        foreach (
            var (box, mode) in network
                .Design.SetUp.Boxes.Select(b => (b.Box, b.Mode))
                .Where(b => Air.Of(network.Design, b.Box).Any(a => a.Guest))
        )
        {
            if (mode is RouterMode)
            {
                var outer = network.Find(box, Side.Wan) is { Linked: true } wan ? network.Segment(wan.Segment) : null;
                names.Add(
                    outer is { HasStreet: false } && outer.Interfaces.Any(i => i.Side == Side.Device && i.GuestOf is null)
                        ? Answer.No(
                            Cause.Of(
                                CauseCodes.GuestsInCascade,
                                $"Guests of {network.NameOf(box)} open connections to everything before it.",
                                box
                            )
                        )
                        : Answer.Yes
                );
            }
            else if (mode is AccessPointMode { Guest: { } guest })
            {
                var apart = guest.Vlan is not null ? Known.Yes : network.Design.Box(box)!.Profile.Habits.GuestsApart;
                var open = Cause.Of(
                    CauseCodes.GuestsNotIsolated,
                    $"The guest name of {network.NameOf(box)} {(apart == Known.No ? "opens" : "may open")} into the home.",
                    box
                );
                names.Add(
                    apart switch
                    {
                        Known.Yes => Answer.Yes,
                        Known.No => Answer.No(open),
                        _ => Answer.NotKnown(open),
                    }
                );
            }
        }
        return names.Count > 0 ? Answer.All([.. names]) : Answer.No(Cause.Of(CauseCodes.NoGuestName, "No box sends a name for guests."));
    }

    public static Answer Name(Design design, KeepsNameAndPassword need)
    {
        var sent = Air.Of(design).Where(a => !a.Guest && a.Setting.Name == need.Name).ToList();
        return sent.Count == 0
            ? Answer.No(Cause.Of(CauseCodes.NameNotKept, $"No radio sends \"{need.Name}\"."))
            : Answer.All([.. sent.Select(s => Same(design, need, s.Box, s.Setting))]);
    }

    /// <summary>What lives in a gateway lives while that routes; in other modes by the habit of its kind.</summary>
    public static Answer Lives(Design design, ServiceLives need)
    {
        var what = LineServiceWords.Of(need.Service);
        var holders = design.Site.Boxes.Where(b => b.Holds.Contains(need.Service)).ToList();
        return holders.Count == 0
            ? Answer.NotKnown(Cause.Of(CauseCodes.ServiceInGateway, $"Which box the {what} depends on was not noted."))
            : Answer.All([.. holders.Select(Box)]);

        Answer Box(Box box) =>
            (design.Mode(box.Id), box.Profile.Habits.KeepsServices) switch
            {
                (null, _) => Answer.No(Dies(box, "is not in use")),
                (RouterMode { Passing: null }, _) or (not null, Known.Yes) => Answer.Yes,
                (var mode, Known.No) => Answer.No(Dies(box, mode is BridgeMode ? "is in bridge mode" : "is in IP pass-through")),
                var (mode, _) => Answer.NotKnown(Dies(box, mode is BridgeMode ? "is in bridge mode" : "is in IP pass-through")),
            };

        Cause Dies(Box box, string why) => Cause.Of(CauseCodes.ServiceInGateway, $"The {what} lives in {box.Name}, which {why}.", box.Id);
    }

    private static Answer Same(Design design, KeepsNameAndPassword need, string box, RadioSetting radio)
    {
        if (!Association.InCommon(need.Security, radio.Security))
        {
            return Answer.No(Differs("with another protection"));
        }
        return radio.Password == need.Password ? Answer.Yes
            : radio.Password is null || need.Password is null ? Answer.NotKnown(Differs("with a password that is not recorded"))
            : Answer.No(Differs("with another password"));

        Cause Differs(string how) => Cause.Of(CauseCodes.NameNotKept, $"{design.NameOf(box)} sends \"{need.Name}\" {how}.", box);
    }

    private static Cause NotQuick(string text, params IEnumerable<string> subjects) => Cause.Of(CauseCodes.NotQuick, text, subjects);
}
