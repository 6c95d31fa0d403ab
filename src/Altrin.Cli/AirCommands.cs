using System.CommandLine;
using System.Text.Json;
using Altrin.Core.Coverage;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Altrin.Formats;
using Spectre.Console;

namespace Altrin.Cli;

/// <summary>"altrin signal", "altrin rate" and "altrin channels": what is heard where, how fast ways are, which channels suit.</summary>
internal static class AirCommands
{
    /// <summary>What is heard in each place, or all of what is heard in one.</summary>
    public static Command Signal(Stream input, IAnsiConsole console, TextWriter output, TextWriter errors)
    {
        var (file, setUp, json) = (File(), SetUp(), Json());
        var place = new Option<string?>("--place") { Description = "One place, by id or name: every radio there.", HelpName = "PLACE" };
        var command = new Command("signal", "Says how strongly each box is heard in each place, with its spread.")
        {
            file,
            place,
            setUp,
            json,
        };
        command.SetAction(parsed =>
        {
            if (DesignSource.Read(parsed.GetValue(file)!, parsed.GetValue(setUp), input, errors) is not { } design)
            {
                return ExitCode.BadInput;
            }
            var places = SpeedAndAir.Of(Seen(design)).Places;
            if (parsed.GetValue(place) is { } wanted)
            {
                places = [.. places.Where(p => IsCalled(wanted, p.Place, design.NameOf(p.Place)))];
                if (places.Count == 0)
                {
                    errors.WriteLine($"altrin: There is no place '{wanted}'; there are {Listed(design.Site.Places.Select(p => p.Name))}.");
                    return ExitCode.BadInput;
                }
            }
            if (parsed.GetValue(json))
            {
                output.WriteLine(JsonSerializer.Serialize(places, AltrinJson.Indented));
                return ExitCode.Sound;
            }
            if (places.Count == 0)
            {
                output.WriteLine("No place is noted: note the rooms in the survey, and where each box stands.");
                return ExitCode.Sound;
            }
            var all = parsed.GetValue(place) is not null;
            ProofTables.Table(
                console,
                "What is heard",
                ["Place", all ? "Heard" : "Heard best in each band", "Level", "Good for", "Rests on"],
                places.SelectMany(p => Rows(design, p, all))
            );
            return ExitCode.Sound;
        });
        return command;
    }

    /// <summary>How fast each device gets to the internet, or one way part by part.</summary>
    public static Command Rate(Stream input, IAnsiConsole console, TextWriter output, TextWriter errors)
    {
        var (file, setUp, json) = (File(), SetUp(), Json());
        var from = new Option<string?>("--from") { Description = "One device, by id or name: its way, part by part.", HelpName = "DEVICE" };
        var to = new Option<string?>("--to") { Description = "The other end: a device, or internet, which is usual.", HelpName = "DEVICE" };
        var command = new Command("rate", "Says how fast devices are expected to be, and what limits them.")
        {
            file,
            from,
            to,
            setUp,
            json,
        };
        command.SetAction(parsed =>
        {
            if (DesignSource.Read(parsed.GetValue(file)!, parsed.GetValue(setUp), input, errors) is not { } design)
            {
                return ExitCode.BadInput;
            }
            var rates = Seen(design).Rates;
            if (parsed.GetValue(from) is not { } device)
            {
                if (parsed.GetValue(to) is not null)
                {
                    errors.WriteLine("altrin: The option --to needs --from, the device that is asked about.");
                    return ExitCode.BadInput;
                }
                return PrintAll(design, rates.ToInternet(), parsed.GetValue(json));
            }
            var target = parsed.GetValue(to) is { } other && !IsCalled(other, "internet", "the internet") ? other : Provider.Internet;
            foreach (var end in new[] { device, target }.Where(e => e != Provider.Internet && Device(design, e) is null))
            {
                errors.WriteLine($"altrin: There is no device '{end}'; there are {Listed(design.Site.Devices.Select(d => d.Name))}.");
                return ExitCode.BadInput;
            }
            if (target != Provider.Internet && Device(design, device) == Device(design, target))
            {
                errors.WriteLine($"altrin: From '{device}' to itself there is no way: two different devices are expected.");
                return ExitCode.BadInput;
            }
            var rate =
                target == Provider.Internet
                    ? rates.ToInternet(Device(design, device)!)
                    : rates.Between(Device(design, device)!, Device(design, target)!);
            if (rate is null)
            {
                string Called(string end) => end == Provider.Internet ? "the internet" : design.NameOf(Device(design, end)!);
                errors.WriteLine($"altrin: {Called(device)} does not get to {Called(target)} in this set-up; 'altrin prove' says why.");
                return ExitCode.Findings;
            }
            return PrintOne(design, rate, parsed.GetValue(json));
        });
        return command;

        int PrintAll(Design design, IReadOnlyList<RateFact> rates, bool asJson)
        {
            if (asJson)
            {
                output.WriteLine(JsonSerializer.Serialize(rates, AltrinJson.Indented));
                return ExitCode.Sound;
            }
            ProofTables.Table(
                console,
                "Expected speed to the internet",
                ["Device", "Down", "Up", "What limits it"],
                rates.Select(r => new[] { design.NameOf(r.From), LevelWords.Of(r.Down), LevelWords.Of(r.Up), r.Says })
            );
            return ExitCode.Sound;
        }

        int PrintOne(Design design, RateFact rate, bool asJson)
        {
            if (asJson)
            {
                output.WriteLine(JsonSerializer.Serialize(rate, AltrinJson.Indented));
                return ExitCode.Sound;
            }
            var end = rate.To == Provider.Internet ? "the internet" : design.NameOf(rate.To);
            ProofTables.Table(
                console,
                $"{design.NameOf(rate.From)} to {end}",
                ["Part", "Down", "Up", "Received"],
                rate.Parts.Select(p =>
                    new[]
                    {
                        $"{p.Says}{(p.Repeats ? ", on the same radio as the hop before" : "")}{(p.Id == rate.LimitDown ? " (slowest)" : "")}",
                        LevelWords.Of(p.Down),
                        LevelWords.Of(p.Up),
                        p.Level is { } level ? $"{LevelWords.Dbm(level.Dbm)} ± {level.SpreadDb:0}" : "",
                    }
                )
            );
            output.WriteLine($"Down {LevelWords.Of(rate.Down)}, up {LevelWords.Of(rate.Up)}. {rate.Says}");
            return ExitCode.Sound;
        }
    }

