using System.Globalization;
using System.Text;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A run sheet as plain text, for a terminal.</summary>
public static class SheetText
{
    /// <summary>The sheet in its parts, in order; the last moment of a step is worked out when its part is asked for.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="title">What stands at its head.</param>
    public static IReadOnlyList<Func<CancellationToken, string>> Parts(RunSheet sheet, string title) =>
        SheetParts.Of(sheet, () => Head(sheet, title), (i, cancel) => Step(sheet, i, cancel), () => Checks(SheetChecks.After(sheet)));

    private static string Head(RunSheet sheet, string title)
    {
        var text = new StringBuilder();
        text.Append(title).Append('\n').Append(SheetWords.Totals(sheet)).Append('\n').Append(SheetWords.Window(sheet)).Append('\n');
        foreach (var part in SheetVerdict.Of(sheet))
        {
            text.Append(part.Says).Append('\n').AppendJoin("", part.Items.Select(i => $"- {i}\n"));
        }
        if (sheet.Material.Count > 0)
        {
            text.Append("\nTake along\n");
            foreach (var item in sheet.Material)
            {
                text.Append("  - ").Append(item).Append('\n');
            }
        }
        return text.Append(Checks(SheetChecks.Before(sheet))).ToString();
    }

    private static string Step(RunSheet sheet, int i, CancellationToken cancel)
    {
        var (text, step) = (new StringBuilder(), sheet.Steps[i]);
        if (SheetParts.Phase(sheet, i) is { } phase)
        {
            text.Append('\n').Append(phase).Append('\n');
        }
        text.Append(CultureInfo.InvariantCulture, $"{i + 1, 3}  {step.Says}  ({SheetWords.About(step.Takes.Usual)})\n");
        foreach (var line in SheetWords.Lines(step, sheet.Start.Design))
        {
            text.Append("       ")
                .Append(
                    line.Kind switch
                    {
                        StepTextKind.Act => "· ",
                        StepTextKind.Value => "    ",
                        _ when line.Head is { } head => $"{head}: ",
                        _ => "",
                    }
                )
                .Append(line.Says)
                .Append('\n');
        }
        return text.AppendJoin("", SheetWords.Warnings(sheet, i, cancel).Select(w => $"       {w}\n")).ToString();
    }

    private static string Checks(IEnumerable<SheetChecks> lists)
    {
        var text = new StringBuilder();
        foreach (var list in lists)
        {
            text.Append('\n').Append(list.Title).Append('\n');
            foreach (var item in list.Items)
            {
                text.Append(CultureInfo.InvariantCulture, $"  - {item.About}. {item.Says}\n")
                    .AppendJoin("", item.Each.Select(e => $"      {e}\n"));
            }
        }
        return text.ToString();
    }
}
