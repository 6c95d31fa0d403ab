using Altrin.Core.Procedures.Invariants;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What an order of work is looked for.</summary>
/// <param name="Target">The set-up that the home is to have.</param>
/// <param name="Ways">How the installer goes about it.</param>
public sealed record Aim(SetUp Target, Ways Ways)
{
    /// <summary>Whether it leads back to how the home was found: what that does not use is unplugged first.</summary>
    public bool IsBack { get; init; }

    /// <summary>The home as it is to be.</summary>
    public Design Design(State now) => now.Design with { SetUp = Target };

    /// <summary>What is not as an invariant asks in the plan itself: no order can spare that, and none is looked for.</summary>
    public IReadOnlyList<Broken> Amiss { get; private init; } = [];

    /// <summary>For the way from a state to a set-up of the same home.</summary>
    public static Aim From(State start, SetUp target, Ways ways)
    {
        var planned = State.Morning(start.Design with { SetUp = target });
        return new(target, ways)
        {
            Amiss =
            [
                // What is asked and noted on the evening is no fault of a plan.
                .. Invariant
                    .All.Where(r => r != Ipv6Asked.Rule && r != StandIns.Rule)
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
}