    /// <summary>The channel plan.</summary>
    public static Command Channels(Stream input, IAnsiConsole console, TextWriter output, TextWriter errors)
    {
        var (file, setUp, json) = (File(), SetUp(), Json());
        var command = new Command("channels", "Plans channel and width of all radios together, beside what is set today.")
        {
            file,
            setUp,
            json,
        };
        command.SetAction(parsed =>
        {
            if (DesignSource.Read(parsed.GetValue(file)!, parsed.GetValue(setUp), input, errors) is not { } design)
            {
                return ExitCode.BadInput;
            }
            var plan = ChannelPlan.Of(design, Seen(design).Rates);
            if (parsed.GetValue(json))
            {
                output.WriteLine(JsonSerializer.Serialize(plan, AltrinJson.Indented));
                return ExitCode.Sound;
            }
            ProofTables.Table(
                console,
                "Channel plan",
                ["Radio", "Today", "Plan", "Airtime left while all are busy"],
                plan.Radios.Select(r =>
                    new[]
                    {
                        $"{design.NameOf(r.Box)}, {BandWords.Of(r.Band)}",
                        Block(r.Channel, r.WidthMhz),
                        r.Moves ? $"{Block(r.Planned, r.PlannedMhz)}{(r.Radar ? "; radar comes first" : "")}"
                        : r.Stays is { } why ? $"as today: {why}"
                        : "as today",
                        $"{Share(r.Now)} to {Share(r.Then)}",
                    }
                )
            );
            output.WriteLine(
                plan.Changes.Count == 0 ? "No other channels would be better."
                : plan.IsBest
                    ? "Every combination was looked at; one radio may get less so that all together get more. Local law decides what is allowed."
                : "Radios were moved one by one until none gained; local law decides which channels are allowed."
            );
            return ExitCode.Sound;
        });
        return command;

        static string Block(int? channel, int? width) =>
            channel is { } set ? $"{set}{(width is { } mhz ? $", {mhz} MHz" : "")}" : "chooses itself";

        static string Share(double? share) => share is { } known ? $"{known * 100:0} %" : "not known";
    }

    /// <summary>What is heard in a place: all of it, or the best of each band.</summary>
    private static IEnumerable<string[]> Rows(Design design, PlaceLevels place, bool all)
    {
        if (place.Heard.Count == 0)
        {
            return
            [
                [design.NameOf(place.Place), "not known: where the boxes stand is not noted", "", "", ""],
            ];
        }
        IEnumerable<HeardLevel> told = all ? place.Heard : place.Heard.DistinctBy(h => h.Band).OrderBy(h => h.Band);
        return told.Select(h =>
            new[]
            {
                design.NameOf(place.Place),
                $"{design.NameOf(h.Box)}, {BandWords.Of(h.Band)}",
                $"{LevelWords.Dbm(h.Level.Dbm)} ± {h.Level.SpreadDb:0}",
                LevelWords.Of(h.Level.Use),
                Basis(h.Level),
            }
        );
    }

    private static string Basis(SignalLevel level) =>
        level.Differs
            ? $"{LevelWords.Of(level.Basis)}; computed {LevelWords.Dbm(level.ComputedDbm!.Value)} ± {level.ComputedSpreadDb:0}"
            : LevelWords.Of(level.Basis);

    private static Observation Seen(Design design) => Observer.Observe(Compiler.Compile(design, Situation.Settled));

    private static string? Device(Design design, string called) =>
        design.Site.Devices.FirstOrDefault(d => IsCalled(called, d.Id, d.Name))?.Id;

    private static bool IsCalled(string wanted, string id, string name) =>
        wanted == id || string.Equals(wanted.Trim(), name, StringComparison.OrdinalIgnoreCase);

    private static string Listed(IEnumerable<string> names) => names.ToList() is { Count: > 0 } all ? string.Join(", ", all) : "none";

    private static Argument<string> File() => new("FILE") { Description = "A design file; - for standard input." };

    private static Option<bool> Json() => new("--json") { Description = "Print it as JSON (docs/facts.md)." };

    private static Option<string?> SetUp() =>
        new("--set-up") { Description = "Which set-up to look at; 'planned' where there is one, else the last.", HelpName = "NAME" };
}
