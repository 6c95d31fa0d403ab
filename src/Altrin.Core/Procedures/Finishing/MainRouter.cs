using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>The router nearest to the internet line on the way of most devices.</summary>
internal static class MainRouter
{
    /// <summary>Its id; the box at the line where none does NAT, null where there is none either.</summary>
    public static string? Of(State planned) =>
        planned
            .Seen()
            .Internet.Select(i => i.NatBy.LastOrDefault(b => b != PortRef.Street))
            .OfType<string>()
            .GroupBy(b => b)
            .OrderByDescending(g => g.Count())
            .ThenBy(g => g.Key, StringComparer.Ordinal)
            .Select(g => g.Key)
            .FirstOrDefault()
        ?? Live.Gateway(planned.Design)?.Id;
}
