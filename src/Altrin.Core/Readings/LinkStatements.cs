using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Readings;

/// <summary>What links say: the rate of a cable, the Wi-Fi in use, and what is on the air.</summary>
internal static class LinkStatements
{
    /// <summary>Weaker than this, a device looks for another box (common practice), in dBm.</summary>
    public const double WeakDbm = -70;

    /// <summary>Strong enough for calls and video (common practice), in dBm.</summary>
    public const double CallsDbm = -67;

    /// <summary>How many links, and how many networks on the air, of one reading are spoken of.</summary>
    public const int MostLinks = 20, MostNetworks = 1000;

    public static IEnumerable<Statement> Of(Design design, string? seat, Standpoint? at, Reading reading) =>
    [
        .. reading.CableLinks.Concat(reading.Adapters.Where(a => a.RateMbps is not null).Select(a => new CableLinkRead(a.Line, a.Name, a.Linked, a.RateMbps))).DistinctBy(c => c.Adapter).Take(MostLinks).Select(c => Cable(design, seat, at, c)),
        .. reading.Networks.Where(n => n.Joined).DistinctBy(n => (n.Name, n.Radio)).Take(MostLinks).Select(n => Joined(design, seat, n)),
        .. OnAir(design, reading),
    ];

    private static Statement Cable(Design design, string? seat, Standpoint? at, CableLinkRead read)
    {
        var id = $"cable:{read.Adapter}";
        if (read.Linked == Known.No || read.RateMbps is not { } rate)
        {
            return new(id, read.Line, $"{read.Adapter} has no link.", at is null ? Agreement.Unknown : at.Sides.Count > 0 ? Agreement.Disagrees : Agreement.Agrees)
            {
                Recorded = at is { Sides.Count: > 0 } ? "Recorded: something is connected there. Look at both ends, then try another lead." : null,
            };
        }
        var found = $"{read.Adapter} agreed on {rate} Mb/s{(read.BothWays == Known.No ? ", one way at a time" : "")}.";
        var (expected, cable) = Expected(design, seat, at);
        if (expected is not { } most)
        {
            return new(id, read.Line, found, Agreement.Unknown) { Recorded = at is null ? "Say where it was taken to have it compared." : "How fast that port is was not read.", Explanations = Less(read, rate) };
        }
        var own = read.OwnMostMbps is { } cap && cap < most ? cap : most;
        if (rate >= own)
        {
            return new(id, read.Line, found, Agreement.Agrees) { Recorded = own < most ? $"The port can {most} Mb/s, this machine {own}." : $"Recorded: {most} Mb/s." };
        }
        // A lead with two pairs carries 100 Mb/s at most (common practice): what both ends can do, the lead does not.
        var lead = rate == 100 && (read.OtherMostMbps ?? own) > 100 && cable is { Pairs: null or 4 } && cable.Medium is not (Medium.Fibre or Medium.Powerline or Medium.Coax) ? new SetCable(cable.Id, cable.Medium, cable.LengthMetres) { Pairs = 2, Run = cable.Run } : null;
        return new(id, read.Line, found, Agreement.Disagrees)
        {
            Recorded = $"Recorded: {own} Mb/s.",
            Explanations = Less(read, rate),
            Offer = lead is null ? null : $"The lead from {PortWords.Of(design, cable!.A)} to {PortWords.Of(design, cable.B)} carries as if it had two pairs",
            Changes = lead is null ? [] : [lead],
        };
    }

    private static IReadOnlyList<Explanation> Less(CableLinkRead read, int rate) =>
        read.OtherMostMbps is { } other && other <= rate && (read.OwnMostMbps ?? int.MaxValue) > rate ? [new($"The other end can {other} Mb/s and no more.", [])]
        : rate <= 100 && (read.OwnMostMbps > rate || read.OtherMostMbps > rate || read.OwnMostMbps is null) ? [new("A lead with two pairs, a damaged pair, or a port of 100 Mb/s at the other end. Try another lead first.", [])]
        : [];

    /// <summary>What the port or link at a seat carries at most, and its cable.</summary>
    private static (int? Mbps, Cable? Cable) Expected(Design design, string? seat, Standpoint? at)
    {
        if (seat is null)
        {
            return (null, null);
        }
        var end = PortRef.Read(seat);
        if (design.Box(end.Owner)?.Profile.Port(end.Port) is { } port)
        {
            return (port.SpeedMbps, null);
        }
        var cable = design.SetUp.Cables.FirstOrDefault(c => c.Ends(seat));
        return (cable is null ? null : at?.Seen.Sheet.Links.FirstOrDefault(l => l.Id == cable.Id)?.AtMostMbps, cable);
    }

