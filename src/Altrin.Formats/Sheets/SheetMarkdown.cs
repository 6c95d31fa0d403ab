using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A run sheet as Markdown (CommonMark, with task lists as is usual beside it): each step is a box to tick.</summary>
public static partial class SheetMarkdown
{
    /// <summary>The sheet in its parts, in order; the last moment of a step is worked out when its part is asked for.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="title">Its heading.</param>
    public static IReadOnlyList<Func<CancellationToken, string>> Parts(RunSheet sheet, string title) =>
        SheetParts.Of(sheet, () => Head(sheet, title), (i, cancel) => Step(sheet, i, cancel), () => Checks(SheetChecks.After(sheet)));

    private static string Head(RunSheet sheet, string title)
    {
        var text = new StringBuilder();
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
        return text.Append(Checks(SheetChecks.Before(sheet))).ToString();
    }

    private static string Step(RunSheet sheet, int i, CancellationToken cancel)
    {
        var (text, step) = (new StringBuilder(), sheet.Steps[i]);
        if (SheetParts.Phase(sheet, i) is { } phase)
        {
            text.Append("\n## ").Append(phase).Append("\n\n");
        }
        text.Append(CultureInfo.InvariantCulture, $"- [ ] **{i + 1}. {Plain(step.Says)}** ({SheetWords.About(step.Takes.Usual)})\n");
        foreach (var line in SheetWords.Lines(step, sheet.Start.Design))
        {
            var head = line.Head is { } what ? $"*{what}:* " : "";
            text.Append(line.Kind == StepTextKind.Value ? "    - " : "  - ").Append(head).Append(Plain(line.Says)).Append('\n');
        }
        return text.AppendJoin("", SheetWords.Warnings(sheet, i, cancel).Select(w => $"  - {Plain(w)}\n")).ToString();
    }

    private static string Checks(IEnumerable<SheetChecks> lists)
    {
        var text = new StringBuilder();
        foreach (var list in lists)
        {
            text.Append("\n## ").Append(list.Title).Append("\n\n");
            foreach (var item in list.Items)
            {
                text.Append(CultureInfo.InvariantCulture, $"- [ ] **{Plain(item.About)}.** {Plain(item.Says)}\n");
                text.AppendJoin("", item.Each.Select(e => $"  - {Plain(e)}\n"));
            }
        }
        return text.ToString();
    }

    /// <summary>Text with nothing in it that Markdown would take for a mark.</summary>
    private static string Plain(string text) => Mark().Replace(text, @"\$0");

    [GeneratedRegex(@"[\\`*_{}\[\]<>#|~]", RegexOptions.NonBacktracking)]
    private static partial Regex Mark();
}
