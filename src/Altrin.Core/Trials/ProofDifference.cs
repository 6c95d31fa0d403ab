using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Trials;

/// <summary>Which way something went.</summary>
public enum Trend
{
    /// <summary>It was let down and is no more, or less so.</summary>
    Better,

    /// <summary>It is let down where it was not, or more so.</summary>
    Worse,

    /// <summary>It is otherwise, and neither better nor worse for that.</summary>
    Other,
}

/// <summary>What kind of fact moved.</summary>
public enum MovedKind
{
    /// <summary>Ordinary internet of a device.</summary>
    Internet,

    /// <summary>Something that the customer asked for.</summary>
    Need,

    /// <summary>A finding that came or went.</summary>
    Finding,

    /// <summary>Who reaches whom.</summary>
    Reach,

    /// <summary>An address.</summary>
    Address,
}

/// <summary>One thing that is not as it was.</summary>
/// <param name="Kind">What kind of fact.</param>
/// <param name="Trend">Which way it went.</param>
/// <param name="About">What it is about, in words.</param>
/// <param name="Before">How it was.</param>
/// <param name="After">How it is.</param>
/// <param name="Why">Why it is so now; null where there is nothing to say.</param>
/// <param name="Subjects">Ids of boxes and devices that it is about.</param>
public sealed record Moved(
    MovedKind Kind,
    Trend Trend,
    string About,
    string Before,
    string After,
    string? Why,
    IReadOnlyList<string> Subjects
);

/// <summary>What differs between two proofs of one home.</summary>
/// <param name="Verdict">The verdict of the second.</param>
/// <param name="Moved">What got worse first, then what got better, then the rest.</param>
/// <param name="Stayed">How many devices and needs are as they were.</param>
public sealed record ProofDifference(Verdict Verdict, IReadOnlyList<Moved> Moved, int Stayed)
{
    /// <summary>Above as many pairs of devices who reaches whom is not compared pair by pair.</summary>
    private const int MostPairs = 10_000;

    /// <summary>Compares two proofs.</summary>
    /// <param name="before">The first.</param>
    /// <param name="after">The second.</param>
    /// <param name="findings">Whether findings are compared too: they judge what is set, and say little of what is merely off for a
    /// while.</param>
    public static ProofDifference Between(Proof before, Proof after, bool findings = true)
    {
        var (a, b) = (before.Observation, after.Observation);
        var internet = Internet(a, b).ToList();
        var needs = Needs(a, b).ToList();
        var moved = internet.Concat(needs).Concat(findings ? Findings(before, after) : []).Concat(Reach(a, b)).Concat(Addresses(a, b));
        var stayed =
            b.Sheet.Internet.Count(i => !internet.Exists(m => m.Subjects[0] == i.Device))
            + b.Sheet.Needs.Count(n => !needs.Exists(m => m.Subjects[0] == n.Need));
        return new(
            after.Verdict,
            [
                .. moved
                    .OrderBy(m =>
                        m.Trend switch
                        {
                            Trend.Worse => 0,
                            Trend.Better => 1,
                            _ => 2,
                        }
                    )
                    .ThenBy(m => m.Kind),
            ],
            stayed
        );
    }

    private static IEnumerable<Moved> Internet(Observation before, Observation after)
    {
        var was = before.Sheet.Internet.ToDictionary(i => i.Device, StringComparer.Ordinal);
        foreach (var now in after.Sheet.Internet)
        {
            if (!was.TryGetValue(now.Device, out var then))
            {
                continue;
            }
            var name = after.Network.NameOf(now.Device);
            if (then.Answer.Kind != now.Answer.Kind)
            {
                yield return Answered(MovedKind.Internet, $"Internet of {name}", then.Answer, now.Answer, [now.Device]);
            }
            else if (!then.NatBy.SequenceEqual(now.NatBy) && now.Answer.Kind != AnswerKind.No)
            {
                yield return new(
                    MovedKind.Internet,
                    now.NatBy.Count < then.NatBy.Count ? Trend.Better
                        : now.NatBy.Count > then.NatBy.Count ? Trend.Worse
                        : Trend.Other,
                    $"NAT on the way of {name}",
                    Ways(before, then),
                    Ways(after, now),
                    null,
                    [now.Device]
                );
            }
        }
        foreach (var gone in was.Keys.Except(after.Sheet.Internet.Select(i => i.Device)).Order(StringComparer.Ordinal))
        {
            yield return new(
                MovedKind.Internet,
                Trend.Other,
                $"Internet of {before.Network.NameOf(gone)}",
                AnswerWords.Of(was[gone].Answer.Kind),
                "off, or not in use",
                null,
                [gone]
            );
        }
    }

