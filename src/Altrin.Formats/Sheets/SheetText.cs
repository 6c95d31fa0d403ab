using System.Globalization;
using System.Text;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A run sheet as plain text, for a terminal.</summary>
public static class SheetText
{
    /// <summary>The whole sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="title">What stands at its head.</param>
    public static string Of(RunSheet sheet, string title)
    {
        var (text, design) = (new StringBuilder(), sheet.Start.Design);
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
        Checks(text, SheetChecks.Before(sheet));
        Phase? phase = null;
        foreach (var (step, i) in sheet.Steps.Select((s, i) => (s, i)))
        {
            if (step.Phase != phase)
            {
                text.Append('\n').Append(PhaseWords.Of(step.Phase)).Append('\n');
                phase = step.Phase;
            }
            text.Append(CultureInfo.InvariantCulture, $"{i + 1, 3}  {step.Says}  ({SheetWords.About(step.Takes.Usual)})\n");
            foreach (var line in SheetWords.Lines(step, design))
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
        }
        Checks(text, SheetChecks.After(sheet));
        return text.ToString();
    }

    private static void Checks(StringBuilder text, IEnumerable<SheetChecks> lists)
    {
        foreach (var list in lists)
        {
            text.Append('\n').Append(list.Title).Append('\n');
            foreach (var item in list.Items)
            {
                text.Append(CultureInfo.InvariantCulture, $"  - {item.About}. {item.Says}\n")
                    .AppendJoin("", item.Each.Select(e => $"      {e}\n"));
            }
        }
    }
}
