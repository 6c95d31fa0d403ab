using System.CommandLine;
using System.Globalization;
using System.Text.Json;
using Altrin.Core.Networks;
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
        var way = WayOption.Make();
        var weight = new Option<string[]>("--weight")
        {
            Description =
                $"What counts how much against an option, in points, once for each: {string.Join(", ", WeightText.Known)} (docs/planning.md).",
            HelpName = "NAME=POINTS",
        };
        var buys = new Option<bool>("--nothing-to-buy") { Description = "Plans with what is there, also where needs are not met by it." };
        var whyNot = new Option<string?>("--why-not")
        {
            Description = "Asks for an alternative instead: the id of a box and what it should become, such as loft-router=lanToLan.",
            HelpName = "BOX=ROLE",
        };
        var command = new Command("plan", "Works out what each box should become, as options that are proven.")
        {
            file,
            setUp,
            json,
            write,
            way,
            weight,
            buys,
            whyNot,
        };
        command.SetAction(
            (parsed, stop) =>
                Task.FromResult(
                    WayOption.Read(parsed.GetValue(way) ?? [], errors) is not { } ways
                    || Weights(parsed.GetValue(weight) ?? [], errors) is not { } weights
                    || DesignSource.Home(parsed.GetValue(file)!, input, errors) is not { } home
                    || DesignSource.SetUp(home, parsed.GetValue(setUp) ?? home.AsFound().SetUp.Name, errors) is not { } found
                        ? ExitCode.BadInput
                    : new PlanTask(found)
                    {
                        Ways = ways,
                        Weights = weights,
                        Shelf = parsed.GetValue(buys) ? [] : ProfileFile.BuiltIn.Profiles,
                    }
                        is var task
                    && parsed.GetValue(whyNot) is { } asked
                        ? Ask(task, home, asked, parsed.GetValue(json), parsed.GetValue(write) ?? [], stop)
                    : Print(Planner.Plan(task, stop: stop), found, home, parsed.GetValue(json), parsed.GetValue(write) ?? [])
                )
        );
        return command;

        int Ask(PlanTask task, HomeFile home, string asked, bool asJson, string[] to, CancellationToken stop)
        {
            var parts = asked.Split('=', 2, StringSplitOptions.TrimEntries);
            var wanted = RoleText.Read(parts[^1]);
            if (parts.Length != 2 || task.Found.Box(parts[0]) is not { } box || !wanted.Ok)
            {
                errors.WriteLine(
                    $"altrin: --why-not {asked}: a box, an equals sign and a role are expected. Boxes: "
                        + $"{string.Join(", ", task.Found.Site.Boxes.Select(b => b.Id))}. {RoleText.Expected}"
                );
                return ExitCode.BadInput;
            }
            var answer = WhyNot.Of(task, Planner.Plan(task, stop: stop).Options[0], box.Id, wanted.Value, stop);
            IReadOnlyList<PlanOption> options = answer.Option is { } option ? [option] : [];
            if (to.Length > 0 && options.Count > 0 && !Write(options, home, to))
            {
                return ExitCode.BadInput;
            }
            if (asJson)
            {
                output.WriteLine(JsonSerializer.Serialize(WhyNotDocument.Of(task.Found, answer), AltrinJson.Indented));
            }
            else if (options.Count == 0)
            {
                output.WriteLine(answer.Because);
            }
            else
            {
                Tables(task.Found, options);
                output.WriteLine(answer.IsCut ? "The search was cut short, and this is the best so far." : "");
                output.WriteLine("Against the first option:");
                foreach (var item in answer.Price)
                {
                    output.WriteLine($"  {Signed(item.Points), 8} points  {item.Says}: {Signed(item.More)}");
                }
            }
            return Status(options);
        }

        int Print(PlanAnswer answer, Design found, HomeFile home, bool asJson, string[] to)
        {
            if (to.Length > 0 && !Write(answer.Options, home, to))
            {
                return ExitCode.BadInput;
            }
            if (asJson)
            {
                output.WriteLine(JsonSerializer.Serialize(PlanDocument.Of(found, answer), AltrinJson.Indented));
            }
            else
            {
                Tables(found, answer.Options);
                foreach (var cannot in Certificate.Of(found))
                {
                    output.WriteLine($"Cannot be had with the boxes that are there: {cannot.What}. {cannot.Says}");
                }
                foreach (var need in answer.NotMet)
                {
                    output.WriteLine($"No option meets: {need.Asked}. {need.Why}");
                    foreach (var would in need.Would)
                    {
                        output.WriteLine($"  {would}");
                    }
                }
                output.WriteLine(
                    $"{answer.Proven} set-ups were proven{(answer.IsCut ? "; the search was cut short, and these are the best so far" : "")}."
                );
            }
            return Status(answer.Options);
        }

        bool Write(IReadOnlyList<PlanOption> options, HomeFile home, string[] to)
        {
            if (
                !int.TryParse(to[0], NumberStyles.None, CultureInfo.InvariantCulture, out var number)
                || number < 1
                || number > options.Count
            )
            {
                errors.WriteLine($"altrin: --write {to[0]}: the number of an option is expected, 1 to {options.Count}.");
                return false;
            }
            try
            {
                File.WriteAllText(to[1], DesignFile.Write(options[number - 1].ChosenIn(home)));
            }
            catch (Exception e) when (e is IOException or UnauthorizedAccessException or ArgumentException)
            {
                errors.WriteLine($"altrin: {to[1]} cannot be written: {e.Message}");
                return false;
            }
            return true;
        }

        void Tables(Design found, IReadOnlyList<PlanOption> options)
        {
            var network = Compiler.Compile(found, Situation.Settled);
            var documents = options.Select(o => OptionDocument.Of(network, o)).ToList();
            var boxes = documents.SelectMany(d => d.Boxes).DistinctBy(b => b.Box);
            ProofTables.Table(
                console,
                "Options",
                ["", .. documents.Select((_, i) => (i + 1).ToString(CultureInfo.InvariantCulture))],
                [
                    .. boxes.Select(b =>
                        (string[])
                            [
                                b.ToBuy ? $"{b.Name} (to buy)" : b.Name,
                                .. documents.Select(d => d.Boxes.FirstOrDefault(o => o.Box == b.Box)?.Becomes ?? ""),
                            ]
                    ),
                    .. documents[0].Needs.Select((n, i) => (string[])[n.Asked, .. documents.Select(d => Said(d.Needs[i]))]),
                    // What speaks against none is left out.
                    .. documents[0]
                        .Against.Index()
                        .Where(a => documents.Exists(d => d.Against[a.Index].Count != 0))
                        .Select(a => (string[])[a.Item.Says, .. documents.Select(d => Number(d.Against[a.Index].Count))]),
                    ["Points", .. documents.Select(d => Number(d.Points))],
                ]
            );
            foreach (var (option, i) in documents.Select((d, i) => (d, i)))
            {
                output.WriteLine($"{i + 1}. {option.Verdict}");
            }
            List("moves addresses that are typed in", documents.Select(d => d.Renumbered));
            List("departs from your way of working", documents.Select(d => d.Departures));
            List("is not for tonight; ask the provider first", documents.Select(d => d.NotTonight));
        }

        void List(string says, IEnumerable<IReadOnlyList<string>> lines)
        {
            foreach (var (of, i) in lines.Select((l, i) => (l, i)).Where(l => l.l.Count > 0))
            {
                output.WriteLine($"Option {i + 1} {says}:");
                foreach (var said in of)
                {
                    output.WriteLine($"  {said}");
                }
            }
        }
    }

    private static PlanWeights? Weights(IReadOnlyList<string> typed, TextWriter errors)
    {
        var read = WeightText.Of(typed);
        if (!read.Ok)
        {
            errors.WriteLine($"altrin: --weight {read.Error}");
        }
        return read.Ok ? read.Value : null;
    }

    private static int Status(IReadOnlyList<PlanOption> options) =>
        options is [{ Score: { Missed: 0, WillNotWork: 0 } }, ..] ? ExitCode.Sound : ExitCode.Findings;

    private static string Said(OptionNeed need) =>
        need.Why is null ? AnswerWords.Of(need.Answer) : $"{AnswerWords.Of(need.Answer)}: {need.Why}";

    private static string Signed(double count) => (count > 0 ? "+" : "") + Number(Math.Round(count, 1));

    private static string Number(double count) => count.ToString("#,0.#", CultureInfo.InvariantCulture);
}
