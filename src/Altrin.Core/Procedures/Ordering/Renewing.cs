using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What has to ask for its address anew, and by itself does so too late or never.</summary>
internal static class Renewing
{
    /// <summary>How long a box at the line is left off where the provider keeps its address for another (common practice).</summary>
    public const int SecondsOff = 120;

    /// <summary>
    /// Devices and boxes that keep what a DHCP server gave them that is not there any more, whose subnet is another now, or whose address
    /// it gave to another since it started anew; and the box in which the line ends, where the provider keeps its address for another.
    /// </summary>
    public static IEnumerable<WorkItem> Of(State now, IReadOnlyList<Change> left)
    {
        var twice = now.Seen().Hosts.Conflicts.Where(c => c.Pool is null).SelectMany(c => c.Holders).ToHashSet(StringComparer.Ordinal);
        // A box asks anew for the address of its page when it starts; one at the line makes the provider look anew who asks.
        var boxes = now
            .Design.SetUp.Boxes.Select(b => b.Box)
            .Where(b =>
                LeaseOf(now, b, Side.Page) is { } lease
                && (twice.Contains(b) || left.Any(c => c.Subjects().Contains(b)) && IsStale(now, b, Side.Page, lease))
            )
            .Concat(KeptFromLine(now))
            .Distinct()
            .Select(b => new WorkItem(WorkKind.NewLink, b, s => WorkItems.OutOf(s, b) && Restart(s, b)) { Box = b });
        var devices = now.Seen()
            .Internet.Where(i => !i.Answer.IsYes || twice.Contains(i.Device))
            .Select(i => i.Device)
            .Where(d =>
                left.All(c => !c.Subjects().Contains(d))
                && now.Design.SetUp.Devices.First(s => s.Device == d).Address is Automatic
                && LeaseOf(now, d, Side.Device) is { } lease
                && (twice.Contains(d) || IsStale(now, d, Side.Device, lease))
            )
            .Select(d => new WorkItem(WorkKind.NewLink, d, s => s.Do(new NewLink(d))));
        return boxes.Concat(devices);
    }

    /// <summary>A box is switched off and on.</summary>
    public static bool Restart(Script script, string box)
    {
        var kept = KeptFromLine(script.Now).Contains(box);
        return script.Do(new PowerOff(box))
            && script.DoIf(kept, new WaitFor(SecondsOff))
            && script.Do(new PowerOn(box))
            && script.Ready(box);
    }

    /// <summary>
    /// The box in which the line ends, where who asks for an address gets none: those that there are are kept for others. Where more ask
    /// than there are addresses, no restart helps.
    /// </summary>
    public static IEnumerable<string> KeptFromLine(State now)
    {
        var line = now.Seen().Network.Segment(PortRef.Street);
        var kept = now.Moment.Situation.Memory?.Bindings.Where(b => b.Server == PortRef.Street).Select(b => b.Client).Distinct().ToList()
            ?? [];
        var asking = line
            .Interfaces.Where(i => i is { Linked: true, Setting: Automatic, KeptOff: null })
            .Select(DhcpExchange.ClientOf)
            .ToList();
        return
            line.Servers is [{ Leases: { } most }, ..]
            && asking.Count <= most
            && asking.Exists(client => kept.Count(c => c != client) >= most)
            && Live.Gateway(now.Design) is { } atLine
            ? [atLine.Id]
            : [];
    }

    private static HeldLease? LeaseOf(State now, string owner, Side side) =>
        now.Moment.Situation.Memory?.Of(owner, side) is { Leases: [var lease, ..] } ? lease : null;

    private static bool IsStale(State now, string owner, Side side, HeldLease lease)
    {
        var network = now.Seen().Network;
        return network.Find(owner, side) is { Linked: true } there
            && network.Segment(there.Segment).Servers is { Count: > 0 } servers
            && servers.All(s =>
                s.Owner != lease.Server || s.Pool?.Contains(lease.Address) != true && s.Reservations.All(r => r.Address != lease.Address)
            );
    }
}
