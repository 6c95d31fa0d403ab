using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>What is wrong in the states of an evening, asked of the simulated network itself: it knows no invariant.</summary>
internal static class EveningOracle
{
    /// <summary>What comes about on the way that was not so at the start, at acts of which nothing is told.</summary>
    public static IReadOnlyList<string> Wrong(Play play)
    {
        var before = Amiss(play.Start)
            .Concat(play.Target is { } to ? Amiss(State.Morning(play.Start.Design with { SetUp = to })) : [])
            .ToHashSet();
        var (wrong, told) = (new List<string>(), false);
        foreach (var step in play.Steps.Where(s => s.Refused is null))
        {
            told |= step.Broken.Count > 0;
            wrong.AddRange(told ? [] : Amiss(step.After).Except(before).Select(a => $"{step.Says}: {a}"));
            if (WrongPage(step) is { } page)
            {
                wrong.Add(page);
            }
        }
        wrong.AddRange(Twice(play.End, _ => true).Except(before).Select(t => $"at the end {t}"));
        return wrong;
    }

    /// <summary>Names that boxes in different segments send, other than for guests.</summary>
    public static IEnumerable<string> NamesInTwoSegments(State now)
    {
        var (network, silent) = (now.Seen().Network, now.Moment.Situation.Silent());
        return now
            // Some gateways stop sending while they pass their address on.
            .Design.SetUp.Boxes.Where(b =>
                !silent.Contains(b.Box)
                && !(b.Mode is RouterMode { Passing: not null } && now.Design.Box(b.Box)!.Profile.Habits.WifiOffWhilePassing == Known.Yes)
            )
            .SelectMany(b => b.Mode.Radios.Where(r => r.On).Select(r => (r.Name, Segment: SegmentOf(network, b.Box))))
            .Distinct()
            .GroupBy(n => n.Name)
            .Where(g => g.Count() > 1)
            .Select(g => g.Key);
    }

    private static IEnumerable<string> Amiss(State now)
    {
        var seen = now.Seen();
        foreach (var device in seen.Network.Interfaces.Where(i => i.Side == Side.Device && i.Linked))
        {
            if (seen.Leasing.Offers(device).Select(o => o.Server).Order(StringComparer.Ordinal).ToList() is [_, _, ..] servers)
            {
                yield return $"{string.Join(" and ", servers)} answer one device";
            }
        }
        // A DHCP server forgets its leases when it starts (common practice): whom it then gives one that is in use is luck.
        foreach (var twice in Twice(now, holders => holders.Select(h => Server(now, h)).Distinct().Count() > 1))
        {
            yield return twice;
        }
        foreach (var loop in seen.Network.Segments.SelectMany(s => s.Loops))
        {
            yield return $"there is a ring of {string.Join(' ', loop.Cables)}";
        }
        // While a box starts, what hangs on it is by itself for a moment.
        foreach (var name in now.Moment.Situation.BusyNow().Any() ? [] : NamesInTwoSegments(now))
        {
            yield return $"{name} leads into two networks";
        }
    }

    private static IEnumerable<string> Twice(State now, Func<IReadOnlyList<string>, bool> counts) =>
        now.Seen().Hosts.Conflicts.Where(c => c.Pool is null && counts(c.Holders)).Select(c => $"{c.Address} is twice there");

    /// <summary>Whose lease a host has, or itself where its address is typed.</summary>
    private static string Server(State now, string owner) =>
        now
            .Moment.Situation.Memory!.Held.Where(h => h.Owner == owner)
            .SelectMany(h => h.Leases)
            .Select(l => l.Server)
            .FirstOrDefault(owner);

    /// <summary>Whether a page is typed into that is not that of the box that is meant, as a ping from the laptop tells it.</summary>
    private static string? WrongPage(PlayedStep step)
    {
        if (PageOf(step.Act) is not { } box)
        {
            return null;
        }
        var (seen, own) = (step.Before.Seen(), AddressOf(step.Before, box));
        var adapters = step.Before.Laptop!.Adapters().Select(a => seen.Network.Find(a.Owner, Side.Laptop)!).Where(i => i.Linked).ToList();
        var near = adapters.Where(i => seen.Leasing.Holdings(i).Any(h => h.Subnet?.Contains(own) == true)).ToList();
        var answers = (near.Count > 0 ? near : adapters).Select(i => seen.Tracer.Ping(i, own)).ToList();
        return answers.Exists(r => r.ArrivedAt == box) && answers.TrueForAll(r => !r.Answer.IsYes || r.ArrivedAt == box)
            ? null
            : $"{step.Says}: {own} is {string.Join(" or ", answers.Select(r => r.ArrivedAt ?? r.Answer.Why))}";
    }

    private static string SegmentOf(Network network, string box) =>
        (network.Find(box, Side.Lan) ?? network.Find(box, Side.Page))?.Segment ?? network.Segments.First(s => s.Boxes.Contains(box)).Id;

    private static string? PageOf(Act act) =>
        act switch
        {
            OpenPage open => open.Box,
            SavePage save => save.Box,
            TryLogin login => login.Box,
            _ => null,
        };

    private static Ipv4Address AddressOf(State now, string box) =>
        now.Seen().Leasing.Holdings(now.Seen().Network.Find(box, Side.Lan) ?? now.Seen().Network.Find(box, Side.Page)!)[0].Exact!.Value;
}
