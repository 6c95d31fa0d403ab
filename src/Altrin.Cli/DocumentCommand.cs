using System.CommandLine;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>"altrin document": what is published about the formats, made from the code.</summary>
internal static class DocumentCommand
{
    public static Command Make(TextWriter output)
    {
        var what = new Argument<string>("WHAT") { Description = "design-schema, profiles-schema, shelf, findings or acts." };
        what.AcceptOnlyFromAmong("design-schema", "profiles-schema", "shelf", "findings", "acts");
        var command = new Command("document", "Prints the schema of a file, the gear shelf, the list of findings, or what acts there are.")
        {
            what,
        };
        command.SetAction(parsed =>
        {
            output.Write(
                parsed.GetValue(what) switch
                {
                    "findings" => FindingsDocument.Text,
                    "acts" => PlayGuide.Text,
                    "profiles-schema" => ProfileFile.SchemaText,
                    "shelf" => ProfileFile.Write(ProfileFile.BuiltIn.Profiles),
                    _ => DesignSchema.Text,
                }
            );
            return ExitCode.Sound;
        });
        return command;
    }
}
