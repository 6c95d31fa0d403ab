using System.Collections.Frozen;
using Altrin.Core.Addressing;
using Altrin.Core.Procedures.Invariants;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What an order of work is looked for.</summary>
public sealed record Aim
{
    private Dictionary<string, int>? _depths;
    private HashSet<Ipv4Address>? _typed;

    private Aim(SetUp target, Ways ways, State planned) => (Target, Ways, Planned) = (target, ways, planned);

    /// <summary>The set-up that the home is to have.</summary>
    public SetUp Target { get; }

    /// <summary>How the installer goes about it.</summary>
    public Ways Ways { get; }

    /// <summary>Whether it leads back to how the home was found: what that does not use is unplugged first.</summary>
    public bool IsBack { get; init; }

    /// <summary>What is not as an invariant asks in the plan itself: no order can spare that, and none is looked for.</summary>
    public IReadOnlyList<Broken> Amiss { get; private init; } = [];

    /// <summary>Devices that have the internet in the set-up at the start and in the plan: they are to have it all along.</summary>
    public IReadOnlySet<string> Online { get; private init; } = FrozenSet<string>.Empty;

    /// <summary>The morning of the plan.</summary>
    internal State Planned { get; }

    /// <summary>For the way from a state to a set-up of the same home.</summary>
    public static Aim From(State start, SetUp target, Ways ways)
    {
        var planned = State.Morning(start.Design with { SetUp = target });
        return new(target, ways, planned)
        {
            Online = OnlineIn(State.Morning(start.Design)).Intersect(OnlineIn(planned)).ToFrozenSet(StringComparer.Ordinal),
            Amiss =
            [
                // What is asked and noted on the evening is no fault of a plan.
                .. Invariant
                    .All.Where(r => r != Ipv6Asked.Rule && r != Fallbacks.Rule)
                    .SelectMany(rule =>
                        rule.Judge(new(planned, null, planned)).DistinctBy(v => v.Identity).Select(v => new Broken(rule, v))
                    ),
            ],
        };
    }

    /// <summary>Whether something that is broken on the way is so in the plan too.</summary>
    public bool IsPlanned(Broken broken) => Amiss.Any(a => a.Rule == broken.Rule && a.Violation.Identity == broken.Violation.Identity);

    /// <summary>Whether the plan itself has a name in two networks.</summary>
    public bool IsSplit(string name) => Amiss.Any(a => a.Rule == OneNameInOneSegment.Rule && a.Violation.Subjects.Contains(name));

    /// <summary>How a box is to be set; null where it is to be out of use.</summary>
    public BoxSetting? Of(string box) => Target.Boxes.FirstOrDefault(b => b.Box == box);

    /// <summary>Whether a port is to have a cable.</summary>
    public bool Uses(PortRef port) => Target.Cables.Any(c => c.A == port || c.B == port);

    /// <summary>Addresses that are typed somewhere in the plan: the laptop is not to hold one of them when it is typed.</summary>
    internal IReadOnlySet<Ipv4Address> Typed => _typed ??= Addresses();

    private HashSet<Ipv4Address> Addresses() =>
        [
            .. Target.Boxes.Select(b => PageAddress.Of(b.Mode)?.Address).OfType<Ipv4Address>(),
            .. Target.Boxes.Select(b => b.Mode).OfType<RouterMode>().Select(r => r.Lan.Address),
            .. Target.Devices.Select(d => d.Address).OfType<Fixed>().Select(f => f.Address.Address),
        ];

    /// <summary>
    /// How many cables and radio links a box is from the line in the plan: what is nearer has its turn first. 0 for none; what hangs on
    /// nothing comes last.
    /// </summary>
    internal int DepthOf(string? box) => box is null ? 0 : (_depths ??= Depths()).GetValueOrDefault(box, int.MaxValue);

    /// <summary>Which of two ends of a cable is farther from the line.</summary>
    internal string Farther(string a, string b) => DepthOf(a) > DepthOf(b) ? a : b;

    private Dictionary<string, int> Depths()
    {
        var depths = new Dictionary<string, int>(StringComparer.Ordinal) { [PortRef.Street] = 0 };
        for (List<string> at = [PortRef.Street]; at.Count > 0; )
        {
            var depth = depths[at[0]] + 1;
            at =
            [
                .. Target
                    .Cables.SelectMany(c =>
                        at.Contains(c.A.Owner) ? [c.B.Owner]
                        : at.Contains(c.B.Owner) ? new[] { c.A.Owner }
                        : []
                    )
                    .Concat(Target.Boxes.Where(b => b.Mode.Joins is { } join && at.Contains(join.Box)).Select(b => b.Box))
                    .Concat(Target.Boxes.Where(b => b.Mode is SatelliteMode kit && at.Contains(kit.Main)).Select(b => b.Box))
                    .Distinct()
                    .Where(b => depths.TryAdd(b, depth)),
            ];
        }
        return depths;
    }

    private static IEnumerable<string> OnlineIn(State now) => now.Seen().Internet.Where(i => i.Answer.IsYes).Select(i => i.Device);
}
