using System.Globalization;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>A run sheet as a table (RFC 4180): one row a step.</summary>
public static class SheetTable
{
    private static readonly string[] Heads =
    [
        "number",
        "id",
        "phase",
        "what",
        "where",
        "values",
        "begins (min)",
        "takes (s)",
        "least (s)",
        "most (s)",
        "why",
        "without internet",
        "breaks",
        "caution",
        "way back",
        "rest",
    ];

    /// <summary>The table.</summary>
    public static string Of(RunSheet sheet) =>
        CsvTable.Write(
            Heads,
            sheet.Steps.Select(
                (s, i) =>
                    (IReadOnlyList<string?>)
                        [
                            $"{i + 1}",
                            s.Id,
                            PhaseWords.Of(s.Phase),
                            s.Says,
                            SheetWords.Where(sheet.Start.Design, s),
                            string.Join("; ", s.Lines.Select(SheetWords.Line)),
                            (s.Before.Time - sheet.Start.Time).TotalMinutes.ToString("0.#", CultureInfo.InvariantCulture),
                            Seconds(s.Takes.Usual),
                            Seconds(s.Takes.Least),
                            Seconds(s.Takes.Most),
                            s.Why,
                            string.Join("; ", s.Offline.Select(sheet.Start.Design.NameOf)),
                            string.Join("; ", s.Broken.Select(b => $"rule {b.Rule.Number}: {b.Violation.Text}")),
                            string.Join(" ", s.Cautions),
                            s.Undo?.Says,
                            s.IsRest ? "yes" : "",
                        ]
            )
        );

    private static string Seconds(TimeSpan time) => time.TotalSeconds.ToString("0", CultureInfo.InvariantCulture);
}