    private static string Ways(Observation seen, InternetFact fact) =>
        fact.NatBy.Count == 0
            ? "none"
            : string.Join(", then ", fact.NatBy.Select(t => t == Sites.PortRef.Street ? "the provider" : seen.Network.NameOf(t)));

    private static IEnumerable<Moved> Needs(Observation before, Observation after) =>
        from now in after.Sheet.Needs
        join then in before.Sheet.Needs on now.Need equals then.Need
        where then.Answer.Kind != now.Answer.Kind
        select Answered(
            MovedKind.Need,
            NeedWords.Of(after.Network.Design, after.Network.Design.Site.Needs.First(n => n.Id == now.Need)) is var (subject, asked)
                ? $"{subject} {asked}"
                : "",
            then.Answer,
            now.Answer,
            now.About.Length == 0 ? [now.Need] : [now.Need, now.About]
        );

    private static IEnumerable<Moved> Findings(Proof before, Proof after)
    {
        var (was, now) = (before.Findings.ToDictionary(f => f.Identity), after.Findings.ToDictionary(f => f.Identity));
        // One that says the same of others is still there, such as names of Wi-Fi that one radio less sends.
        var (said, says) = (before.Findings.Select(f => f.What).ToHashSet(), after.Findings.Select(f => f.What).ToHashSet());
        // What only restates an answer stands with the answers already.
        foreach (var gone in before.Findings.Where(f => !now.ContainsKey(f.Identity) && !says.Contains(f.What) && f.CausedBy.Count == 0))
        {
            yield return new(MovedKind.Finding, Trend.Better, gone.What, Words(gone.Severity), "gone", null, gone.Subjects);
        }
        foreach (var finding in after.Findings)
        {
            if (!was.TryGetValue(finding.Identity, out var then))
            {
                if (finding.CausedBy.Count == 0 && !said.Contains(finding.What))
                {
                    yield return new(
                        MovedKind.Finding,
                        Trend.Worse,
                        finding.What,
                        "not there",
                        Words(finding.Severity),
                        finding.Notice,
                        finding.Subjects
                    );
                }
            }
            else if (then.Severity != finding.Severity)
            {
                yield return new(
                    MovedKind.Finding,
                    finding.Severity > then.Severity ? Trend.Worse : Trend.Better,
                    finding.What,
                    Words(then.Severity),
                    Words(finding.Severity),
                    null,
                    finding.Subjects
                );
            }
        }
    }

