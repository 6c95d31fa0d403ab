using System.Reflection;

namespace Altrin.Core.Procedures;

/// <summary>One thing that no act may break: a rule in a file of its own, which says its number, a code and what it asks.</summary>
/// <param name="Number">Its number, by which installers name it, from 1.</param>
/// <param name="Code">Its code, such as "pool-before-fixed-address".</param>
/// <param name="Says">What it asks, in a sentence.</param>
/// <param name="Judge">What is wrong with a step, or with the state after it; what was wrong before it is taken off by the caller.</param>
public sealed record Invariant(int Number, string Code, string Says, Func<Step, IEnumerable<Violation>> Judge)
{
    /// <summary>
    /// Every invariant, by number: each is the one static member of type <see cref="Invariant"/> of a class in its folder.
    /// </summary>
    public static IReadOnlyList<Invariant> All { get; } =
    [
        .. typeof(Invariant)
            .Assembly.GetTypes()
            .Where(t => t.Namespace == typeof(Invariant).Namespace + ".Invariants")
            .SelectMany(t => t.GetProperties(BindingFlags.Static | BindingFlags.Public))
            .Where(p => p.PropertyType == typeof(Invariant))
            .Select(p => (Invariant)p.GetValue(null)!)
            .OrderBy(i => i.Number),
    ];

    /// <summary>What an act breaks: violations of any invariant that stand after it and did not stand before.</summary>
    public static IReadOnlyList<Broken> BrokenBy(State before, Act act, State after)
    {
        var broken = new List<Broken>();
        foreach (var rule in All)
        {
            var now = rule.Judge(new(before, act, after)).ToList();
            if (now.Count == 0)
            {
                continue;
            }
            // What stood before is found by the same rule, looking at a step on which nothing is done.
            var was = rule.Judge(new(before, null, before)).Select(v => v.Identity).ToHashSet(StringComparer.Ordinal);
            broken.AddRange(now.Where(v => !was.Contains(v.Identity)).DistinctBy(v => v.Identity).Select(v => new Broken(rule, v)));
        }
        return broken;
    }

    /// <summary>What is not as an invariant asks at the end: above all what was for the evening only and is not undone.</summary>
    public static IReadOnlyList<Broken> LeftBy(State end) =>
        [
            .. All.SelectMany(rule =>
                rule.Judge(new(end, null, end) { IsEnd = true }).DistinctBy(v => v.Identity).Select(v => new Broken(rule, v))
            ),
        ];
}

/// <summary>A step as an invariant looks at it.</summary>
/// <param name="Before">The state before.</param>
/// <param name="Act">What is done; null where only the state is looked at.</param>
/// <param name="After">The state after.</param>
public sealed record Step(State Before, Act? Act, State After)
{
    /// <summary>Whether nothing follows: what is temporary should be undone by now.</summary>
    public bool IsEnd { get; init; }
}

/// <summary>Something that is not as an invariant asks.</summary>
/// <param name="Subjects">Whom it is about.</param>
/// <param name="Text">What is wrong, as a sentence.</param>
public sealed record Violation(IReadOnlyList<string> Subjects, string Text)
{
    /// <summary>What makes two violations of one invariant the same.</summary>
    public string Identity => string.Join(' ', Subjects.Order(StringComparer.Ordinal));
}

/// <summary>An invariant that was broken.</summary>
/// <param name="Rule">Which.</param>
/// <param name="Violation">How.</param>
public sealed record Broken(Invariant Rule, Violation Violation);
