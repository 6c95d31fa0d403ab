using System.Text;
using Altrin.Core.Findings;

namespace Altrin.Formats;

/// <summary>The list of findings as a document (docs/findings.md), made from the rules.</summary>
public static class FindingsDocument
{
    /// <summary>The document, in Markdown.</summary>
    public static string Text
    {
        get
        {
            var text = new StringBuilder(
                """
                # Findings

                Made from the rules by `altrin document findings`. A finding means *will not work* when a stated need, or
                ordinary internet of some device, is broken by it or left to luck; otherwise it is a concern. Remedies are
                proven before they are offered: they make their finding go and bring none that is as bad. Standards are named
                from memory.

                | code | what it says | why it hurts | source |
                |---|---|---|---|

                """
            );
            foreach (var rule in Rule.All)
            {
                text.Append($"| `{rule.Code}` | {rule.Says} | {rule.Hurts} | {rule.Source} |\n");
            }
            text.Append(
                """

                ## Mistakes of the trade

                Where each is caught: by the rules named, during the work, or not yet. Each rule has remedies that can be applied,
                or advice for what only the provider, the customer or the installer's hands can do.

                | mistake | caught by |
                |---|---|

                """
            );
            foreach (var mistake in Mistake.All)
            {
                text.Append($"| {mistake.What} | {mistake.Otherwise ?? string.Join(", ", mistake.Codes.Select(c => $"`{c}`"))} |\n");
            }
            return text.ToString();
        }
    }
}
