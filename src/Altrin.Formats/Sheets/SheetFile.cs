using System.Text.Json;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>The forms in which a run sheet is written.</summary>
public enum SheetForm
{
    /// <summary>Plain text, for a terminal.</summary>
    Text,

    /// <summary>Markdown, with boxes to tick.</summary>
    Markdown,

    /// <summary>One page that needs no server.</summary>
    Html,

    /// <summary>All of it as data.</summary>
    Json,

    /// <summary>A table (RFC 4180).</summary>
    Csv,

    /// <summary>A calendar (RFC 5545).</summary>
    Ics,
}

/// <summary>A run sheet as it is written.</summary>
/// <param name="Parts">
/// What is written, in order. Page, text and Markdown have one for each step and two more, and each takes as long as what it says of the
/// step takes to work out, so that it can be shown how far it is; other forms have one.
/// </param>
/// <param name="MediaType">What sort of content that is.</param>
/// <param name="Extension">The extension of a file of it.</param>
public sealed record SheetFile(IReadOnlyList<Func<CancellationToken, string>> Parts, string MediaType, string Extension)
{
    /// <summary>Writes a sheet. The same sheet gives the same text.</summary>
    /// <param name="form">In which form.</param>
    /// <param name="sheet">The sheet.</param>
    /// <param name="from">The set-up that it begins with.</param>
    /// <param name="to">The set-up that it ends in.</param>
    /// <param name="start">When the work begins, by the clock of the home: only a calendar needs it.</param>
    /// <exception cref="ArgumentNullException">A calendar has no start.</exception>
    public static SheetFile Of(SheetForm form, RunSheet sheet, string from, string to, DateTime? start = null)
    {
        var home = sheet.Start.Design.Site.Name;
        var title = $"Run sheet: {home}, from {from} to {to}";
        return form switch
        {
            SheetForm.Text => new(SheetText.Parts(sheet, title), "text/plain", "txt"),
            SheetForm.Markdown => new(SheetMarkdown.Parts(sheet, title), "text/markdown", "md"),
            SheetForm.Html => new(SheetHtml.Parts(sheet, title), "text/html", "html"),
            SheetForm.Json => Whole(
                JsonSerializer.Serialize(SheetDocument.Of(sheet, from, to), AltrinJson.Indented) + "\n",
                "application/json",
                "json"
            ),
            SheetForm.Csv => Whole(SheetTable.Of(sheet), "text/csv", "csv"),
            _ => Whole(SheetCalendar.Of(sheet, home, start ?? throw new ArgumentNullException(nameof(start))), "text/calendar", "ics"),
        };
    }

    private static SheetFile Whole(string content, string mediaType, string extension) => new([_ => content], mediaType, extension);
}
