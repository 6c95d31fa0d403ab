namespace Altrin.Core.Procedures.Invariants;

/// <summary>No ring of cables or radio links, not for a moment.</summary>
public static class NoRing
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } = new(7, "no-ring", "No ring of cables, not for a moment: unplug before you plug in.", Judge);

    private static IEnumerable<Violation> Judge(Step step) =>
        Live.Segments(step.After)
            .SelectMany(s => s.Loops)
            .Select(l => new Violation(
                [.. l.Cables],
                l.Perhaps
                    ? "There may be a ring: whether the box stops its radio link beside a cable is not known."
                    : "There is a ring: the network stands still until one of its cables is out."
            ));
}
