using System.CommandLine;
using System.Globalization;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Formats;
using Spectre.Console;

namespace Altrin.Cli;

/// <summary>"altrin sheet": the order of the work from one set-up of a home to another.</summary>
internal static class SheetCommand
{
    /// <summary>How a start is written: date and time by the clock of the home.</summary>
    private const string Start = "yyyy-MM-dd'T'HH:mm";

    public static Command Make(Stream input, TextWriter output, TextWriter errors, bool progress)
    {
        var home = new Argument<string>("HOME") { Description = "A design file; - for standard input." };
        var from = new Option<string>("--from")
        {
            Description = "The set-up that the work begins with.",
            DefaultValueFactory = _ => "found",
        };
        var to = new Option<string>("--to") { Description = "The set-up that it ends in.", DefaultValueFactory = _ => "planned" };
        var form = new Option<SheetForm>("--as")
        {
            Description = "The form: text, markdown, html, json, csv or ics.",
            HelpName = "FORM",
            CustomParser = typed =>
            {
                if (
                    Enum.TryParse<SheetForm>(typed.Tokens[0].Value, ignoreCase: true, out var form)
                    && !char.IsDigit(typed.Tokens[0].Value[0])
                )
                {
                    return form;
                }
                typed.AddError($"--as is text, markdown, html, json, csv or ics, not '{typed.Tokens[0].Value}'.");
                return default;
            },
        };
        var start = new Option<DateTime?>("--start")
        {
            Description = "When the work begins, such as 2026-12-04T19:00: a calendar needs it.",
            HelpName = "TIME",
            CustomParser = typed =>
            {
                if (DateTime.TryParseExact(typed.Tokens[0].Value, Start, CultureInfo.InvariantCulture, DateTimeStyles.None, out var time))
                {
                    return time;
                }
                typed.AddError($"--start is a date and a time such as 2026-12-04T19:00, not '{typed.Tokens[0].Value}'.");
                return null;
            },
        };
        var back = new Option<string?>("--back")
        {
            Description = "Writes the way back from the state after a step instead: its number, 0 for before the first, or its id.",
            HelpName = "STEP",
        };
        var way = WayOption.Make();
        var command = new Command("sheet", "Works out a run sheet: what is done in which order, and what is seen then.")
        {
            home,
            from,
            to,
            form,
            start,
            back,
            way,
        };
        command.SetAction(parsed =>
        {
            var (begins, ends) = (parsed.GetValue(from)!, parsed.GetValue(to)!);
            if (parsed.GetValue(form) == SheetForm.Ics && parsed.GetValue(start) is null)
            {
                errors.WriteLine("altrin: a calendar needs --start, such as --start 2026-12-04T19:00.");
                return ExitCode.BadInput;
            }
            if (
                WayOption.Read(parsed.GetValue(way) ?? [], errors) is not { } ways
                || DesignSource.Home(parsed.GetValue(home)!, input, errors) is not { } read
                || DesignSource.SetUp(read, begins, errors) is not { } found
                || DesignSource.SetUp(read, ends, errors) is not { } planned
            )
            {
                return ExitCode.BadInput;
            }
            var sheet = RunSheet.Derive(State.Morning(found), planned.SetUp, ways);
            if (parsed.GetValue(back) is not { } after)
            {
                Write(SheetFile.Of(parsed.GetValue(form), sheet, begins, ends, parsed.GetValue(start)), output, progress ? errors : null);
                return sheet.IsSafe ? ExitCode.Sound : ExitCode.Findings;
            }
            if (NumberOf(sheet, after) is not { } step)
            {
                errors.WriteLine(
                    $"altrin: --back is the number of a step from 0 to {sheet.Steps.Count} or its id, such as "
                        + $"{sheet.Steps.Select(s => s.Id).FirstOrDefault("1")}, not '{after}'."
                );
                return ExitCode.BadInput;
            }
            var wayBack = WayBack.After(sheet, step);
            Write(
                SheetFile.Of(parsed.GetValue(form), wayBack.Sheet, $"the state after step {step}", begins, parsed.GetValue(start)),
                output,
                progress ? errors : null
            );
            foreach (var differs in wayBack.Differs)
            {
                errors.WriteLine($"altrin: otherwise than in the morning: {differs}");
            }
            return wayBack.IsWhole && wayBack.Sheet.IsSafe ? ExitCode.Sound : ExitCode.Findings;
        });
        return command;
    }

    /// <summary>Writes a sheet part by part, so that nothing is worked out in vain where it is stopped.</summary>
    private static void Write(SheetFile file, TextWriter output, TextWriter? progress)
    {
        if (progress is null || file.Parts.Count == 1)
        {
            Parts(() => { });
            return;
        }
        AnsiConsole
            .Create(new() { Out = new AnsiConsoleOutput(progress) })
            .Progress()
            .AutoClear(true)
            .AutoRefresh(false)
            .Start(shown =>
            {
                var steps = shown.AddTask("Working out the steps", maxValue: file.Parts.Count);
                Parts(() =>
                {
                    steps.Increment(1);
                    shown.Refresh();
                });
            });

        void Parts(Action done)
        {
            foreach (var part in file.Parts)
            {
                output.Write(part(CancellationToken.None));
                output.Flush();
                done();
            }
        }
    }

    /// <summary>Which step is meant, from 1; 0 for before the first, null where there is none such.</summary>
    private static int? NumberOf(RunSheet sheet, string step) =>
        int.TryParse(step, NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            ? number <= sheet.Steps.Count
                ? number
                : null
            : sheet.Step(step) is { } named
                ? SheetWords.Number(sheet, named)
                : null;
}
