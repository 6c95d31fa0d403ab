using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>What rules judge: a design, its facts, and a few questions that several rules ask.</summary>
public sealed class Evidence
{
    private readonly HashSet<string> _broken;
    private readonly bool _withRemedies;
    private readonly Lazy<IReadOnlyList<(string Box, RadioSetting Setting)>> _sending;

    /// <summary>The evidence of an observation.</summary>
    /// <param name="observation">What is judged.</param>
    /// <param name="withRemedies">Whether remedies are thought out too: most of the work of judging.</param>
    public Evidence(Observation observation, bool withRemedies = true)
    {
        _withRemedies = withRemedies;
        Seen = observation;
        _sending = new(() => WifiNames.Sending(Design));
        var answers = Sheet.Internet.Select(i => i.Answer).Concat(Sheet.Needs.Select(n => n.Answer)).ToList();
        Causes = [.. answers.SelectMany(a => a.Causes).DistinctBy(c => c.Identity).OrderBy(c => c.Identity, StringComparer.Ordinal)];
        _broken = answers.Where(a => a.IsBroken).SelectMany(a => a.Causes).Select(c => c.Identity).ToHashSet(StringComparer.Ordinal);
    }

    /// <summary>The observation and what it was worked out with.</summary>
    public Observation Seen { get; }

    /// <summary>The simulated network.</summary>
    public Network Network => Seen.Network;

    /// <summary>The design.</summary>
    public Design Design => Network.Design;

    /// <summary>The facts.</summary>
    public FactSheet Sheet => Seen.Sheet;

    /// <summary>Every cause that an answer about internet or a need cites, once.</summary>
    public IReadOnlyList<Cause> Causes { get; }

    /// <summary><see cref="WifiNames.Sending"/> of the design, worked out once: rules ask for each device.</summary>
    internal IReadOnlyList<(string Box, RadioSetting Setting)> Sending => _sending.Value;

    /// <summary>Levels, airtime and rates, worked out once they are asked for.</summary>
    internal PathRates Rates => Seen.Rates;

    /// <summary>Routers with their settings, by id.</summary>
    public IEnumerable<(Box Box, RouterMode Mode)> Routers =>
        Design
            .SetUp.Boxes.Where(b => b.Mode is RouterMode && Network.Find(b.Box, Side.Lan) is not null)
            .OrderBy(b => b.Box, StringComparer.Ordinal)
            .Select(b => (Design.Box(b.Box)!, (RouterMode)b.Mode));

    /// <summary>The name of a box or device.</summary>
    public string Name(string id) => Network.NameOf(id);

    /// <summary>Names joined as in a sentence.</summary>
    public string Names(IEnumerable<string> ids)
    {
        var names = ids.Select(Name).ToList();
        return names.Count < 2 ? string.Concat(names) : $"{string.Join(", ", names.SkipLast(1))} and {names[^1]}";
    }

    /// <summary>A finding whose severity follows from the facts: it means "will not work" exactly when a broken answer cites it.</summary>
    public Finding Finding(
        Rule rule,
        IEnumerable<string> subjects,
        string what,
        string notice,
        IEnumerable<Remedy> remedies,
        IReadOnlyList<string>? advice = null
    )
    {
        var plain = Plain(rule, [.. subjects.Distinct().Order(StringComparer.Ordinal)], what, notice, remedies, advice);
        return _broken.Contains(plain.Identity) ? plain with { Severity = Severity.WillNotWork } : plain;
    }

    /// <summary>The finding, which means "will not work" also when a broken answer cites one of these causes.</summary>
    public Finding BreaksLike(Finding finding, params IEnumerable<Cause> causes) =>
        causes.Any(c => _broken.Contains(c.Identity)) ? finding with { Severity = Severity.WillNotWork } : finding;

