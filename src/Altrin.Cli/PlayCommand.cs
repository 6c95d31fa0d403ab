using System.CommandLine;
using System.Text.Json;
using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>"altrin play": an evening of acts, played on the simulated home.</summary>
internal static class PlayCommand
{
    public static Command Make(Stream input, TextWriter output, TextWriter errors)
    {
        var home = new Argument<string>("HOME") { Description = "A design file." };
        var acts = new Argument<string>("ACTS") { Description = "A list of acts (docs/acts.md); - for standard input." };
        var json = new Option<bool>("--json") { Description = "Print each step, and what the laptop sees, as JSON." };
        var ifNot = StepOption.Make("--if-not", "What may have gone wrong where an act does not show what it should, by its number.");
        var command = new Command("play", "Plays a list of acts: what is done, how long, what is refused, what the laptop sees.")
        {
            home,
            acts,
            json,
            ifNot,
        };
        command.SetAction(parsed =>
        {
            if (Acts(parsed.GetValue(acts)!, input, errors) is not { } list)
            {
                return ExitCode.BadInput;
            }
            if (DesignSource.Read(parsed.GetValue(home)!, list.Begins, input, errors) is not { } found)
            {
                return ExitCode.BadInput;
            }
            var target = DesignSource.Read(parsed.GetValue(home)!, list.Ends, input, errors);
            if (target is null)
            {
                return ExitCode.BadInput;
            }
            var play = Play.Of(State.Morning(found), list.Acts, target.SetUp, list.Ways ?? Ways.Usual);
            if (parsed.GetValue(ifNot) is { } number)
            {
                return IfNot(output, errors, play, number, parsed.GetValue(json));
            }
            if (parsed.GetValue(json))
            {
                output.WriteLine(JsonSerializer.Serialize(PlayDocument.Of(play), AltrinJson.Indented));
            }
            else
            {
                Print(output, play);
            }
            return play.Whole ? ExitCode.Sound : ExitCode.Findings;
        });
        return command;
    }

    /// <summary>What may have gone wrong at an act.</summary>
    private static int IfNot(TextWriter output, TextWriter errors, Play play, int number, bool json)
    {
        if (!IsStep(number, play.Steps.Count, errors))
        {
            return ExitCode.BadInput;
        }
        var groups = WhatIfNotDocument.Of(play, number);
        if (json)
        {
            output.WriteLine(JsonSerializer.Serialize(groups, AltrinJson.Indented));
            return ExitCode.Sound;
        }
        output.WriteLine($"{number, 3}  {play.Steps[number - 1].Says}");
        foreach (var group in groups)
        {
            output.WriteLine(group.Unseen ?? "If you see:");
            foreach (var line in group.Shows)
            {
                output.WriteLine($"       {line.What}: {line.Says}");
            }
            foreach (var slip in group.Slips)
            {
                output.WriteLine($"     - {slip.Says} {slip.WayOut}");
            }
        }
        if (groups.Count == 0)
        {
            output.WriteLine("     Nothing that is known goes wrong here.");
        }
        return ExitCode.Sound;
    }

    /// <summary>The state after an act of a list, from 1, or after the last; null, with the reason written, where there is none.</summary>
    public static State? After(string home, string acts, int? step, Stream input, TextWriter errors)
    {
        if (Acts(acts, input, errors) is not { } list || DesignSource.Read(home, list.Begins, input, errors) is not { } found)
        {
            return null;
        }
        if (step is { } number && !IsStep(number, list.Acts.Count, errors))
        {
            return null;
        }
        var play = Play.Of(State.Morning(found), [.. list.Acts.Take(step ?? list.Acts.Count)], null);
        if (play.Steps.FirstOrDefault(s => s.Refused is not null) is { } refused)
        {
            errors.WriteLine($"altrin: \"{refused.Says}\" cannot be done: {refused.Refused}");
            return null;
        }
        return play.End;
    }

    private static bool IsStep(int number, int acts, TextWriter errors)
    {
        if (number >= 1 && number <= acts)
        {
            return true;
        }
        errors.WriteLine($"altrin: the list has {acts} acts; there is no step {number}.");
        return false;
    }

