using System.CommandLine;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>"altrin document": what is published about the formats, made from the code.</summary>
internal static class DocumentCommand
{
    public static Command Make(TextWriter output)
    {
        var what = new Argument<string>("WHAT") { Description = "design-schema or findings." };
        what.AcceptOnlyFromAmong("design-schema", "findings");
        var command = new Command("document", "Prints the schema of the design file, or the list of findings.") { what };
        command.SetAction(parsed =>
        {
            output.Write(parsed.GetValue(what) == "findings" ? FindingsDocument.Text : DesignSchema.Text);
            return ExitCode.Sound;
        });
        return command;
    }
}
