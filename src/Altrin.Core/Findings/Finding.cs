using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>How much a finding matters. Computed from the facts, never chosen by a rule.</summary>
public enum Severity
{
    /// <summary>It works today; it is worth knowing, or waits to go wrong.</summary>
    Concern,

    /// <summary>A stated need, or ordinary internet of some device, is broken by it or left to luck.</summary>
    WillNotWork,
}

/// <summary>What is wrong, where, what the customer notices, and what cures it.</summary>
/// <param name="Code">Which rule says so.</param>
/// <param name="Subjects">Ids that it is about, in ordinal order. With the code they are its identity.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="What">One line, as an installer says it to a colleague.</param>
/// <param name="Notice">What the customer notices.</param>
/// <param name="Remedies">Changes that cure it and make nothing as bad, the one that settles most first.</param>
/// <param name="Advice">What only the provider, the customer or the installer's hands can do.</param>
/// <param name="CausedBy">Identities of other findings that it follows from; empty for one that stands by itself.</param>
public sealed record Finding(
    string Code,
    IReadOnlyList<string> Subjects,
    Severity Severity,
    string What,
    string Notice,
    IReadOnlyList<Remedy> Remedies,
    IReadOnlyList<string> Advice,
    IReadOnlyList<string> CausedBy
)
{
    /// <summary>Code and subjects: the same finding before and after a change has the same identity.</summary>
    public string Identity => $"{Code}({string.Join(',', Subjects)})";

    /// <summary>Two to four words for a mark on the drawing; from its rule.</summary>
    public string Flag { get; init; } = "";

    /// <summary>Why that hurts; from its rule.</summary>
    public string Hurts { get; init; } = "";

    /// <summary>Where that is known from: a standard, or "common practice"; from its rule.</summary>
    public string Source { get; init; } = "";

    /// <summary>
    /// What in use serves no device because of it, such as "Loft repeater serves nothing"; null where nothing does. A verdict never says
    /// that all works beside it.
    /// </summary>
    public string? Idle { get; init; }

    /// <summary>A person's decision that it may stay; null where it is open. A finding that got worse since is open again.</summary>
    public Acceptance? Accepted { get; init; }
}

/// <summary>A cure that can be applied and undone.</summary>
/// <param name="Label">What it does, for its button.</param>
/// <param name="Changes">The changes of the set-up.</param>
/// <param name="Settles">Identities of all findings that are gone once it is applied, its own included; in ordinal order.</param>
public sealed record Remedy(string Label, IReadOnlyList<Change> Changes, IReadOnlyList<string> Settles);
