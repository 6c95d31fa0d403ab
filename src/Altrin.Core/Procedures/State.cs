using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>How the work stands: the home as it is now, the laptop included, and what is known and was done.</summary>
/// <param name="Moment">The home now.</param>
/// <param name="Ledger">What is known and was done.</param>
public sealed record State(Moment Moment, Ledger Ledger)
{
    // Looking at the whole network takes longest; a state is looked at several times and never changes.
    private Observation? _seen;

    // A search asks for what is left again and again, of the plan and of the start; another thread's answer may be lost, and is found anew.
    private (SetUp Target, IReadOnlyList<Change> Left)[] _left = [];

    private State(State original)
    {
        (Moment, Ledger, _left) = (original.Moment, original.Ledger, []);
    }

    /// <summary>The morning of a set-up: everything on and leased, the laptop in its bag, nothing done yet.</summary>
    public static State Morning(Design found) => new(Moment.Morning(found), Ledger.Empty);

    /// <summary>The time since that morning.</summary>
    public TimeSpan Time => TimeSpan.FromSeconds(Moment.Situation.Memory?.Second ?? 0);

    /// <summary>The home.</summary>
    public Design Design => Moment.Design;

    /// <summary>Where the laptop is; null where it is in its bag.</summary>
    public Laptop? Laptop => Moment.Situation.Laptop;

    /// <summary>The simulated network of this state, looked at.</summary>
    public Observation Seen() => _seen ??= Observer.Observe(Compiler.Compile(Moment.Design, Moment.Situation));

    /// <summary>
    /// What is left to do to come to a set-up: what differs now, worked out anew. Accepted findings are no work, and neither is a password
    /// that the set-up does not know.
    /// </summary>
    public IReadOnlyList<Change> Left(SetUp target)
    {
        var known = _left;
        if (Array.Find(known, l => ReferenceEquals(l.Target, target)).Left is { } told)
        {
            return told;
        }
        IReadOnlyList<Change> left =
        [
            .. Difference
                .Between(Design.Site, Design.SetUp, target)
                .Changes.Where(c => c is not (AcceptFinding or TakeBackAcceptance or SetPagePassword { Password: null })),
        ];
        _left = [.. known, (target, left)];
        return left;
    }

    /// <inheritdoc/>
    public bool Equals(State? other) => other is not null && Moment == other.Moment && Ledger == other.Ledger;

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Moment.Situation.Memory?.Second, Ledger.Opened.Count);
}