    private static ActsDocument? Acts(string file, Stream input, TextWriter errors)
    {
        byte[] bytes;
        try
        {
            using var source = DesignSource.Open(file, input);
            bytes = DesignSource.ReadAtMost(source, DesignFile.MostBytes + 1);
        }
        catch (Exception e) when (DesignSource.WhyUnread(file, e) is { } why)
        {
            errors.WriteLine($"altrin: {why}");
            return null;
        }
        var read = ActsFile.Read(bytes);
        if (read.Value is null)
        {
            errors.WriteLine($"altrin: {(file == "-" ? "standard input" : file)} is no list of acts that can be played:");
            foreach (var error in read.Errors)
            {
                errors.WriteLine($"  {error}");
            }
        }
        return read.Value;
    }

    private static void Print(TextWriter output, Play play)
    {
        string[] before = [];
        foreach (var (step, i) in play.Steps.Select((s, i) => (s, i)))
        {
            var takes = step.Takes == Duration.None ? "" : $"  {TimeWords.Of(step.Takes.Usual)}";
            var then = step.Then is { } busy
                ? $", ready in {TimeWords.Of(busy.Usual)} ({TimeWords.Of(busy.Least)} to {TimeWords.Of(busy.Most)})"
                : "";
            output.WriteLine($"{i + 1, 3}  {step.Before.Time:hh\\:mm\\:ss}  {step.Says}{(step.Refused is null ? takes + then : "")}");
            foreach (var line in step.Lines)
            {
                output.WriteLine(
                    $"       - {line.What}{(line.Value is { } value ? $": {(line.IsSecret ? $"the password {value}" : value)}" : "")}"
                );
            }
            if (step.Refused is { } refused)
            {
                output.WriteLine($"       refused: {refused}");
                continue;
            }
            if (step.If is { } taken)
            {
                output.WriteLine($"       taken to be so: {taken}; not known whether: {string.Join("; or ", step.Otherwise)}");
            }
            foreach (var broken in step.Broken)
            {
                output.WriteLine($"       BREAKS {broken.Rule.Number} {broken.Rule.Code}: {broken.Violation.Text}");
            }
            foreach (var departs in step.Departs)
            {
                output.WriteLine($"       not your way: {departs}");
            }
            // What is as it was after the step before is not said again.
            var sees = SeenItem.Of(step.After).Select(l => $"{l.What}: {l.Says}").ToArray();
            foreach (var line in sees.Except(before))
            {
                output.WriteLine($"       {line}");
            }
            before = sees;
        }
        foreach (var undone in play.Undone)
        {
            output.WriteLine($"Left undone: {undone.Violation.Text}");
        }
        foreach (var left in play.LeftInWords())
        {
            output.WriteLine($"Not as planned: {left}");
        }
        if (play.Least() is { } least && least.Work != Duration.None)
        {
            (int Count, string One, string Many)[] work =
            [
                (least.Saves, "save", "saves"),
                (least.Cables, "cable plugged in or out", "cables plugged in or out"),
                (least.Boxes, "box moved or switched", "boxes moved or switched"),
                (least.Touched.Count, "device of the household touched", "devices of the household touched"),
            ];
            var parts = string.Join(", ", work.Where(w => w.Count > 0).Select(w => Count(w.Count, w.One, w.Many)));
            output.WriteLine($"The changes alone take {TimeWords.Of(least.Work.Usual)} of work at least: {parts}.");
        }
        if (play.Whole)
        {
            output.WriteLine($"Done in {TimeWords.Of(play.End.Time)}; the home is as planned.");
            return;
        }
        string[] counts =
        [
            Count(play.Steps.Count(s => s.Refused is not null), "act was refused", "acts were refused"),
            Count(play.Steps.Sum(s => s.Broken.Count), "invariant was broken", "invariants were broken"),
            Count(play.LeftInWords().Count, "thing is not as planned", "things are not as planned"),
        ];
        output.WriteLine($"{TimeWords.Of(play.End.Time)}; {string.Join(", ", counts)}.");
    }

    private static string Count(int count, string one, string many) => $"{count} {(count == 1 ? one : many)}";
}