    private static Statement Joined(Design design, string? seat, NetworkRead read)
    {
        var level = read.Level is { } l ? $", {Words(l)}" : "";
        var found = $"It is in \"{read.Name}\"{(read.Radio is { } radio ? $" of {Sender(design, read)?.Name ?? $"{radio}"}" : "")}{(read.Channel is { } channel ? $", channel {channel}" : "")}{level}.";
        var end = seat is null ? default : PortRef.Read(seat);
        var airs = seat is null ? [] : Air.Of(design, end.Owner).Where(a => (a.Guest ? "guest" : a.Radio.Id) == end.Port).ToList();
        var device = design.SetUp.Devices.FirstOrDefault(d => d.Device == seat)?.Wifi;
        var weak = read.Level is { } at && at.Dbm < WeakDbm ? $" Weaker than {WeakDbm} dBm it looks for another box." : read.Level is { } some && some.Dbm < CallsDbm ? $" Under {CallsDbm} dBm calls and video suffer." : "";
        var (name, box) = airs.Count > 0 ? (airs[0].Setting.Name, airs[0].Box) : (device?.Name, device?.Box);
        if (name is null && design.Box(end.Owner)?.Profile.Port(end.Port) is not null)
        {
            return new($"wifi:{read.Name}", read.Line, found, Agreement.Disagrees)
            {
                Recorded = $"It was to stand at a cable, in {PortWords.Of(design, end)}.{weak}",
                Explanations = [new("It is still in a Wi-Fi: what it says of addresses may be said of that one. Switch its Wi-Fi off while a box is set up by cable.", [])],
            };
        }
        if (name is null)
        {
            return new($"wifi:{read.Name}", read.Line, found, Agreement.Unknown) { Recorded = seat is null ? $"Say where it was taken to have it compared.{weak}" : $"No Wi-Fi is recorded there.{weak}" };
        }
        var other = Sender(design, read) is { } sender && sender.Id != box ? sender : null;
        return new($"wifi:{read.Name}", read.Line, found, name == read.Name && other is null ? Agreement.Agrees : Agreement.Disagrees)
        {
            Recorded = $"Recorded: \"{name}\" of {design.NameOf(box!)}.{weak}",
            Explanations = name != read.Name ? [new("The machine joined another network than meant: what it says of addresses is said of that one.", [])]
                : other is not null ? [new($"It hangs on {other.Name} instead: machines choose by themselves among boxes of one name.", [])] : [],
        };
    }

    private static string Words(Level level) => $"{level.Dbm:0.#} dBm{(level.EitherDb > 0 ? $" (from a percentage, {level.EitherDb} dB either way)" : "")}";

    /// <summary>The box that sends a network, by the hardware address of its radio; null where none is known to.</summary>
    private static Box? Sender(Design design, NetworkRead read) => read.Radio is not { } radio ? null
        : design.Site.Boxes.Select(b => (Box: b, Kin: HardwareKin.Of(b, radio))).Where(b => b.Kin is not null).OrderBy(b => b.Kin!.Rank).ThenBy(b => b.Box.Id, StringComparer.Ordinal).Select(b => b.Box).FirstOrDefault();

