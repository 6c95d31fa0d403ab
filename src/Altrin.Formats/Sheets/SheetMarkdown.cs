using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A run sheet as Markdown (CommonMark, with task lists as is usual beside it): each step is a box to tick.</summary>
public static partial class SheetMarkdown
{
    /// <summary>The whole sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="title">Its heading.</param>
    public static string Of(RunSheet sheet, string title)
    {
        var (text, design) = (new StringBuilder(), sheet.Start.Design);
        text.Append("# ").Append(Plain(title)).Append("\n\n");
        text.Append(Plain(SheetWords.Totals(sheet))).Append(' ').Append(Plain(SheetWords.Window(sheet))).Append("\n\n");
        foreach (var part in SheetVerdict.Of(sheet))
        {
            text.Append(Plain(part.Says)).Append("\n\n");
            text.AppendJoin("", part.Items.Select(i => $"- {Plain(i)}\n")).Append(part.Items.Count > 0 ? "\n" : "");
        }
        if (sheet.Material.Count > 0)
        {
            text.Append("\n## Take along\n\n");
            foreach (var item in sheet.Material)
            {
                text.Append("- [ ] ").Append(Plain(item)).Append('\n');
            }
        }
        Checks(text, SheetChecks.Before(sheet));
        Phase? phase = null;
        foreach (var (step, i) in sheet.Steps.Select((s, i) => (s, i)))
        {
            if (step.Phase != phase)
            {
                text.Append("\n## ").Append(PhaseWords.Of(step.Phase)).Append("\n\n");
                phase = step.Phase;
            }
            text.Append(CultureInfo.InvariantCulture, $"- [ ] **{i + 1}. {Plain(step.Says)}** ({SheetWords.About(step.Takes.Usual)})\n");
            foreach (var line in SheetWords.Lines(step, design))
            {
                var head = line.Head is { } what ? $"*{what}:* " : "";
                text.Append(line.Kind == StepTextKind.Value ? "    - " : "  - ").Append(head).Append(Plain(line.Says)).Append('\n');
            }
        }
        Checks(text, SheetChecks.After(sheet));
        return text.ToString();
    }

    private static void Checks(StringBuilder text, IEnumerable<SheetChecks> lists)
    {
        foreach (var list in lists)
        {
            text.Append("\n## ").Append(list.Title).Append("\n\n");
            foreach (var item in list.Items)
            {
                text.Append(CultureInfo.InvariantCulture, $"- [ ] **{Plain(item.About)}.** {Plain(item.Says)}\n");
                text.AppendJoin("", item.Each.Select(e => $"  - {Plain(e)}\n"));
            }
        }
    }

    /// <summary>Text with nothing in it that Markdown would take for a mark.</summary>
    private static string Plain(string text) => Mark().Replace(text, @"\$0");

    [GeneratedRegex(@"[\\`*_{}\[\]<>#|~]", RegexOptions.NonBacktracking)]
    private static partial Regex Mark();
}