    /// <summary>A finding that restates a broken or open answer: it follows from the causes of the answer.</summary>
    public Finding Consequence(
        Rule rule,
        string subject,
        string what,
        Answer answer,
        IEnumerable<Remedy> remedies,
        IReadOnlyList<string>? advice = null
    ) =>
        Plain(rule, [subject], what, answer.Why, remedies, advice) with
        {
            Severity = answer.IsBroken ? Severity.WillNotWork : Severity.Concern,
            CausedBy = [.. answer.Causes.Select(c => c.Identity)],
        };

    private Finding Plain(
        Rule rule,
        IReadOnlyList<string> subjects,
        string what,
        string notice,
        IEnumerable<Remedy> remedies,
        IReadOnlyList<string>? advice
    ) =>
        new(rule.Code, subjects, Severity.Concern, what, notice, _withRemedies ? [.. remedies] : [], advice ?? [], [])
        {
            Flag = rule.Flag,
            Hurts = rule.Hurts,
            Source = rule.Source,
        };

    /// <summary>The segment that a side of a box or device is in; null where it has no such side.</summary>
    public Segment? SegmentOf(string owner, Side side) => Network.Find(owner, side) is { } found ? Network.Segment(found.Segment) : null;

    /// <summary>
    /// The address plan of a segment: the subnet and the pool of the router that rules it, everything set by hand in it, every
    /// reservation of its servers; null where no router rules it. A pool counts also while its server is off.
    /// </summary>
    public (AddressPlan Plan, string MainRouter)? PlanOf(Segment segment)
    {
        if (Seen.Hosts.MainRouters(segment) is not [{ Side: Side.Lan } main, ..] || Network.Router(main.Owner) is not { } router)
        {
            return null;
        }
        var taken = segment.Interfaces.Select(i => i.Setting).OfType<Fixed>().Select(f => f.Address.Address).ToHashSet();
        var others = segment.Servers.Where(s => s.Owner != main.Owner).SelectMany(s => s.Reservations);
        var reserved = router.Server.Reservations.Concat(others).Select(r => r.Address).ToHashSet();
        return (new(router.Lan.Subnet, router.Server.Pool, reserved, taken), main.Owner);
    }

    /// <summary>The first LAN port of a box with nothing in it; null where all are taken.</summary>
    public PortRef? FreeLanPort(string box) =>
        Design
            .Box(box)
            ?.Profile.Ports.Where(p => p.Role == PortRole.Lan)
            .Select(p => new PortRef(box, p.Id))
            .Where(p => Design.CableAt(p) is null)
            .Select(p => (PortRef?)p)
            .FirstOrDefault();

    /// <summary>The WAN ports of a box.</summary>
    public IEnumerable<PortRef> WanPorts(string box) =>
        Design.Box(box)?.Profile.Ports.Where(p => p.Role == PortRole.Wan).Select(p => new PortRef(box, p.Id)) ?? [];

    /// <summary>The cable in the first occupied WAN port of a box; null where there is none.</summary>
    public Cable? WanCable(string box) => WanPorts(box).Select(p => Design.CableAt(p)).FirstOrDefault(c => c is not null);

    /// <summary>The causes with a code that internet or needs cite.</summary>
    public IEnumerable<Cause> Cited(string code) => Causes.Where(c => c.Code == code);

    /// <summary>
    /// A /24 of the private blocks that overlaps nothing in the home, for renumbering; null when there is none among the usual ones.
    /// </summary>
    public Subnet? UnusedSubnet()
    {
        var used = Sheet
            .Segments.SelectMany(s => s.Subnets)
            .Concat(Routers.Select(r => r.Mode.Lan.Subnet))
            .Concat(Sheet.Overlaps.Select(o => o.Outer))
            .ToList();
        return Subnet
            .Parse("192.168.0.0/16")
            .Value.Split(24)
            .Skip(20)
            .Where(s => !used.Any(s.Overlaps))
            .Select(s => (Subnet?)s)
            .FirstOrDefault();
    }
}
