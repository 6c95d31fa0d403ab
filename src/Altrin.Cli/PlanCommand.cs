using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using Altrin.Core.Packets;
using Altrin.Core.Planning;
using Altrin.Core.Sites;
using Altrin.Formats;
using Spectre.Console;

namespace Altrin.Cli;

/// <summary>"altrin plan": what each box of a home should become.</summary>
internal static class PlanCommand
{
    public static Command Make(Stream input, IAnsiConsole console, TextWriter output, TextWriter errors)
    {
        var file = new Argument<string>("FILE") { Description = "A design file; - for standard input." };
        var setUp = new Option<string?>("--set-up")
        {
            Description = "The set-up from which the work begins; 'found' where there is one, else the last.",
            HelpName = "NAME",
        };
        var json = new Option<bool>("--json") { Description = "Print the options as JSON (docs/planning.md)." };
        var write = new Option<string[]>("--write")
        {
            Description = "Writes the home with an option as its set-up 'planned': its number, and the file.",
            HelpName = "N OUT",
            Arity = new(2, 2),
            AllowMultipleArgumentsPerToken = true,
        };
        var command = new Command("plan", "Works out what each box should become, as options that are proven.")
        {
            file,
            setUp,
            json,
            write,
        };
        command.SetAction(
            (parsed, stop) =>
                Task.FromResult(
                    DesignSource.Home(parsed.GetValue(file)!, input, errors) is not { } home
                    || DesignSource.SetUp(home, parsed.GetValue(setUp) ?? home.AsFound().SetUp.Name, errors) is not { } found
                        ? ExitCode.BadInput
                        : Print(Planner.Plan(found, stop: stop), found, home, parsed.GetValue(json), parsed.GetValue(write) ?? [])
                )
        );
        return command;

        int Print(PlanAnswer answer, Design found, HomeFile home, bool asJson, string[] to)
        {
            if (to.Length > 0 && !Write(answer, home, to))
            {
                return ExitCode.BadInput;
            }
            if (asJson)
            {
                output.WriteLine(JsonSerializer.Serialize(PlanDocument.Of(found, answer), AltrinJson.Indented));
            }
            else
            {
                Tables(answer, found);
            }
            return answer.Options[0].Score is { Missed: 0, WillNotWork: 0 } ? ExitCode.Sound : ExitCode.Findings;
        }

        bool Write(PlanAnswer answer, HomeFile home, string[] to)
        {
            if (
                !int.TryParse(to[0], NumberStyles.None, CultureInfo.InvariantCulture, out var number)
                || number < 1
                || number > answer.Options.Count
            )
            {
                errors.WriteLine($"altrin: --write {to[0]}: the number of an option is expected, 1 to {answer.Options.Count}.");
                return false;
            }
            var planned = answer.Options[number - 1].SetUp;
            IReadOnlyList<SetUp> setUps = [.. home.SetUps.Where(s => s.Name != planned.Name), planned];
            try
            {
                File.WriteAllText(to[1], DesignFile.Write(home with { SetUps = setUps }));
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException or ArgumentException)
            {
                errors.WriteLine($"altrin: {to[1]} cannot be written: {e.Message}");
                return false;
            }
            return true;
        }

        void Tables(PlanAnswer answer, Design found)
        {
            var documents = PlanDocument.Of(found, answer).Options;
            ProofTables.Table(
                console,
                "Options",
                ["", .. documents.Select((_, i) => (i + 1).ToString(CultureInfo.InvariantCulture))],
                [
                    .. found.Site.Boxes.Select(b =>
                        (string[])[b.Name, .. documents.Select(d => d.Boxes.Single(o => o.Box == b.Id).Becomes)]
                    ),
                    .. documents[0].Needs.Select((n, i) => (string[])[n.Asked, .. documents.Select(d => Said(d.Needs[i]))]),
                    .. documents[0].Against.Select((a, i) => (string[])[a.Says, .. documents.Select(d => Number(d.Against[i].Count))]),
                    ["Points", .. documents.Select(d => Number(d.Points))],
                ]
            );
            foreach (var (option, i) in documents.Select((d, i) => (d, i)))
            {
                output.WriteLine($"{i + 1}. {option.Verdict}");
            }
            output.WriteLine(
                $"{answer.Proven} set-ups were proven{(answer.IsCut ? "; the search was cut short, and these are the best so far" : "")}."
            );
        }
    }

    private static string Said(OptionNeed need) =>
        need.Why is null ? AnswerWords.Of(need.Answer) : $"{AnswerWords.Of(need.Answer)}: {need.Why}";

    private static string Number(double count) => count.ToString("#,0.#", CultureInfo.InvariantCulture);
}
