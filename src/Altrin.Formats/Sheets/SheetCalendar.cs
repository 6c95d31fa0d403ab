using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Altrin.Core.Procedures.Sheets;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;

namespace Altrin.Formats;

/// <summary>
/// A run sheet as a calendar (RFC 5545): one event for each part of the evening, and one for the time in which the internet is away. Times
/// are those of the home's own clock (section 3.3.5, form 1).
/// </summary>
public static class SheetCalendar
{
    /// <summary>The calendar.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="home">What the home is called.</param>
    /// <param name="start">When the work begins, by the clock of the home.</param>
    public static string Of(RunSheet sheet, string home, DateTime start)
    {
        var calendar = new Ical.Net.Calendar { ProductId = "-//Altrin//Run sheet//EN", Method = "PUBLISH" };
        foreach (var part in Parts(sheet))
        {
            var steps = part.Select(s => $"{SheetWords.Number(sheet, s)}. {s.Says}")
                .Concat(part[^1] == sheet.Steps[^1] ? SheetChecks.After(sheet).SelectMany(Said) : []);
            calendar.Events.Add(
                Event(sheet, start, part, $"{home}: {PhaseWords.Of(part[0].Phase)}", string.Join('\n', steps), $"{part[0].Id}-{part.Count}")
            );
        }
        if (sheet.Window is { Count: > 0 } window)
        {
            calendar.Events.Add(Event(sheet, start, window, $"{home}: internet away for some devices", SheetWords.Window(sheet), "window"));
        }
        return new CalendarSerializer().SerializeToString(calendar)!;
    }

    private static IEnumerable<string> Said(SheetChecks list) => list.Items.Select(c => $"{c.About}. {c.Says}").Prepend($"{list.Title}:");

    private static CalendarEvent Event(
        RunSheet sheet,
        DateTime start,
        IReadOnlyList<SheetStep> steps,
        string title,
        string says,
        string id
    ) =>
        new()
        {
            Summary = title,
            Description = says,
            Start = At(start, steps[0].Before.Time - sheet.Start.Time),
            End = At(start, steps[^1].After.Time - sheet.Start.Time),
            // The same sheet gives the same calendar: nothing of it depends on when it was written.
            DtStamp = new CalDateTime(DateTime.SpecifyKind(start, DateTimeKind.Utc), "UTC"),
            Uid = $"{Digest($"{title} {start.ToString("s", CultureInfo.InvariantCulture)} {id}")}@altrin.invalid",
        };

    private static CalDateTime At(DateTime start, TimeSpan after) => new(DateTime.SpecifyKind(start + after, DateTimeKind.Unspecified));

    /// <summary>Steps that follow each other in one part of the evening.</summary>
    private static List<List<SheetStep>> Parts(RunSheet sheet)
    {
        var parts = new List<List<SheetStep>>();
        foreach (var step in sheet.Steps)
        {
            if (parts is [.., var last] && last[0].Phase == step.Phase)
            {
                last.Add(step);
            }
            else
            {
                parts.Add([step]);
            }
        }
        return parts;
    }

    private static string Digest(string words) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(words)))[..16];
}
