using System.Net;
using System.Net.Sockets;
using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Altrin.Web;

/// <summary>The outside view, typed.</summary>
/// <param name="Seen">The address that an outside service says it sees.</param>
internal sealed record TypedOutside(string Seen)
{
    /// <summary>The WAN address on the page of the outermost box; null where not read.</summary>
    public string? Wan { get; init; }
}

/// <summary>One run of a speed test, typed.</summary>
/// <param name="By">By what.</param>
/// <param name="DownMbps">Towards the home, in Mb/s.</param>
internal sealed record TypedRun(RunBy By, double DownMbps)
{
    /// <summary>When, in words.</summary>
    public string? At { get; init; }

    /// <summary>Where: the id of a place, or words.</summary>
    public string? Place { get; init; }

    /// <summary>With what.</summary>
    public string? Tool { get; init; }

    /// <summary>How long it ran, in seconds.</summary>
    public double? Seconds { get; init; }

    /// <summary>How much it moved, in megabytes.</summary>
    public double? Megabytes { get; init; }

    /// <summary>From the home, in Mb/s.</summary>
    public double? UpMbps { get; init; }

    /// <summary>The other end: the id of a device or box, or words; null or empty for a server on the internet.</summary>
    public string? To { get; init; }
}

/// <summary>What was taken: exactly one of the four.</summary>
internal sealed record ReadingContent
{
    /// <summary>A text that a machine printed.</summary>
    public string? Text { get; init; }

    /// <summary>A packet capture, in base64.</summary>
    public string? Capture { get; init; }

    /// <summary>The outside view.</summary>
    public TypedOutside? Outside { get; init; }

    /// <summary>Runs of a speed test.</summary>
    public IReadOnlyList<TypedRun>? Runs { get; init; }
}

/// <summary>A reading to be looked at.</summary>
/// <param name="Content">What was taken.</param>
/// <param name="SetUp">The set-up that it was taken in.</param>
internal sealed record ReadRequest(ReadingContent Content, string SetUp)
{
    /// <summary>Where it was taken, by the id of a seat; null where that is not said.</summary>
    public string? Seat { get; init; }

    /// <summary>In which place; null where that is not said.</summary>
    public string? Place { get; init; }
}

/// <summary>A reading to be kept.</summary>
/// <param name="Content">What was taken.</param>
/// <param name="SetUp">The set-up that it was taken in.</param>
/// <param name="Name">Where it came from: a file's name, or words.</param>
/// <param name="Accepted">Ids of the statements that are to be written into the survey.</param>
internal sealed record KeepRequest(ReadingContent Content, string SetUp, string Name, IReadOnlyList<string> Accepted)
{
    /// <summary>Where it was taken, by the id of a seat.</summary>
    public string? Seat { get; init; }

    /// <summary>In which place.</summary>
    public string? Place { get; init; }

    /// <summary>When it was taken; now where that is not said.</summary>
    public DateTimeOffset? TakenAt { get; init; }
}

/// <summary>A reading, and how it stands to the home.</summary>
/// <param name="Reading">What was read.</param>
/// <param name="Comparison">How it stands to what is recorded now.</param>
internal sealed record ReadingView(Reading Reading, ReadingComparison Comparison);

/// <summary>A kept reading.</summary>
/// <param name="Info">When, where, from what.</param>
/// <param name="View">What it says, held against the home as it is now.</param>
/// <param name="Text">The text; null for a capture, which is fetched as a file.</param>
internal sealed record KeptReading(ReadingInfo Info, ReadingView View, string? Text);

/// <summary>Whether a reading is in the list.</summary>
/// <param name="Archived">Whether it is archived.</param>
internal sealed record ReadingArchived(bool Archived);

/// <summary>Device lists to be compared; kept ones by id, others as text. Several of a side are pages of one list.</summary>
/// <param name="Before">Kept ones, taken before.</param>
/// <param name="After">Kept ones, taken after.</param>
internal sealed record DifferenceRequest(IReadOnlyList<long> Before, IReadOnlyList<long> After)
{
    /// <summary>A list taken before, pasted.</summary>
    public string? BeforeText { get; init; }

    /// <summary>A list taken after, pasted.</summary>
    public string? AfterText { get; init; }

    /// <summary>The box that is expected to be new.</summary>
    public string? Expected { get; init; }
}

/// <summary>A search for a box in address tables.</summary>
/// <param name="Readings">Kept ones, by id.</param>
internal sealed record MovedRequest(IReadOnlyList<long> Readings)
{
    /// <summary>A table, pasted.</summary>
    public string? Text { get; init; }

    /// <summary>The box; null to go by digits.</summary>
    public string? Box { get; init; }

