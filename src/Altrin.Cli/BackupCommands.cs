using System.CommandLine;
using Altrin.Data;

namespace Altrin.Cli;

/// <summary>"altrin backup" and "altrin restore".</summary>
internal static class BackupCommands
{
    public static Command Backup(TextWriter output, TextWriter errors)
    {
        var data = Data();
        var file = new Argument<string?>("FILE")
        {
            Description = "Where to write it; a dated file in the data folder's backups where left out.",
            Arity = ArgumentArity.ZeroOrOne,
        };
        var command = new Command("backup", "Writes a backup of a data folder, also while Altrin runs.") { file, data };
        command.SetAction(parsed =>
        {
            if (!Directory.Exists(parsed.GetValue(data)))
            {
                return Bad(errors, $"there is no folder {parsed.GetValue(data)}.");
            }
            var written = Altrin.Data.Backup.Write(
                DataFolder.At(parsed.GetValue(data)!),
                parsed.GetValue(file),
                TimeProvider.System.GetUtcNow()
            );
            if (!written.Ok)
            {
                return Bad(errors, written.Error);
            }
            output.WriteLine(written.Value);
            return ExitCode.Sound;
        });
        return command;
    }

    public static Command Restore(TextWriter output, TextWriter errors)
    {
        var data = Data();
        var file = new Argument<string>("FILE") { Description = "A backup written by 'altrin backup'." };
        var command = new Command("restore", "Puts a backup in place of what a data folder holds; that is kept as a backup of its own.")
        {
            file,
            data,
        };
        command.SetAction(parsed =>
        {
            if (!File.Exists(parsed.GetValue(file)))
            {
                return Bad(errors, $"there is no file {parsed.GetValue(file)}.");
            }
            var folder = DataFolder.Open(parsed.GetValue(data)!);
            if (!folder.Ok)
            {
                return Bad(errors, folder.Error);
            }
            var restored = Restoring.Restore(folder.Value, parsed.GetValue(file)!, TimeProvider.System.GetUtcNow());
            if (!restored.Ok)
            {
                return Bad(errors, restored.Error);
            }
            output.WriteLine(restored.Value.Length == 0 ? "Restored." : $"Restored. What was there is kept in {restored.Value}");
            return ExitCode.Sound;
        });
        return command;
    }

    private static Option<string> Data() =>
        new("--data")
        {
            Description = "The data folder.",
            HelpName = "DIR",
            DefaultValueFactory = _ => "data",
        };

    private static int Bad(TextWriter errors, string what)
    {
        errors.WriteLine($"altrin: {what}");
        return ExitCode.BadInput;
    }
}
