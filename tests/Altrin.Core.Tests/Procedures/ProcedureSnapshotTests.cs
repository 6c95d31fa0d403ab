using System.Text;
using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Finishing;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Procedures;

/// <summary>Acts at random, and whole run sheets with everything that they tell, as approved.</summary>
public sealed class ProcedureSnapshotTests
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void What_comes_of_acts_is_as_approved(int seed)
    {
        var (dice, now, text) = (new Random(seed), State.Morning(InvariantTests.House().Design), new StringBuilder());
        for (var i = 0; i < 70; i++)
        {
            var step = PlayedStep.Of(now, ActGenerator.Make(dice, now), Ways.Usual);
            Tell(text, step);
            if (step.Refused is null && i % 4 == 0)
            {
                foreach (var seen in SeenItem.Of(step.After))
                {
                    text.Append($"    sees {seen.What}: {seen.Says}\n");
                }
                foreach (var item in OpenItem.Of(step.After))
                {
                    text.Append($"    open {item.Text}\n");
                }
            }
            now = step.After;
        }
        Snapshot.Match(text.ToString(), $"Acts.{seed}");
    }

    public static TheoryData<string> Evenings => [.. Targets.Keys];

    [Theory]
    [MemberData(nameof(Evenings))]
    public void A_sheet_is_as_approved(string name)
    {
        var (design, changes) = Targets[name];
        var target = ChangeList.Apply(design, changes).Value;
        var sheet = RunSheet.Derive(State.Morning(design), target.SetUp, Ways.Usual, Cancel);
        var text = new StringBuilder();
        text.Append($"safe {sheet.IsSafe}, takes {Plain.Of(sheet.Takes)}, least {Plain.Of(sheet.Play.Least())}\n");
        text.Append($"cost {Plain.Of(sheet.Order.Cost)}, tried {sheet.Order.Tried}, searched {sheet.Order.Searched}\n");
        text.Append($"window {string.Join(' ', sheet.Window.Select(s => s.Id))}\n");
        Lines(text, "material", sheet.Material);
        Lines(text, "missing", sheet.Missing);
        Lines(text, "unsafe", sheet.Unsafe.Select(u => $"{u.Says} | {u.Cure}"));
        Lines(text, "undone", sheet.Undone.Select(b => $"{b.Rule.Number} {b.Violation.Text}"));
        for (var i = 0; i < sheet.Steps.Count; i++)
        {
            Tell(text, sheet, i);
        }
        foreach (var item in EarlierVisit.Of(sheet).Concat(FinishList.Of(sheet)).Concat(SubnetMove.Of(sheet)))
        {
            text.Append($"check {item.Id}, {item.About}: {item.Says}\n");
            Lines(text, "  each", item.Each);
        }
        var back = WayBack.After(sheet, sheet.Steps.Count / 2, Cancel);
        text.Append($"back whole {back.IsWhole}, takes {Plain.Of(back.Sheet.Takes)}\n");
        Lines(text, "  differs", back.Differs);
        Lines(text, "  step", back.Sheet.Steps.Select(s => s.Says));
        Snapshot.Match(text.ToString(), $"Sheet.{name}");
    }

    public static TheoryData<string, string> Homes =>
        [.. new[] { "techniques", "radio" }.SelectMany(f => Families.Of(f).Keys.Select(h => (f, h)))];

    /// <summary>From a home to what changes at random make of it, and the way back by hand: every kind of setting, mode and link.</summary>
    [Theory]
    [MemberData(nameof(Homes))]
    public void A_sheet_to_a_changed_home_is_as_approved(string family, string home)
    {
        var text = new StringBuilder();
        var design = Families.Of(family)[home];
        for (var seed = 1; seed <= 2; seed++)
        {
            var dice = new Random(seed + home.Length);
            var target = design;
            for (var act = 0; act < 5; act++)
            {
                target = ChangeGenerator.Make(dice, target).ApplyTo(target) is { Ok: true } done
                    ? target with
                    {
                        SetUp = done.Value,
                    }
                    : target;
            }
            var sheet = RunSheet.Derive(State.Morning(design), target.SetUp, Ways.Usual, Cancel);
            text.Append(
                $"\n# {seed}: safe {sheet.IsSafe}, takes {Plain.Of(sheet.Takes)}, cost {Plain.Of(sheet.Order.Cost)}, tried {sheet.Order.Tried}\n"
            );
            Lines(text, "missing", sheet.Missing);
            Lines(text, "left", sheet.Play.LeftInWords());
            Lines(text, "unsafe", sheet.Unsafe.Select(u => $"{u.Says} | {u.Cure}"));
            Lines(text, "undone", sheet.Undone.Select(b => $"{b.Rule.Number} {b.Violation.Text}"));
            foreach (var step in sheet.Steps)
            {
                text.Append($"{step.Id}, {step.Phase}: {step.Says}\n");
                foreach (var act in step.Acts)
                {
                    Tell(text, act);
                }
            }
            Lines(text, "check", FinishList.Of(sheet).Concat(SubnetMove.Of(sheet)).Select(c => $"{c.Id}, {c.About}: {c.Says}"));
        }
        Snapshot.Match(text.ToString(), $"Changed.{new string([.. home.Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')])}");
    }

    private static void Tell(StringBuilder text, RunSheet sheet, int i)
    {
        var step = sheet.Steps[i];
        text.Append($"\n{i + 1} {step.Id}, {step.Phase}: {step.Says}\n  at {Plain.Of(step.Where)}, takes {Plain.Of(step.Takes)}\n");
        text.Append($"  why {step.Why}, undo {Plain.Of(step.Undo)}, rest {step.IsRest}, dips {step.Dips}\n");
        Lines(text, "  offline", step.Offline);
        Lines(text, "  caution", step.Cautions);
        Lines(text, "  types", step.Lines.Select(l => $"{l.What}: {l.Value}"));
        Lines(text, "  sees", step.Sees().Select(s => $"{s.What}: {s.Says} ({s.Answer})"));
        foreach (var act in step.Acts)
        {
            Tell(text, act);
        }
        foreach (var not in StepIfNot.Of(sheet, i + 1, Cancel))
        {
            text.Append(
                $"  if not: {string.Join("; ", not.Shows.Select(s => $"{s.What}: {s.Says}"))} shown by {not.ShownBy} {not.Tests}\n"
            );
            Lines(text, "    slip", not.Slips.Select(s => $"{s.Says} | {s.WayOut}"));
        }
    }

    private static void Tell(StringBuilder text, PlayedStep step)
    {
        text.Append($"  act {step.Says}: {step.Refused ?? Plain.Of(step.Takes)}\n");
        Lines(text, "    typed", step.Lines.Select(l => Plain.Of(l)));
        Lines(text, "    otherwise", step.Otherwise);
        Lines(text, "    breaks", step.Broken.Select(b => $"{b.Rule.Code}: {b.Violation.Text}"));
        Lines(text, "    departs", step.Departs);
        if (step.If is not null || step.Then is not null)
        {
            text.Append($"    if {step.If}, then {Plain.Of(step.Then)}\n");
        }
    }

    private static void Lines(StringBuilder text, string head, IEnumerable<string> lines) =>
        text.AppendJoin("", lines.Select(l => $"{head} {l}\n"));

    private static readonly Dictionary<string, (Design Design, Change[] Changes)> Targets = Made();

    private static Dictionary<string, (Design, Change[])> Made()
    {
        var house = InvariantTests.House().Design;
        var point = InvariantTests.Point().Design;
        Change cabled = Patched("gw/lan3", "new/lan1");
        return new()
        {
            ["point by cable"] = (
                house,
                [new SwitchDhcpServer("new", false), new SetLanAddress("new", Home.Own("192.168.8.2/24")), cabled]
            ),
            ["another subnet"] = (
                house,
                [
                    new SetLanAddress("gw", Home.Own("192.168.30.1/24")),
                    new MovePool("gw") { First = Home.At("192.168.30.20"), Last = Home.At("192.168.30.199") },
                ]
            ),
            ["taken out"] = (house, [new TakeOutOfUse("new"), new MovePool("gw") { First = Home.At("192.168.8.60") }]),
            ["renamed"] = (
                house,
                [
                    new SetRadio("new", "r5", Partial<RadioSetting>.With(r => r.Name, "home")),
                    new SetLeaseTime("gw", 60),
                    new PlaceBox("new", "loft"),
                ]
            ),
            ["point moved"] = (point, [new PlaceBox("point", "loft"), new SetLeaseTime("gw", 120)]),
        };
    }

    private static Patch Patched(string a, string b) => new(PortRef.Read(a), PortRef.Read(b), CableFacts.NotLookedAt);
}
