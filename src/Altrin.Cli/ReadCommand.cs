using System.CommandLine;
using System.Globalization;
using System.Text;
using System.Text.Json;
using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>"altrin read": what a text or a capture says, and how it stands to a home.</summary>
internal static class ReadCommand
{
    public static Command Make(Stream input, TextWriter output, TextWriter errors)
    {
        var file = new Argument<string>("FILE") { Description = "What a machine printed, or a packet capture; - for standard input." };
        var home = new Option<string?>("--home") { Description = "A design file to hold it against.", HelpName = "FILE" };
        var at = new Option<string?>("--at")
        {
            Description = "Where it was taken: a box or device; or a free port such as hall-gateway/lan3.",
            HelpName = "SEAT",
        };
        var setUp = new Option<string?>("--set-up")
        {
            Description = "In which set-up it was taken; 'planned' where there is one, else the last.",
            HelpName = "NAME",
        };
        var acts = new Option<string?>("--acts")
        {
            Description = "A list of acts (docs/acts.md): it was taken by the laptop on that evening, after --step.",
            HelpName = "FILE",
        };
        var step = StepOption.Make("--step", "After which act of the list, from 1; the last where left out.");
        var json = new Option<bool>("--json") { Description = "Print it as JSON." };
        var command = new Command("read", "Reads what machines print: addresses, routes, tables, scans, leases, captures.")
        {
            file,
            home,
            at,
            setUp,
            acts,
            step,
            json,
        };
        command.SetAction(parsed =>
        {
            if (
                Contradicts(
                    parsed.GetValue(home),
                    parsed.GetValue(acts),
                    parsed.GetValue(step),
                    parsed.GetValue(at) ?? parsed.GetValue(setUp)
                ) is
                { } why
            )
            {
                errors.WriteLine($"altrin: {why}");
                return ExitCode.BadInput;
            }
            var read = Read(parsed.GetValue(file)!, input);
            if (!read.Ok)
            {
                errors.WriteLine($"altrin: {read.Error}");
                return ExitCode.BadInput;
            }
            ReadingComparison? comparison = null;
            if (parsed.GetValue(home) is { } path)
            {
                if (parsed.GetValue(acts) is { } evening)
                {
                    if (PlayCommand.After(path, evening, parsed.GetValue(step), input, errors) is not { } then)
                    {
                        return ExitCode.BadInput;
                    }
                    comparison = ReadingComparison.Of(new HomeFile(then.Design.Site, [then.Design.SetUp]), then.Moment, read.Value);
                }
                else if (DesignSource.Read(path, parsed.GetValue(setUp), input, errors) is { } design)
                {
                    comparison = ReadingComparison.Of(new HomeFile(design.Site, [design.SetUp]), design, parsed.GetValue(at), read.Value);
                }
                else
                {
                    return ExitCode.BadInput;
                }
            }
            if (parsed.GetValue(json))
            {
                output.WriteLine(JsonSerializer.Serialize(new { reading = read.Value, comparison }, AltrinJson.Indented));
            }
            else
            {
                Print(output, read.Value, comparison);
            }
            if (read.Value.Blocks.Count == 0)
            {
                errors.WriteLine(
                    $"altrin: nothing of {(parsed.GetValue(file) == "-" ? "standard input" : parsed.GetValue(file))} is understood. What is read stands in docs/readings.md."
                );
                return ExitCode.BadInput;
            }
            return ExitCode.Sound;
        });
        return command;
    }

    /// <summary>Why options do not go together; null where they do.</summary>
    private static string? Contradicts(string? home, string? acts, int? step, string? where) =>
        acts is null
            ? step is null
                ? null
                : "--step counts the acts of a list: name it with --acts."
            : home is null
                ? "--acts is played on a home: name it with --home."
                : where is null
                    ? null
                    : "--acts says where the laptop is, and how the home is set: leave --at and --set-up out.";

    private static Parsed<Reading> Read(string path, Stream input)
    {
        try
        {
            using var source = DesignSource.Open(path, input);
            // A character has at most four bytes; what is longer is refused by its length either way.
            var bytes = DesignSource.ReadAtMost(source, (4 * Reading.LongestText) + 1);
            return CaptureReader.IsOne(bytes) ? CaptureReader.Read(bytes) : ReadingText.Read(Encoding.UTF8.GetString(bytes));
        }
        catch (Exception e) when (DesignSource.WhyUnread(path, e) is { } why)
        {
            return Parsed<Reading>.Fail(why);
        }
    }

    private static void Print(TextWriter output, Reading reading, ReadingComparison? comparison)
    {
        output.WriteLine(
            $"{reading.Lines} {(reading.Lines == 1 ? "line" : "lines")}: {(reading.Blocks.Count == 0 ? "nothing understood" : string.Join(", ", reading.Blocks.Select(b => $"{b.Kind} {b.First}-{b.Last}")))}"
        );
        foreach (var statement in comparison?.Statements ?? [])
        {
            output.WriteLine($"{statement.Agreement, -9} {statement.Found}{(statement.Recorded is { } recorded ? $" {recorded}" : "")}");
            foreach (var explained in statement.Explanations)
            {
                output.WriteLine($"          {explained.Text}");
            }
        }
        foreach (var runs in comparison?.Baseline ?? [])
        {
            var by = runs.By.Word();
            output.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"Speed     {runs.Place}, by {by}{(runs.To is { } to ? $", to {to}" : "")}: {Rate(runs.Down, "down")}{Rate(runs.Up, "up")}{runs.Usable} of {runs.Runs} {(runs.Runs == 1 ? "run counts" : "runs count")}."
                )
            );
            foreach (var said in runs.Says)
            {
                output.WriteLine($"          {said}");
            }
        }
        foreach (var unread in reading.Unread)
        {
            output.WriteLine($"unread    {unread.Line}: {unread.Text} ({unread.Why})");
        }
    }

    private static string Rate(MedianSpread? of, string way) =>
        of is null ? "" : string.Create(CultureInfo.InvariantCulture, $"{of.Median:0.#} ({of.Least:0.#} to {of.Most:0.#}) Mb/s {way}, ");
}