    private static IEnumerable<Moved> Reach(Observation before, Observation after)
    {
        var devices = after.Sheet.Internet.Select(i => i.Device).Intersect(before.Sheet.Internet.Select(i => i.Device)).ToList();
        if (devices.Count * devices.Count > MostPairs)
        {
            yield break;
        }
        var (was, now) = (new ReachPairs(before.Sheet.Reach), new ReachPairs(after.Sheet.Reach));
        // Devices that are of one class before, and of one after, are alike to each other: two such groups are looked up once.
        var groups = devices.Select(d => (Before: was.ClassOf(d), After: now.ClassOf(d))).Distinct().ToList();
        var groupOf = devices.Select(d => groups.IndexOf((was.ClassOf(d), now.ClassOf(d)))).ToList();
        var cells = groups
            .Select(f => groups.Select(t => (Then: was.Cell(f.Before, t.Before), Now: now.Cell(f.After, t.After))).ToList())
            .ToList();
        for (var at = 0; at < devices.Count; at++)
        {
            var (from, row) = (devices[at], cells[groupOf[at]]);
            var changed = devices
                .Select((to, i) => (To: to, row[groupOf[i]].Then, row[groupOf[i]].Now))
                .Where(c => c.To != from && c is { Then: not null, Now: not null } && c.Then.Answer.Kind != c.Now.Answer.Kind);
            foreach (var group in changed.GroupBy(c => (Then: c.Then!.Answer.Kind, Now: c.Now!.Answer.Kind)))
            {
                var to = group.Select(c => c.To).ToList();
                yield return new(
                    MovedKind.Reach,
                    Direction(group.Key.Then, group.Key.Now),
                    $"{after.Network.NameOf(from)} to {string.Join(", ", to.Select(after.Network.NameOf))}",
                    AnswerWords.Of(group.Key.Then),
                    AnswerWords.Of(group.Key.Now),
                    Why(after, from, to[0]),
                    [from, .. to]
                );
            }
        }
    }

    /// <summary>Told of the pair itself: what a class is told by may name another device.</summary>
    private static string? Why(Observation after, string from, string to) =>
        after.Reach(from, to)?.Answer.Causes is [var why, ..] ? why.Text : null;

    /// <summary>Who reaches whom, to be looked up.</summary>
    private sealed class ReachPairs(ReachFact reach)
    {
        private readonly Dictionary<string, string> _classes = reach
            .Classes.SelectMany(c => c.Devices.Select(d => (d, c.Id)))
            .ToDictionary(x => x.d, x => x.Id, StringComparer.Ordinal);

        private readonly Dictionary<(string, string), ReachCell> _cells = reach.Cells.ToDictionary(c => (c.From, c.To));

        public string ClassOf(string device) => _classes[device];

        public ReachCell? Cell(string from, string to) => _cells.GetValueOrDefault((from, to));
    }

    private static IEnumerable<Moved> Addresses(Observation before, Observation after)
    {
        var was = before.Sheet.Addresses.ToDictionary(a => (a.Owner, a.Side));
        foreach (var now in after.Sheet.Addresses.Where(a => a.Side != Side.Provider))
        {
            if (was.TryGetValue((now.Owner, now.Side), out var then) && Words(then) != Words(now))
            {
                yield return new(
                    MovedKind.Address,
                    now.Origin == AddressOrigin.SelfAssigned ? Trend.Worse
                        : then.Origin == AddressOrigin.SelfAssigned ? Trend.Better
                        : Trend.Other,
                    $"Address of {after.Network.NameOf(now.Owner)}{(now.Side == Side.Wan ? ", WAN side" : "")}",
                    Words(then),
                    Words(now),
                    null,
                    [now.Owner]
                );
            }
        }
    }

    private static string Words(AddressFact fact) =>
        fact.Origin switch
        {
            AddressOrigin.None => "none",
            AddressOrigin.SelfAssigned when fact.Address is null && fact.From is null => "none",
            AddressOrigin.SelfAssigned => "its own, no DHCP server answered",
            _ => fact.Address is { } exact ? $"{exact}/{fact.PrefixLength}" : $"one of {fact.From}",
        };

    private static Moved Answered(MovedKind kind, string about, Answer then, Answer now, IReadOnlyList<string> subjects) =>
        new(
            kind,
            Direction(then.Kind, now.Kind),
            about,
            AnswerWords.Of(then.Kind),
            AnswerWords.Of(now.Kind),
            now.IsYes ? null : now.Why,
            subjects
        );

    private static Trend Direction(AnswerKind then, AnswerKind now) => Rank(now) > Rank(then) ? Trend.Better : Trend.Worse;

    private static int Rank(AnswerKind kind) =>
        kind switch
        {
            AnswerKind.Yes => 3,
            AnswerKind.Unknown => 2,
            AnswerKind.Luck => 1,
            _ => 0,
        };

    private static string Words(Severity severity) => severity == Severity.WillNotWork ? "will not work" : "a concern";
}
