using System.Globalization;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>
/// A run sheet as a table (RFC 4180): one row a step, between what is looked up before and what is to be proven at the end, which have no
/// number and take no time of their own.
/// </summary>
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
            SheetChecks.Before(sheet).SelectMany(Rows).Concat(Steps(sheet)).Concat(SheetChecks.After(sheet).SelectMany(Rows))
        );

    private static IEnumerable<IReadOnlyList<string?>> Steps(RunSheet sheet) =>
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
        );

    private static IEnumerable<IReadOnlyList<string?>> Rows(SheetChecks list) =>
        list.Items.Select(c =>
            (IReadOnlyList<string?>)
                [
                    "",
                    $"check-{c.Id}",
                    list.Title,
                    c.About,
                    "",
                    string.Join("; ", c.Each),
                    .. Enumerable.Repeat("", 4),
                    c.Says,
                    .. Enumerable.Repeat("", Heads.Length - 11),
                ]
        );

    private static string Seconds(TimeSpan time) => time.TotalSeconds.ToString("0", CultureInfo.InvariantCulture);
}
