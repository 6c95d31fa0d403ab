using Altrin.Core.Addressing;

namespace Altrin.Core.Readings;

/// <summary>What readers put down while they go through a text.</summary>
internal sealed class Found
{
    private readonly List<ReadBlock> _blocks = [];
    private readonly List<UnreadLine> _unread = [];
    private int _unreadCount;

    public List<AdapterRead> Adapters { get; } = [];
    public List<RouteRead> Routes { get; } = [];
    public List<NeighbourRead> Neighbours { get; } = [];
    public List<Ipv4Address> DnsServers { get; } = [];
    public List<PingRead> Pings { get; } = [];
    public List<TraceRead> Traces { get; } = [];
    public List<CableLinkRead> CableLinks { get; } = [];
    public List<NetworkRead> Networks { get; } = [];
    public List<OfferRead> Offers { get; } = [];
    public List<OutsideRead> Outside { get; } = [];
    public List<SpeedRun> Runs { get; } = [];

    /// <summary>Notes that lines were read; lines that follow each other as one kind are one stretch.</summary>
    public void Block(ReadingKind kind, PrintedText sheet, int at, int count)
    {
        var (first, last) = (sheet[at].Number, sheet[at].Number + count - 1);
        if (_blocks is [.., var before] && before.Kind == kind && before.Last + 1 >= first)
        {
            _blocks[^1] = before with { Last = last };
        }
        else
        {
            _blocks.Add(new(kind, first, last));
        }
    }

    /// <summary>Notes a line that was not read.</summary>
    public void Miss(TextLine line, string why)
    {
        _unreadCount++;
        if (_unread.Count < Reading.MostUnread)
        {
            _unread.Add(new(line.Number, line.Trimmed.Length > 200 ? $"{line.Trimmed[..199]}…" : line.Trimmed, why));
        }
    }

    public Reading Done(int lines) =>
        new(lines, _blocks, _unread, _unreadCount)
        {
            Adapters = Adapters,
            Routes = Routes,
            Neighbours = Neighbours,
            DnsServers = [.. DnsServers.Distinct()],
            Pings = Pings,
            Traces = Traces,
            CableLinks = CableLinks,
            Networks = Networks,
            Offers = Offers,
            Outside = Outside,
            Runs = Runs,
        };
}
