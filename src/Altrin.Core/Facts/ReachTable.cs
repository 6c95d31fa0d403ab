using Altrin.Core.Networks;
using Altrin.Core.Packets;

namespace Altrin.Core.Facts;

/// <summary>Who opens connections to whom, who finds whom, whose page opens where; worked out once for each class of devices.</summary>
internal sealed class ReachTable(Network network, Leasing leasing, Tracer tracer)
{
    /// <summary>Devices that are connected to nothing are one class with this segment.</summary>
    public const string Nowhere = "";

    public AmongDevices All()
    {
        var classes = network
            .Interfaces.Where(i => i.Side == Side.Device)
            .GroupBy(KeyOf)
            .Select(g => new ReachClass(g.First().Owner, g.First().Linked ? g.First().Segment : Nowhere, [.. g.Select(i => i.Owner)]))
            .OrderBy(c => c.Id, StringComparer.Ordinal)
            .ToList();
        var cells = classes
            .SelectMany(from => classes.Where(to => to != from || from.Devices.Count > 1).Select(to => Cell(from, to)))
            .ToList();
        return new(new(classes, cells), [.. Discovery(classes, cells)], [.. Management(classes)]);
    }

    /// <summary>One pair of devices; null where either is not in use.</summary>
    public ReachCell? Pair(string from, string to) =>
        network.Find(from, Side.Device) is { } a && network.Find(to, Side.Device) is { } b && from != to ? Between(a, b) : null;

    private ReachCell Cell(ReachClass from, ReachClass to)
    {
        var (a, b) = Ends(from, to);
        return Between(a, b) with { From = from.Id, To = to.Id };
    }

    /// <summary>Whether others open connections to one device: one cell for each class of them.</summary>
    public IReadOnlyList<ReachCell> Towards(Interface to, IEnumerable<Interface> others) =>
        [.. others.GroupBy(KeyOf).Select(g => Between(g.First(), to))];

    private (Interface From, Interface To) Ends(ReachClass from, ReachClass to) =>
        (network.Find(from.Id, Side.Device)!, network.Find(to.Devices.First(d => d != from.Id), Side.Device)!);

    private ReachCell Between(Interface a, Interface b)
    {
        var way = tracer.To(a, b);
        if (
            way.Answer.Kind != AnswerKind.No
            || way.Answer.Causes.All(c =>
                c.Code is not (CauseCodes.NoRoute or CauseCodes.NoAnswer or CauseCodes.NoNat or CauseCodes.NoReturnRoute)
            )
        )
        {
            return new(a.Owner, b.Owner, way.Answer, way.Routers, way.StoppedBy);
        }
        // Packets for an address behind another router get lost towards the internet line. What keeps them out all the same is that router.
        var outward = tracer.ToInternet(a);
        var guard = tracer
            .ToInternet(b)
            .Routers.FirstOrDefault(r => network.Router(r) is { Nat: true } && Meets(r, Side.Wan) && !Meets(r, Side.Lan));
        if (guard is not null)
        {
            return new(
                a.Owner,
                b.Owner,
                Answer.No(
                    Cause.Of(
                        CauseCodes.NotForwarded,
                        $"{network.NameOf(guard)} lets in no connection that was not opened from inside.",
                        guard
                    )
                ),
                way.Routers,
                guard
            );
        }
        // Behind a router with one subnet on both sides, what lies before it is looked for beside the client.
        return outward.Routers.Select(tracer.World.Overlap).FirstOrDefault(o => o is not null) is { } overlap
            ? new(a.Owner, b.Owner, Answer.No(tracer.World.OverlapCause(overlap)), way.Routers, overlap.Router)
            : new(a.Owner, b.Owner, way.Answer, way.Routers, way.StoppedBy);

        bool Meets(string router, Side side) => network.Find(router, side) is { } found && outward.Segments.Contains(found.Segment);
    }

    /// <summary>
    /// A question is heard by the whole segment; its answer is a packet to the client, and may fail where the question arrived.
    /// </summary>
    private IEnumerable<DiscoveryFact> Discovery(IReadOnlyList<ReachClass> classes, IReadOnlyList<ReachCell> cells)
    {
        var segments = classes.ToDictionary(c => c.Id, c => c.Segment, StringComparer.Ordinal);
        foreach (var cell in cells.Where(c => segments[c.From] == segments[c.To] && segments[c.From] != Nowhere))
        {
            var (client, found) = Ends(classes.First(c => c.Id == cell.From), classes.First(c => c.Id == cell.To));
            // Only a barrier for guests, or a ring, stops a broadcast inside its segment; and no host listens to one that comes from its
            // own address.
            var barrier = cell
                .Answer.Causes.Where(c =>
                    c.Code is CauseCodes.GuestsApart or CauseCodes.GuestsNotIsolated or CauseCodes.Loop
                    || (c.Code == CauseCodes.AddressConflict && c.Subjects.Contains(client.Owner) && c.Subjects.Contains(found.Owner))
                )
                .ToList();
            var shared =
                cell.Answer.Kind == AnswerKind.Luck
                    ? cell.Answer.Causes.Where(c => c.Code is CauseCodes.FixedAddressInPool or CauseCodes.AddressConflict).ToList()
                    : [];
            var question =
                barrier.Count == 0 && shared.Count > 0 ? Answer.ByLuck([.. shared])
                : barrier.Count == 0 ? Answer.Yes
                : cell.Answer.Kind == AnswerKind.Unknown ? Answer.NotKnown(barrier)
                : Answer.No(barrier);
            yield return new(
                cell.From,
                cell.To,
                question,
                question.Kind == AnswerKind.No ? question : question.And(tracer.Deliver(found, client).Answer)
            );
        }
    }

    private IEnumerable<ManagementFact> Management(IReadOnlyList<ReachClass> classes)
    {
        foreach (var page in network.Interfaces.Where(i => i.Side is Side.Lan or Side.Page))
        {
            var address = leasing.Holdings(page) is [{ Exact: { } exact }] ? exact : (Addressing.Ipv4Address?)null;
            yield return new(
                page.Owner,
                address,
                [
                    .. classes
                        .Where(c => c.Segment != Nowhere)
                        .Select(c => new SeatAnswer(c.Id, tracer.To(network.Find(c.Id, Side.Device)!, page).Answer)),
                ]
            );
        }
    }

    private string KeyOf(Interface device)
    {
        var answer = tracer.ToInternet(device).Answer;
        if (!device.Linked)
        {
            return $"{answer.Kind}";
        }
        var (holdings, remembers) = (leasing.Holdings(device), network.Situation.Memory is not null);
        return string.Join(
            '|',
            device.Behind,
            device.Segment,
            device.GuestOf,
            string.Join(',', holdings.Select(h => $"{h.Subnet}>{h.Gateway}{(h.Exact is null ? "~" : "")}")),
            answer.Kind,
            string.Join(',', answer.Causes.Select(c => remembers && c.Code == CauseCodes.NoAnswer ? Apart(c, device) : c.Identity))
        );

        // In a home that remembers, each device knows by itself where an address was, and all of them are alike in that.
        static string Apart(Cause cause, Interface device) =>
            $"{cause.Code}({string.Join(',', cause.Subjects.Where(s => s != device.Owner))})";
    }
}
