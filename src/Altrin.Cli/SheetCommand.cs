using System.CommandLine;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>"altrin sheet": the order of the work from one set-up of a home to another.</summary>
internal static class SheetCommand
{
    public static Command Make(Stream input, TextWriter output, TextWriter errors)
    {
        var home = new Argument<string>("HOME") { Description = "A design file; - for standard input." };
        var from = new Option<string>("--from")
        {
            Description = "The set-up that the work begins with.",
            DefaultValueFactory = _ => "found",
        };
        var to = new Option<string>("--to") { Description = "The set-up that it ends in.", DefaultValueFactory = _ => "planned" };
        var command = new Command("sheet", "Works out a run sheet: what is done in which order, and what is seen then.") { home, from, to };
        command.SetAction(parsed =>
        {
            var (file, begins, ends) = (parsed.GetValue(home)!, parsed.GetValue(from)!, parsed.GetValue(to)!);
            if (
                DesignSource.Home(file, input, errors) is not { } read
                || DesignSource.SetUp(read, begins, errors) is not { } found
                || DesignSource.SetUp(read, ends, errors) is not { } planned
            )
            {
                return ExitCode.BadInput;
            }
            var sheet = RunSheet.Derive(State.Morning(found), planned.SetUp, Ways.Usual);
            output.Write(SheetText.Of(sheet, $"Run sheet: {found.Site.Name}, from {begins} to {ends}"));
            return sheet.IsSafe ? ExitCode.Sound : ExitCode.Findings;
        });
        return command;
    }
}
