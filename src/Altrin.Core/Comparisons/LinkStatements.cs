using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>What links say: the rate of a cable, and the Wi-Fi in use.</summary>
internal static class LinkStatements
{
    /// <summary>How many links of one reading are spoken of.</summary>
    public const int MostLinks = 20;

    public static IEnumerable<Statement> Of(Design design, string? seat, SeatView? at, Reading reading) =>
        [
            .. reading
                .CableLinks.Concat(
                    reading.Adapters.Where(a => a.RateMbps is not null).Select(a => new CableLinkRead(a.Line, a.Name, a.Linked, a.RateMbps))
                )
                .DistinctBy(c => c.Adapter)
                .Take(MostLinks)
                .Select(c => Cable(design, seat, at, c)),
            .. reading
                .Networks.Where(n => n.Joined)
                .DistinctBy(n => (n.Name, n.Radio))
                .Take(MostLinks)
                .Select(n => Joined(design, seat, n)),
        ];

    private static Statement Cable(Design design, string? seat, SeatView? at, CableLinkRead read)
    {
        var id = $"cable:{read.Adapter}";
        if (read.Linked == Known.No || read.RateMbps is not { } rate)
        {
            return new(
                id,
                read.Line,
                $"{read.Adapter} has no link.",
                at is null ? Agreement.Unknown
                    : at.Sides.Count > 0 ? Agreement.Disagrees
                    : Agreement.Agrees
            )
            {
                Recorded = at is { Sides.Count: > 0 }
                    ? "Recorded: something is connected there. Look at both ends, then try another lead."
                    : null,
            };
        }
        var found = $"{read.Adapter} agreed on {rate} Mb/s{(read.BothWays == Known.No ? ", one way at a time" : "")}.";
        var (expected, cable) = Expected(design, seat, at);
        if (expected is not { } most)
        {
            return new(id, read.Line, found, Agreement.Unknown)
            {
                Recorded = at is null ? "Say where it was taken to have it compared." : "How fast that port is was not read.",
                Explanations = Less(read, rate),
            };
        }
        var own = read.OwnMostMbps is { } cap && cap < most ? cap : most;
        if (rate >= own)
        {
            return new(id, read.Line, found, Agreement.Agrees)
            {
                Recorded = own < most ? $"The port can {most} Mb/s, this machine {own}." : $"Recorded: {most} Mb/s.",
            };
        }
        // A lead with two pairs carries 100 Mb/s at most (common practice): what both ends can do, the lead does not.
        var lead =
            rate == 100
            && (read.OtherMostMbps ?? own) > 100
            && cable is { Pairs: null or 4 }
            && cable.Medium is not (Medium.Fibre or Medium.Powerline or Medium.Coax)
                ? new SetCable(cable.Id, Partial<CableFacts>.With(c => c.Pairs, 2))
                : null;
        return new(id, read.Line, found, Agreement.Disagrees)
        {
            Recorded = $"Recorded: {own} Mb/s.",
            Explanations = Less(read, rate),
            Offer = lead is null
                ? null
                : $"The lead from {PortWords.Of(design, cable!.A)} to {PortWords.Of(design, cable.B)} carries as if it had two pairs",
            Changes = lead is null ? [] : [lead],
        };
    }

    private static IReadOnlyList<Explanation> Less(CableLinkRead read, int rate) =>
        read.OtherMostMbps is { } other && other <= rate && (read.OwnMostMbps ?? int.MaxValue) > rate
            ? [new($"The other end can {other} Mb/s and no more.", [])]
        : rate <= 100 && (read.OwnMostMbps > rate || read.OtherMostMbps > rate || read.OwnMostMbps is null)
            ? [new("A lead with two pairs, a damaged pair, or a port of 100 Mb/s at the other end. Try another lead first.", [])]
        : [];

    /// <summary>What the port or link at a seat carries at most, and its cable.</summary>
    private static (int? Mbps, Cable? Cable) Expected(Design design, string? seat, SeatView? at)
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
        var found =
            $"It is in \"{read.Name}\"{(read.Radio is { } radio ? $" of {MacKin.Owner(design.Site, read.Radio)?.Box.Name ?? $"{radio}"}" : "")}{(read.Channel is { } channel ? $", channel {channel}" : "")}{level}.";
        var end = PortRef.Read(seat ?? "");
        var airs = seat is null ? [] : Air.Of(design, end.Owner).Where(a => (a.Guest ? "guest" : a.Radio.Id) == end.Port).ToList();
        var device = design.SetUp.Devices.FirstOrDefault(d => d.Device == seat)?.Wifi;
        var weak =
            read.Level is { } at && at.Dbm < SignalLevel.LimitDbm ? $" Weaker than {SignalLevel.LimitDbm} dBm it looks for another box."
            : read.Level is { } some && some.Dbm < SignalLevel.ForCallsDbm ? $" Under {SignalLevel.ForCallsDbm} dBm calls and video suffer."
            : "";
        var (name, box) = airs.Count > 0 ? (airs[0].Setting.Name, airs[0].Box) : (device?.Name, device?.Box);
        if (name is null && design.Box(end.Owner)?.Profile.Port(end.Port) is not null)
        {
            return new($"wifi:{read.Name}", read.Line, found, Agreement.Disagrees)
            {
                Recorded = $"It was to stand at a cable, in {PortWords.Of(design, end)}.{weak}",
                Explanations =
                [
                    new(
                        "It is still in a Wi-Fi: what it says of addresses may be said of that one. Switch its Wi-Fi off while a box is set up by cable.",
                        []
                    ),
                ],
            };
        }
        if (name is null)
        {
            return new($"wifi:{read.Name}", read.Line, found, Agreement.Unknown)
            {
                Recorded = seat is null ? $"Say where it was taken to have it compared.{weak}" : $"No Wi-Fi is recorded there.{weak}",
            };
        }
        var other = MacKin.Owner(design.Site, read.Radio) is var (sender, _) && sender.Id != box ? sender : null;
        return new($"wifi:{read.Name}", read.Line, found, name == read.Name && other is null ? Agreement.Agrees : Agreement.Disagrees)
        {
            Recorded = $"Recorded: \"{name}\" of {design.NameOf(box!)}.{weak}",
            Explanations =
                name != read.Name
                    ? [new("The machine joined another network than meant: what it says of addresses is said of that one.", [])]
                : other is not null ? [new($"It hangs on {other.Name} instead: machines choose by themselves among boxes of one name.", [])]
                : [],
        };
    }

    internal static string Words(Level level) =>
        $"{level.Dbm:0.#} dBm{(level.EitherDb > 0 ? $" (from a percentage, {level.EitherDb} dB either way)" : "")}";
}
