using System.Reflection;

namespace Altrin.Core.Findings;

/// <summary>One rule of the trade: looks at the evidence and says what is wrong.</summary>
/// <param name="Code">Unique, in small letters with hyphens.</param>
/// <param name="Flag">Two to four words for a mark on the drawing.</param>
/// <param name="Says">What it says, in one line.</param>
/// <param name="Hurts">Why that hurts.</param>
/// <param name="Source">A standard by number (from memory unless said otherwise), or "common practice".</param>
/// <param name="Judge">The findings in a case; severity and proof of remedies are added by <see cref="Judging"/>.</param>
public sealed record Rule(string Code, string Flag, string Says, string Hurts, string Source, Func<Evidence, IEnumerable<Finding>> Judge)
{
    /// <summary>
    /// Every rule, by code: each is the one static member of type <see cref="Rule"/> of a class in this folder, so that
    /// a rule is added by adding its file.
    /// </summary>
    public static IReadOnlyList<Rule> All { get; } =
    [
        .. typeof(Rule)
            .Assembly.GetTypes()
            .Where(t => t.Namespace == typeof(Rule).Namespace + ".Rules")
            .SelectMany(t => t.GetProperties(BindingFlags.Static | BindingFlags.Public))
            .Where(p => p.PropertyType == typeof(Rule))
            .Select(p => (Rule)p.GetValue(null)!)
            .OrderBy(r => r.Code, StringComparer.Ordinal),
    ];
}