    /// <summary>The last digits of its label.</summary>
    public string? Digits { get; init; }
}

/// <summary>Makes what was taken into bytes to be read and kept.</summary>
internal static class ReadingContents
{
    /// <summary>How many runs are typed at once.</summary>
    private const int MostRuns = 200;

    /// <summary>The bytes to keep; what is typed becomes a text that reads back. Gives the problem where there is none.</summary>
    public static ProblemHttpResult? Bytes(ReadingContent content, out byte[] bytes, out bool capture)
    {
        (bytes, capture) = ([], content.Capture is not null);
        if (new object?[] { content.Text, content.Capture, content.Outside, content.Runs }.Count(c => c is not null) != 1)
        {
            return Problems.Field("/content", "none or several", "Exactly one of text, capture, outside and runs.");
        }
        switch (content)
        {
            case { Text: { } text }:
                if (text.Length > Reading.LongestText)
                {
                    return Problems.Field(
                        "/content/text",
                        $"{text.Length} characters",
                        $"At most {Reading.LongestText:#,0} characters are read."
                    );
                }
                if (string.IsNullOrWhiteSpace(text))
                {
                    return Problems.Field("/content/text", "nothing", "What a machine printed is expected.");
                }
                bytes = Encoding.UTF8.GetBytes(text);
                return null;
            case { Capture: { } base64 }:
                var held = new byte[(base64.Length / 4 * 3) + 3];
                if (!Convert.TryFromBase64String(base64, held, out var length))
                {
                    return Problems.Field("/content/capture", "text that is no base64", "The bytes of a capture in base64 (RFC 4648).");
                }
                bytes = held[..length];
                return CaptureReader.Read(bytes) is { Ok: false, Error: { } error }
                    ? Problems.Field("/content/capture", $"{length} bytes", error)
                    : null;
            case { Outside: { } outside }:
                if (
                    !IPAddress.TryParse(outside.Seen.Trim(), out var seen)
                    || (seen.AddressFamily == AddressFamily.InterNetwork && !Ipv4Address.Parse(outside.Seen.Trim()).Ok)
                )
                {
                    return Problems.Field(
                        "/content/outside/seen",
                        outside.Seen,
                        "The address that the outside service shows, such as 203.0.113.80."
                    );
                }
                var wan = string.IsNullOrWhiteSpace(outside.Wan) ? (Parsed<Ipv4Address>?)null : Ipv4Address.Parse(outside.Wan.Trim());
                if (wan is { Ok: false, Error: { } why })
                {
                    return Problems.Field("/content/outside/wan", outside.Wan!, why);
                }
                bytes = Encoding.UTF8.GetBytes(TypedReader.WriteOutside(outside.Seen.Trim(), wan?.Value));
                return null;
            default:
                return Runs(content.Runs!, out bytes);
        }
    }

    private static ProblemHttpResult? Runs(IReadOnlyList<TypedRun> runs, out byte[] bytes)
    {
        bytes = [];
        if (runs.Count is 0 or > MostRuns)
        {
            return Problems.Field("/content/runs", $"{runs.Count} runs", $"1 to {MostRuns} runs.");
        }
        for (var i = 0; i < runs.Count; i++)
        {
            var run = runs[i];
            if (
                !(run.DownMbps is > 0 and <= SpeedMeasure.MostMbps)
                || run.UpMbps is <= 0 or > SpeedMeasure.MostMbps
                || run.Seconds is <= 0 or > 86_400
                || run.Megabytes is <= 0 or > 1_000_000
            )
            {
                return Problems.Field(
                    $"/content/runs/{i}",
                    $"{run.DownMbps} Mb/s",
                    $"A rate over 0 and up to {SpeedMeasure.MostMbps:#,0} Mb/s, a length up to a day, and up to 1,000,000 MB."
                );
            }
            if (new[] { run.At, run.Place, run.Tool, run.To }.Any(w => w is { Length: > 60 } || (w ?? "").Any(char.IsControl)))
            {
                return Problems.Field(
                    $"/content/runs/{i}",
                    "long words",
                    "Time, place, tool and other end have at most 60 characters on one line."
                );
            }
        }
        bytes = Encoding.UTF8.GetBytes(
            TypedReader.WriteRuns([
                .. runs.Select(r => new SpeedRun(
                    0,
                    r.At ?? "",
                    r.Place ?? "",
                    r.By,
                    r.Tool ?? "",
                    r.Seconds,
                    r.Megabytes,
                    r.DownMbps,
                    r.UpMbps,
                    r.To ?? ""
                )),
            ])
        );
        return null;
    }
}
