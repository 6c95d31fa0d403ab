using System.CommandLine;
using System.Text.Json;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Formats;
using Spectre.Console;

namespace Altrin.Cli;

/// <summary>"altrin prove": a design file in, a verdict out.</summary>
internal static class ProveCommand
{
    public static Command Make(Stream input, IAnsiConsole console, TextWriter output, TextWriter errors)
    {
        var file = new Argument<string>("FILE") { Description = "A design file; - for standard input." };
        var json = new Option<bool>("--json") { Description = "Print the proof as JSON (docs/facts.md)." };
        var strict = new Option<bool>("--strict")
        {
            Description = "Status 1 for any finding, not only for one that means it will not work.",
        };
        var setUp = new Option<string?>("--set-up")
        {
            Description = "Which set-up to prove; 'planned' where there is one, else the last.",
            HelpName = "NAME",
        };
        var off = new Option<string[]>("--off")
        {
            Description = "A box, device or cable that is taken to be off or unplugged; may be repeated.",
            HelpName = "ID",
        };
        var command = new Command("prove", "Proves a design file and says what will not work.") { file, json, strict, setUp, off };
        command.SetAction(parsed =>
            DesignSource.Read(parsed.GetValue(file)!, parsed.GetValue(setUp), input, errors) is not { } design
                ? ExitCode.BadInput
                : Prove(design, parsed.GetValue(off) ?? [], parsed.GetValue(strict), errors, proof =>
                {
                    if (parsed.GetValue(json))
                    {
                        output.WriteLine(JsonSerializer.Serialize(ProofDocument.Of(proof, detailed: true), AltrinJson.Indented));
                    }
                    else
                    {
                        ProofTables.Print(console, proof);
                    }
                })
        );
        return command;
    }

    private static int Prove(Design design, string[] off, bool strict, TextWriter errors, Action<Proof> print)
    {
        var situation = Situation.Without(design, off);
        if (!situation.Ok)
        {
            errors.WriteLine($"altrin: {situation.Error}");
            return ExitCode.BadInput;
        }
        var proof = Judging.Prove(design, situation.Value);
        print(proof);
        return proof.Findings.Any(f => strict || f.Severity == Severity.WillNotWork) ? ExitCode.Findings : ExitCode.Sound;
    }
}
