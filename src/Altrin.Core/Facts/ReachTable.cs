using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>Who opens connections to whom, worked out once for each class of devices.</summary>
internal sealed class ReachTable(Network network, Leasing leasing, HostTable hosts, Tracer tracer)
{
    /// <summary>Devices that are connected to nothing are one class with this segment.</summary>
    public const string Nowhere = "";

    public ReachFact All()
    {
        var classes = network.Interfaces
            .Where(i => i.Side == Side.Device)
            .GroupBy(KeyOf)
            .Select(g => new ReachClass(g.First().Owner, g.First().Linked ? g.First().Segment : Nowhere, [.. g.Select(i => i.Owner)]))
            .OrderBy(c => c.Id, StringComparer.Ordinal)
            .ToList();
        return new(classes, [.. classes.SelectMany(from => classes.Where(to => to != from || from.Devices.Count > 1).Select(to => Cell(from, to)))]);
    }

    /// <summary>One pair of devices; null where either is not in use.</summary>
    public ReachCell? Pair(string from, string to) =>
        network.Find(from, Side.Device) is { } a && network.Find(to, Side.Device) is { } b && from != to ? Between(a, b) : null;

    private ReachCell Cell(ReachClass from, ReachClass to)
    {
        var a = network.Find(from.Id, Side.Device)!;
        var b = network.Find(to.Devices.First(d => d != from.Id), Side.Device)!;
        return Between(a, b) with { From = from.Id, To = to.Id };
    }

    private ReachCell Between(Interface a, Interface b)
    {
        if (!a.Linked || !b.Linked)
        {
            return Stopped(tracer.ToInternet(a.Linked ? b : a).Answer, a.Linked ? b.Owner : a.Owner);
        }
        if (a.Segment == b.Segment)
        {
            var local = Local(a).And(Local(b));
            return new(a.Owner, b.Owner, local.Kind == AnswerKind.No ? local : local.And(SameSubnet(a, b)), [], null);
        }
        var out1 = tracer.ToInternet(a);
        var out2 = tracer.ToInternet(b);
        var at = out1.Segments.ToList().IndexOf(b.Segment);
        if (at > 0)
        {
            var way = tracer.ToSegment(a, b.Segment);
            var overlap = way.Routers.Select(tracer.OverlapCause).OfType<Cause>().ToList();
            var answer = overlap.Count > 0 ? Answer.No(overlap) : way.Answer.And(Local(b));
            return new(a.Owner, b.Owner, answer, way.Routers, answer.IsYes ? null : way.Routers.Count > 0 ? way.Routers[0] : null);
        }
        var guard = out2.Routers.FirstOrDefault(r => network.Find(r, Side.Wan) is { } wan && out1.Segments.Contains(wan.Segment));
        return guard is null
            ? Stopped(out1.Answer.Kind == AnswerKind.No ? out1.Answer : Answer.No(), a.Owner)
            : Stopped(Answer.No(Cause.Of(CauseCodes.NotForwarded, $"{network.NameOf(guard)} lets nothing in that was not asked for from inside.", guard)), guard);

        ReachCell Stopped(Answer answer, string by) => new(a.Owner, b.Owner, answer, [], by);
    }

    /// <summary>Whether the device has an address at all and keeps it.</summary>
    private Answer Local(Interface device)
    {
        var holdings = leasing.Holdings(device);
        return holdings.Count == 0
            ? Answer.No(Cause.Of(CauseCodes.NoAddressServer, $"Nobody answers when {network.NameOf(device.Owner)} asks for an address.", device.Segment))
            : holdings.Select(h => hosts.Trouble(device, h)).Aggregate((x, y) => x.And(y));
    }

    private Answer SameSubnet(Interface a, Interface b)
    {
        var pairs = leasing.Holdings(a).SelectMany(x => leasing.Holdings(b).Select(y => x.Subnet is not { } sx || y.Subnet is not { } sy || (sx.Contains(sy.Network) && sy.Contains(sx.Network)))).Distinct().ToList();
        var outside = new[] { a, b }.Where(i => i.Setting is Fixed).Select(i => i.Owner).ToList();
        return pairs is [true] ? Answer.Yes
            : outside.Count > 0 && pairs is [false] ? Answer.No(Cause.Of(CauseCodes.OutsideSubnet, "They are on one wire in different subnets.", outside.Take(1)))
            : Answer.ByLuck(Cause.Of(CauseCodes.TwoAddressServers, "They are on one wire and may be given different subnets.", network.Segment(a.Segment).Servers.Select(s => s.Owner)));
    }

    private string KeyOf(Interface device)
    {
        var answer = tracer.ToInternet(device).Answer;
        if (!device.Linked)
        {
            return $"{answer.Kind}";
        }
        var holdings = leasing.Holdings(device);
        return string.Join('|',
            device.Segment,
            string.Join(',', holdings.Select(h => $"{h.Subnet}>{h.Gateway}{(h.Exact is null ? "~" : "")}")),
            answer.Kind,
            string.Join(',', answer.Causes.Select(c => c.Identity)));
    }
}