    private static IEnumerable<Statement> OnAir(Design design, Reading reading)
    {
        var scan = reading.Networks.Take(MostNetworks).Where(n => reading.Blocks.Any(b => b.Kind == ReadingKind.WifiScan && b.First <= n.Line && n.Line <= b.Last)).ToList();
        if (scan.Count == 0)
        {
            yield break;
        }
        var ours = new HashSet<NetworkRead>();
        var senders = scan.Distinct().ToDictionary(n => n, n => Sender(design, n));
        foreach (var air in design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal).SelectMany(b => Air.Of(design, b.Box)))
        {
            var seen = scan.Where(n => n.Name == air.Setting.Name && (n.Band is null || n.Band == air.Radio.Band) && (senders[n] is not { } sender || sender.Id == air.Box)).OrderByDescending(n => n.Level?.Dbm ?? -200).FirstOrDefault();
            // Names count capitals: one that differs by them alone is the same one, written otherwise in the survey.
            seen ??= scan.FirstOrDefault(n => n.Name.Trim().Equals(air.Setting.Name.Trim(), StringComparison.OrdinalIgnoreCase) && n.Band == air.Radio.Band && senders[n]?.Id == air.Box);
            ours.UnionWith(scan.Where(n => n.Name == air.Setting.Name || n == seen));
            yield return One(design, air, seen);
        }
        foreach (var (network, box) in scan.Where(n => !ours.Contains(n)).Select(n => (n, senders[n])).Where(n => n.Item2 is not null))
        {
            ours.Add(network);
            yield return new($"left-on:{network.Radio}", network.Line, $"{box!.Name} also sends \"{network.Name}\"{(network.Channel is { } c ? $" on channel {c}" : "")}{(network.Security == WifiSecurity.Open ? ", open to everybody" : "")}.", Agreement.Disagrees)
            {
                Recorded = "No such name is recorded of it.",
                Explanations = [new(design.Mode(box.Id) is null ? "It is on, although it is recorded as lying on the shelf." : "A factory or guest name was left on, or its radios are not as recorded.", [])],
            };
        }
        if (scan.Where(n => !ours.Contains(n)).ToList() is { Count: > 0 } others)
        {
            var channels = others.Where(n => n.Channel is not null).GroupBy(n => (n.Band, n.Channel)).OrderBy(g => g.Key).Select(g => $"{(g.Key.Band is { } band ? $"{BandWords.Of(band)} " : "")}channel {g.Key.Channel}: {g.Count()}{(g.Any(n => n.Level is not null) ? $", strongest {g.Max(n => n.Level?.Dbm ?? -200):0.#} dBm" : "")}");
            yield return new("air:others", 0, $"{others.Count} {(others.Count == 1 ? "network" : "networks")} of neighbours. {string.Join("; ", channels)}.", Agreement.Unknown) { Recorded = "Kept with the reading, for the choice of channels." };
        }
    }

    private static Statement One(Design design, Air air, NetworkRead? seen)
    {
        var id = $"air:{air.Box}/{(air.Guest ? "guest-" : "")}{air.Radio.Id}";
        var what = $"\"{air.Setting.Name}\" of {design.NameOf(air.Box)}, {BandWords.Of(air.Radio.Band)}";
        if (seen is null)
        {
            return new(id, 0, $"{what}: not heard.", Agreement.Unknown) { Recorded = air.Setting.Hidden ? "It hides its name." : "Too far from here, off, or named otherwise." };
        }
        var said = $"{what}: {(seen.Channel is { } channel ? $"channel {channel}" : "heard")}{(seen.Level is { } level ? $", {Words(level)}" : "")}.";
        var (offChannel, offSecurity) = (air.Setting.Channel is { } set && seen.Channel is { } now && set != now, seen.Security is { } security && security != air.Setting.Security);
        var offName = seen.Name != air.Setting.Name;
        if (!offChannel && !offSecurity && !offName)
        {
            return new(id, seen.Line, said, air.Setting.Channel is null && seen.Channel is not null ? Agreement.Unknown : Agreement.Agrees) { Recorded = air.Setting.Channel is null ? "Recorded: the box chooses its channel." : $"Recorded: channel {air.Setting.Channel}." };
        }
        // What guests get is set elsewhere, and what a main node sends is set there.
        var setting = air.Setting with { Name = seen.Name, Channel = offChannel ? seen.Channel : air.Setting.Channel, Security = offSecurity ? seen.Security!.Value : air.Setting.Security };
        var change = air.Guest ? null : new SetRadio(air.Box, setting);
        var offered = change?.ApplyTo(design).Ok == true ? change : null;
        return new(id, seen.Line, said, Agreement.Disagrees)
        {
            Recorded = $"Recorded: {string.Join(", ", new[] { offName ? $"\"{air.Setting.Name}\", heard \"{seen.Name}\": capitals and blanks count" : null, offChannel ? $"channel {air.Setting.Channel}" : null, offSecurity ? $"{SecurityWord(air.Setting.Security)}, heard {SecurityWord(seen.Security!.Value)}" : null }.OfType<string>())}.",
            Offer = offered is null ? null : $"{design.NameOf(air.Box)} sends \"{setting.Name}\"{(offChannel ? $" on channel {seen.Channel}" : "")}{(offSecurity ? $" with {SecurityWord(setting.Security)}" : "")}",
            Changes = offered is null ? [] : [offered],
        };
    }

    private static string SecurityWord(WifiSecurity security) => security switch
    {
        WifiSecurity.Open => "no protection",
        WifiSecurity.Wep => "WEP",
        WifiSecurity.WpaTkip => "WPA or TKIP",
        WifiSecurity.Wpa2 => "WPA2",
        WifiSecurity.Wpa2Wpa3 => "WPA2 and WPA3",
        _ => "WPA3",
    };
}
