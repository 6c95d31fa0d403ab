using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>One connection, explained.</summary>
/// <param name="From">Who opens it: a device, or <see cref="Provider.Internet"/>.</param>
/// <param name="To">Who is to answer.</param>
/// <param name="Answer">Whether it gets there.</param>
/// <param name="Sentence">How, or why not, with the boxes on the way.</param>
/// <param name="Via">Routers passed, in order.</param>
/// <param name="StoppedBy">What stops it; null where nothing does.</param>
/// <param name="Links">Cables, Wi-Fi and radio links that its packets go over, as far as they get, in order.</param>
public sealed record PathFact(
    string From,
    string To,
    Answer Answer,
    string Sentence,
    IReadOnlyList<string> Via,
    string? StoppedBy,
    IReadOnlyList<string> Links
);

/// <summary>Explains single connections: what a table of classes cannot say.</summary>
public static class Paths
{
    /// <summary>A connection between two devices; null where one of both is not in use.</summary>
    public static PathFact? Between(Observation seen, string from, string to)
    {
        if (seen.Reach(from, to) is not { } cell)
        {
            return null;
        }
        var (way, legs) = seen.Tracer.Packets(seen.Network.Find(from, Side.Device)!, seen.Network.Find(to, Side.Device)!);
        // Where packets only get lost the table knows which box to name, and the way is shown as far as that one.
        var lost = cell.Answer.Kind == AnswerKind.No && cell.StoppedBy != way.StoppedBy;
        return Told(seen, new(from, to, cell.Answer, "", lost ? [] : way.Routers, cell.StoppedBy, []), lost ? [] : legs);
    }

    /// <summary>A device's way to the internet; null where it is not in use.</summary>
    public static PathFact? ToInternet(Observation seen, string from)
    {
        if (seen.Network.Find(from, Side.Device) is not { } device)
        {
            return null;
        }
        var (way, legs) = seen.Tracer.Packets(device, Provider.Host);
        return Told(seen, new(from, Provider.Internet, way.Answer, "", way.Routers, way.StoppedBy, []), legs);
    }

    /// <summary>The way in that a need asks for; null where there is no such need.</summary>
    public static PathFact? FromInternet(Observation seen, string need)
    {
        if (
            seen.Network.Design.Site.Needs.FirstOrDefault(n => n.Id == need) is not ReachFromOutside reach
            || seen.Network.Find(reach.Device, Side.Device) is not { } device
        )
        {
            return null;
        }
        var fact = seen.Sheet.Needs.First(n => n.Need == need);
        var (way, legs) = seen.Tracer.Packets(reach, device);
        var via = fact.Answer.IsYes ? fact.Via : way.Routers;
        return Told(seen, new(Provider.Internet, reach.Device, fact.Answer, "", via, fact.StoppedBy, []), legs);
    }

    /// <summary>The path in words, with the links that it goes along.</summary>
    private static PathFact Told(Observation seen, PathFact path, IReadOnlyList<Leg> legs)
    {
        var links = new LinkMap(seen.Network);
        var along = legs.Where(l => !l.Answer).SelectMany(l => l.To is { } taker ? links.Between(l.From, taker) : []).ToList();
        // What is not taken is drawn as far as the box that is to blame, where that is on the same wire.
        var last = legs.LastOrDefault(l => !l.Answer)?.From ?? seen.Network.Find(path.From, Side.Device);
        if (
            !path.Answer.IsYes
            && path.StoppedBy is not null
            && last is not null
            && legs.LastOrDefault(l => !l.Answer)?.To is null
            && seen.Network.Segment(last.Segment).Interfaces.FirstOrDefault(i => i.Owner == path.StoppedBy) is { } barrier
        )
        {
            along.AddRange(links.Between(last, barrier));
        }
        return path with { Sentence = Sentence(seen, path), Links = along };
    }

    private static string Sentence(Observation seen, PathFact path)
    {
        var (answer, via) = (path.Answer, path.Via);
        var (a, b) = (Name(seen, path.From), seen.Network.NameOf(path.To));
        var through =
            via.Count == 0
                ? "directly, inside one network"
                : $"through {string.Join(", then ", via.Select(seen.Network.NameOf))}: {via.Count} {(via.Count == 1 ? "hop" : "hops")}";
        var stop = path.StoppedBy is { } by && by != path.From && by != path.To ? $", and {seen.Network.NameOf(by)} stops it" : "";
        return answer.Kind switch
        {
            AnswerKind.Yes => $"{a} reaches {b} {through}.",
            AnswerKind.Luck => $"{a} reaches {b} by luck only. {answer.Why}",
            AnswerKind.Unknown => $"Whether {a} reaches {b} is not known. {answer.Why}",
            _ => $"{a} does not reach {b}{stop}. {answer.Why}",
        };
    }

    private static string Name(Observation seen, string id) => id == Provider.Internet ? "A host on the internet" : seen.Network.NameOf(id);
}
