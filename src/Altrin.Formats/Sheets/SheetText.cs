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
        foreach (var line in SheetWords.Verdict(sheet))
        {
            text.Append(line).Append('\n');
        }
        if (sheet.Material.Count > 0)
        {
            text.Append("\nTake along\n");
            foreach (var item in sheet.Material)
            {
                text.Append("  - ").Append(item).Append('\n');
            }
        }
        Phase? phase = null;
        foreach (var (step, i) in sheet.Steps.Select((s, i) => (s, i)))
        {
            if (step.Phase != phase)
            {
                text.Append('\n').Append(PhaseWords.Of(step.Phase)).Append('\n');
                phase = step.Phase;
            }
            text.Append(CultureInfo.InvariantCulture, $"{i + 1, 3}  {step.Says}  ({SheetWords.About(step.Takes.Usual)})\n");
            foreach (var line in Lines(step, SheetWords.Where(design, step), design.NameOf))
            {
                text.Append("       ").Append(line).Append('\n');
            }
        }
        return text.ToString();
    }

    private static IEnumerable<string> Lines(SheetStep step, string? where, Func<string, string> name)
    {
        if (where is not null)
        {
            yield return where;
        }
        foreach (var act in step.Acts)
        {
            if (step.Acts.Count > 1)
            {
                yield return $"· {act.Says}{(act == step.Main && step.Lines.Count > 0 ? ":" : "")}";
            }
            foreach (var line in act == step.Main ? step.Lines : [])
            {
                yield return $"    {SheetWords.Line(line)}";
            }
        }
        if (step.Why is { } why)
        {
            yield return $"Why: {why}";
        }
        foreach (var seen in step.Sees())
        {
            yield return $"See: {seen.What}: {seen.Says}";
        }
        if (step.Assumes is { } assumed)
        {
            yield return $"Taken to be so: {assumed.If}. It may be instead: {string.Join("; ", assumed.Otherwise)}.";
        }
        if (step.Offline.Count > 0)
        {
            yield return $"Without internet: {string.Join(", ", step.Offline.Select(name))}";
        }
        foreach (var broken in step.Broken)
        {
            yield return $"BREAKS rule {broken.Rule.Number}: {broken.Violation.Text}";
        }
        foreach (var departs in step.Acts.SelectMany(a => a.Departs))
        {
            yield return $"Not your way: {departs}";
        }
        foreach (var caution in step.Cautions)
        {
            yield return $"Caution: {caution}";
        }
        if (!step.Undo.Can)
        {
            yield return step.Undo.Says;
        }
        if (step.IsRest)
        {
            yield return "One can rest here.";
        }
    }
}
