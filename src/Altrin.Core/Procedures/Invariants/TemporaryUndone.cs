namespace Altrin.Core.Procedures.Invariants;

/// <summary>At the end nothing is left that was for the evening only.</summary>
public static class TemporaryUndone
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            17,
            "temporary-things-undone",
            "Temporary things are undone: typed laptop address, set-up port, factory names and passwords.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step) =>
        step.IsEnd ? OpenItem.Of(step.After).Select(i => new Violation(i.Subjects, i.Text)) : [];
}
