using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>What stands between the two ends of a speed run.</summary>
/// <param name="Limit">What carries least; null where nothing there says a rate.</param>
public sealed record SpeedPath(SpeedLimit? Limit)
{
    /// <summary>The links of the home that the run goes over, the internet line left out.</summary>
    public IReadOnlyList<string> Links { get; init; } = [];

    /// <summary>Why nothing gets from one end to the other by what is noted; null where it does.</summary>
    public string? Stopped { get; init; }

    /// <summary>The box to one name of which both ends are joined by radio; null where that is not so.</summary>
    public string? SharedRadio { get; init; }

    /// <summary>
    /// Between where a reading was taken and the other end of a run; null where either is not known, and where the run was made by
    /// another medium than the seat has.
    /// </summary>
    internal static SpeedPath? Of(SeatView? at, SpeedRun run)
    {
        if (at is null || at.Sides.Count == 0)
        {
            return null;
        }
        var (design, byCable) = (at.Design, run.By == RunBy.Cable);
        // A laptop that is in a port and in a Wi-Fi ran it over the one of both that is named.
        var laptop =
            !at.IsLaptop ? null
            : byCable ? at.Seen.Network.Situation.Laptop! with { Wifi = null }
            : at.Seen.Network.Situation.Laptop! with { Cable = null };
        var side = laptop is null ? at.Sides[0] : at.Sides.FirstOrDefault(s => s.Owner == laptop.InUse());
        if (side is null || (laptop is null && design.SetUp.Cables.Any(c => c.Ends(at.Owner)) != byCable))
        {
            return null;
        }
        var map = new LinkMap(at.Seen.Network);
        IReadOnlyList<string> along;
        string? stopped = null;
        if (run.To.Length == 0)
        {
            along = map.Along(side, at.Seen.Tracer.ToInternet(side));
        }
        else if (run.To != at.Owner && Seats.HostOf(at.Seen.Network, run.To) is { } host)
        {
            var way = at.Seen.Tracer.To(side, host);
            stopped = way.Answer.Kind == AnswerKind.No ? string.Join(' ', way.Answer.Causes.Select(c => c.Text)) : null;
            along = map.Along(side, way, host);
        }
        else
        {
            return null;
        }
        var end = run.To.Length == 0 ? PortRef.Street : run.To;
        return new(SpeedLimit.Of(at.Seen.Rates.Along(side.Owner, end, along, run.By.Band(), at.Design.Site.Place(run.Place))))
        {
            Links = [.. along.Where(l => !design.SetUp.Cables.Any(c => c.Id == l && c.Ends(PortRef.Street)))],
            Stopped = stopped,
            SharedRadio =
                Joined(at, laptop) is { } own && WifiOf(design, run.To) is { } other && (own.Box, own.Name) == (other.Box, other.Name)
                    ? design.NameOf(own.Box)
                    : null,
        };
    }

    private static WifiJoin? Joined(SeatView at, Laptop? laptop) => laptop is null ? WifiOf(at.Design, at.Owner) : laptop.Wifi?.Join;

    private static WifiJoin? WifiOf(Design design, string device) => design.SetUp.Devices.FirstOrDefault(d => d.Device == device)?.Wifi;
}
