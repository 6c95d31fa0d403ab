using System.CommandLine;
using Spectre.Console;

namespace Altrin.Cli;

/// <summary>The commands of the terminal program.</summary>
public static class Terminal
{
    /// <summary>Runs one command line.</summary>
    /// <param name="args">The words after the program's name.</param>
    /// <param name="input">Where "-" reads from.</param>
    /// <param name="output">Where results go.</param>
    /// <param name="errors">Where errors go.</param>
    /// <param name="plain">Whether colours are left out.</param>
    /// <param name="progress">Whether what takes long shows where errors go how far it is.</param>
    /// <returns>One of <see cref="ExitCode"/>.</returns>
    public static int Run(string[] args, Stream input, TextWriter output, TextWriter errors, bool plain, bool progress = false)
    {
        var console = AnsiConsole.Create(
            new()
            {
                Ansi = plain ? AnsiSupport.No : AnsiSupport.Detect,
                ColorSystem = plain ? ColorSystemSupport.NoColors : ColorSystemSupport.Detect,
                Out = new AnsiConsoleOutput(output),
            }
        );
        console.Profile.Width = plain ? 160 : Math.Max(console.Profile.Width, 100);
        var root = new RootCommand("Altrin proves the network plan of a home.")
        {
            ProveCommand.Make(input, console, output, errors),
            LookCommand.Make(input, output, errors),
            AirCommands.Signal(input, console, output, errors),
            AirCommands.Rate(input, console, output, errors),
            AirCommands.Channels(input, console, output, errors),
            PlanCommand.Make(input, console, output, errors),
            ReadCommand.Make(input, output, errors),
            PlayCommand.Make(input, output, errors),
            SheetCommand.Make(input, output, errors, progress),
            DocumentCommand.Make(output),
            BackupCommands.Backup(output, errors),
            BackupCommands.Restore(output, errors),
        };
        var parsed = root.Parse(args);
        try
        {
            if (parsed.Errors.Count > 0)
            {
                foreach (var error in parsed.Errors)
                {
                    errors.WriteLine($"altrin: {error.Message}");
                }
                errors.WriteLine("Try 'altrin --help'.");
                return ExitCode.BadInput;
            }
            return parsed.Invoke(
                new()
                {
                    Output = output,
                    Error = errors,
                    EnableDefaultExceptionHandler = false,
                }
            );
        }
        // The one place that answers a fault of the program itself: status 70 and one line, never a stack trace.
        catch (Exception e) when (e is not OutOfMemoryException)
        {
            errors.WriteLine($"altrin: a fault of the program ({e.GetType().Name}: {e.Message}). Please report it with the file.");
            return ExitCode.Fault;
        }
    }
}
