using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Formats.Tests;

/// <summary>Run sheets derived for every technique, measured by the evening that was typed by hand for it.</summary>
public sealed class DerivedSheetTests
{
    public static TheoryData<string> Names => [.. Samples.Evenings];

    private static string Text(RunSheet sheet, string name) => DerivedSheets.Whole(SheetText.Parts(sheet, name));

    private static Play Typed(string name)
    {
        var sheet = DerivedSheets.Of(name);
        var acts = ActsFile.Read(Samples.Evening(name)).Value!.Acts;
        return Play.Of(sheet.Start, acts, sheet.Aim.Target, TestContext.Current.CancellationToken);
    }

    /// <summary>
    /// What is derived takes no longer than what is typed: no more steps than two, and no more of the time without internet than a tenth,
    /// or than the spread of the waits.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void A_derived_evening_is_no_longer_than_the_typed_one(string name)
    {
        var (typed, derived) = (Typed(name), DerivedSheets.Of(name));
        var steps = StepSplit.Of(new WorkDone(WorkKind.Save, "", typed.Steps)).Count();
        Assert.True(derived.Steps.Count <= steps + 2, $"{derived.Steps.Count} steps, typed {steps}");
        var (window, most) = (Window(derived.Play), Window(typed));
        Assert.True(window <= Math.Max(most * 1.1, most + Cost.Spread), $"{window} s without internet, typed {most} s");
        Assert.Equal(window, derived.Order.Cost.Window);
        var boxes = derived.Start.Design.Site.Boxes.Count;
        Assert.True(derived.Steps.Count <= 12 + (10 * (boxes - 1)), $"{derived.Steps.Count} steps for {boxes} boxes");
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void A_derived_sheet_is_safe_and_reads_as_approved(string name)
    {
        var sheet = DerivedSheets.Of(name);
        Assert.True(sheet.IsSafe);
        Assert.Equal(sheet.Steps.Count, sheet.Steps.Select(s => s.Id).Distinct().Count());
        Assert.All(sheet.Steps, s => Assert.Matches("^[a-z0-9-]{3,90}$", s.Id));
        // Every act is part of one step, and each step goes on where the one before it ended.
        Assert.Equal(sheet.Play.Steps, sheet.Steps.SelectMany(s => s.Acts));
        Assert.All(sheet.Steps.Zip(sheet.Steps.Skip(1)), two => Assert.Same(two.First.After, two.Second.Before));
        Snapshot.Match(Text(sheet, name).Split('\n'), name.Replace(".json", ".sheet", StringComparison.Ordinal));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void The_same_sheet_is_derived_each_time(string name)
    {
        var sheet = DerivedSheets.Of(name);
        var again = RunSheet.Derive(
            sheet.Start with
            {
                Ledger = Ledger.Empty,
            },
            sheet.Aim.Target,
            Ways.Usual,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(Data(sheet), Data(again));
        static string Data(RunSheet of) => DerivedSheets.Whole(SheetFile.Of(SheetForm.Json, of, "from", "to").Parts);
    }

    /// <summary>
    /// An order is safe in every outcome: where a step comes out otherwise than was taken to be so, the rest leads to the plan as well, and
    /// the page that is taken along says how.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void Whatever_comes_of_a_step_the_rest_leads_to_the_plan(string name)
    {
        var (sheet, cancel) = (DerivedSheets.Of(name), TestContext.Current.CancellationToken);
        var page = SheetHtml.Parts(sheet, name);
        foreach (var (step, i) in sheet.Steps.Select((s, i) => (s, i)))
        {
            var branches = StepBranch.Of(sheet, i + 1, cancel);
            Assert.Equal(step.Acts.SelectMany(a => a.Otherwise), branches.Select(b => b.If));
            foreach (var branch in branches)
            {
                Assert.True(branch.Sheet.IsSafe, $"{step.Says}, if {branch.If}: {string.Join(' ', branch.Sheet.Missing)}");
                Assert.InRange(branch.Sheet.Start.Time, step.Before.Time, step.After.Time);
                var written = System.Net.WebUtility.HtmlDecode(page[i + 1](cancel));
                Assert.Contains($"If instead {branch.If}: how it goes on", written, StringComparison.Ordinal);
                Assert.All(branch.Sheet.Steps, s => Assert.Contains($"<li>{s.Says}", written, StringComparison.Ordinal));
            }
        }
    }

    /// <summary>
    /// Without an Ethernet socket nothing is plugged in and each page is opened by Wi-Fi, or it is said that it cannot be, and which steps
    /// are unsafe.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void Without_a_socket_each_page_is_opened_by_wifi(string name)
    {
        var known = DerivedSheets.Of(name);
        var sheet = RunSheet.Derive(
            known.Start with
            {
                Ledger = Ledger.Empty,
            },
            known.Aim.Target,
            new() { Socket = false },
            TestContext.Current.CancellationToken
        );
        Assert.DoesNotContain(sheet.Play.Steps, s => s.Act is LaptopToPort || s.Departs.Count > 0);
        Assert.Contains(SheetVerdict.Of(sheet), v => v.Says.Contains("for a laptop without an Ethernet socket", StringComparison.Ordinal));
        Assert.Equal(sheet.Play.Left.Count > 0, sheet.Missing.Any(m => m.StartsWith("The page of ", StringComparison.Ordinal)));
        Assert.All(sheet.Unsafe, u => Assert.NotEmpty(u.Cure));
    }

    /// <summary>
    /// The home of the demo has one subnet on both sides of a router: what is done first may leave no way for the rest. The way back is
    /// found all the same without every order being tried.
    /// </summary>
    [Fact]
    public void A_way_back_is_found_without_trying_every_order()
    {
        var (sheet, cancel) = (DerivedSheets.Of("pottery-house.json"), TestContext.Current.CancellationToken);
        foreach (var number in Enumerable.Range(1, sheet.Steps.Count))
        {
            var back = WayBack.After(sheet, number, cancel);
            Assert.True(back.IsWhole, $"after step {number}");
            Assert.InRange(back.Sheet.Order.Tried, 0, 150);
        }
    }

    /// <summary>Of a home that is as planned nothing is asked, not even that it is written down.</summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void Where_nothing_differs_there_is_nothing_to_do(string name)
    {
        var planned = State.Morning(DerivedSheets.Of(name).Start.Design with { SetUp = DerivedSheets.Of(name).Aim.Target });
        var sheet = RunSheet.Derive(planned, planned.Design.SetUp, Ways.Usual, TestContext.Current.CancellationToken);
        Assert.Equal((0, true, true), (sheet.Steps.Count, sheet.IsSafe, sheet.Order.Searched));
        Assert.Contains("There is nothing to do: the home is as planned.", Text(sheet, name), StringComparison.Ordinal);
    }

    /// <summary>
    /// The way back is derived as well, and leads to what was found. On the way only that is broken which was broken there, or what a
    /// gateway that stopped routing cannot be asked any more.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void The_way_back_is_derived_as_well(string name)
    {
        var there = DerivedSheets.Of(name);
        var start = State.Morning(there.Start.Design with { SetUp = there.Aim.Target });
        var back = RunSheet.Derive(start, there.Start.Design.SetUp, Ways.Usual, TestContext.Current.CancellationToken);
        Assert.Equal([], back.Play.LeftInWords());
        var bridged = start.Design.SetUp.Boxes.Any(b => b.Mode is BridgeMode);
        // What has no password on record cannot be given it back.
        var unknown = there.Start.Design.SetUp.Boxes.Any(b => b.Password is null);
        var found = back.Aim.Amiss.Select(b => b.Rule.Number).ToHashSet();
        Assert.Equal(
            [],
            back.Unsafe.Where(u =>
                    !found.Contains(u.Broken.Rule.Number)
                    && !(bridged && u.Broken.Rule.Number == 1)
                    && !(unknown && u.Broken.Rule.Number == 12)
                )
                .Select(u => $"{u.Says}: {u.Broken.Violation.Text}")
        );
    }

    /// <summary>Seconds from the first to the last in which a device has no internet that has it before and after.</summary>
    private static long Window(Play play)
    {
        var (before, after) = (Online(play.Start), Online(State.Morning(play.Start.Design with { SetUp = play.Target! })));
        var gone = play.Steps.Where(s => s.After.Time > s.Before.Time && before.Intersect(after).Except(Online(s.Before)).Any()).ToList();
        return gone.Count == 0 ? 0 : (long)(gone[^1].After.Time - gone[0].Before.Time).TotalSeconds;
    }

    private static List<string> Online(State now) => [.. now.Seen().Sheet.Internet.Where(i => i.Answer.IsYes).Select(i => i.Device)];

    /// <summary>
    /// From each step of a sheet the way back leads to how the home was found, and every device has what it had in the morning; hands
    /// are at the main box for five minutes at most.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void The_way_back_from_a_step_gives_every_device_what_it_had(string name)
    {
        var sheet = DerivedSheets.Of(name);
        // Of the demo, which has one subnet on both sides as it is found, some: each takes a second.
        var steps = Enumerable.Range(0, sheet.Steps.Count + 1).Where(n => name != "pottery-house.json" || n % 3 == 0);
        foreach (var number in steps)
        {
            var back = WayBack.After(sheet, number, TestContext.Current.CancellationToken);
            Assert.True(
                back.IsWhole,
                $"after {number}: {string.Join("; ", [.. back.Sheet.Missing, .. back.Sheet.Play.LeftInWords(), .. back.Differs])}"
            );
            Assert.InRange(back.AtMainBox, TimeSpan.Zero, WayBack.MostAtMainBox);
            // A step that takes the internet from someone, or cannot be undone, has a last moment.
            var risky = number > 0 && sheet.Steps[number - 1] is var step && (step.Dips || step.Undo is { Can: false });
            Assert.Equal(risky ? sheet.Steps[number - 1].Takes.Most + back.Sheet.Takes.Most : null, back.BeginBefore);
            // What has to be there for the evening only is gone then too.
            Assert.Empty(
                OpenItem.Of(back.Sheet.Order.End).Where(i => i.Subjects is not [_, "password"]).Select(i => $"after {number}: {i.Text}")
            );
        }
        Assert.Throws<ArgumentOutOfRangeException>(() =>
            WayBack.After(sheet, sheet.Steps.Count + 1, TestContext.Current.CancellationToken)
        );
    }

    /// <summary>What may go wrong at a step is told by steps: none is told of itself, and none of what lies behind.</summary>
    [Fact]
    public void What_may_go_wrong_at_a_step_names_a_later_step_that_shows_it()
    {
        var sheet = DerivedSheets.Of("t01-access-point-by-hand.json");
        for (var number = 1; number <= sheet.Steps.Count; number++)
        {
            var groups = StepIfNot.Of(sheet, number, TestContext.Current.CancellationToken);
            Assert.All(groups, g =>
                Assert.True(g.ShownBy is null || (g.Shows.Count == 0 && g.ShownBy >= number && g.ShownBy <= sheet.Steps.Count))
            );
            Assert.All(groups, g => Assert.NotEmpty(g.Slips));
        }
        var radios = SheetWords.Number(sheet, sheet.Steps.First(s => s.Says == "Set Wi-Fi name, password and security at Upstairs router"));
        Assert.Contains(StepIfNot.Of(sheet, radios, TestContext.Current.CancellationToken), g => g.ShownBy > radios);
    }

    [Theory]
    [InlineData(
        "t02-access-point-mode.json",
        "Switch the radios off at Upstairs router",
        "Hall gateway answers at 192.168.8.1 too.",
        "Hall gateway"
    )]
    [InlineData(
        "t02-access-point-mode.json",
        "Set Wi-Fi name, password and security at Upstairs router",
        "The old address 192.168.8.1",
        "Hall gateway"
    )]
    [InlineData(
        "t01-access-point-by-hand.json",
        "Switch the DHCP server off at Upstairs router",
        "The old address 192.168.1.1 was typed.",
        "no: "
    )]
    public void Where_the_wrong_page_opens_it_is_told_whose(string name, string step, string slip, string shows)
    {
        var sheet = DerivedSheets.Of(name);
        var number = SheetWords.Number(sheet, sheet.Steps.Single(s => s.Says == step));
        var group = Assert.Single(StepIfNot.Of(sheet, number, TestContext.Current.CancellationToken), g =>
            g.Slips.Any(s => s.Says.StartsWith(slip, StringComparison.Ordinal))
        );
        Assert.StartsWith(shows, Assert.Single(group.Shows).Says, StringComparison.Ordinal);
    }

    /// <summary>A satellite that did not pair is told apart from an application that did not reach it.</summary>
    [Theory]
    [InlineData("Set Garden node in its application", true)]
    [InlineData("Set Main node in its application", false)]
    public void A_satellite_that_did_not_pair_is_told_by_itself(string step, bool pairs)
    {
        var sheet = DerivedSheets.Of("t14-mesh.json");
        var number = SheetWords.Number(sheet, sheet.Steps.Single(s => s.Says == step));
        var slips = StepIfNot
            .Of(sheet, number, TestContext.Current.CancellationToken)
            .SelectMany(g => g.Slips)
            .Select(s => s.Says)
            .ToList();
        Assert.Contains(slips, s => s.StartsWith("The application did not reach", StringComparison.Ordinal));
        Assert.Equal(pairs, slips.Exists(s => s.Contains("did not pair with Main node", StringComparison.Ordinal)));
    }

    [Theory]
    [InlineData(Known.Yes, Known.Yes, Known.No, " Its application asks for the customer's own account, Bluetooth on and mobile data off.")]
    [InlineData(Known.Unknown, Known.No, Known.Unknown, " Its application asks for Bluetooth off.")]
    [InlineData(Known.No, Known.Unknown, Known.Yes, " Its application asks for mobile data on.")]
    [InlineData(Known.No, Known.Unknown, Known.Unknown, "")]
    public void What_an_application_asks_of_the_telephone_is_told(Known account, Known bluetooth, Known data, string asks)
    {
        var site = Samples.Home("t14-mesh.json").Site;
        var kit = site.Boxes.Single(b => b.Name == "Main node");
        var traits = kit.Profile.Traits;
        var app = traits.App! with { Account = account, Bluetooth = bluetooth, MobileData = data };
        var asked = kit with { Profile = kit.Profile with { Traits = traits with { App = app } } };
        var home = Samples.Home("t14-mesh.json") with { Site = site with { Boxes = [.. site.Boxes.Select(b => b == kit ? asked : b)] } };
        var sheet = RunSheet.Derive(
            State.Morning(home.Design("found")!),
            home.Design("planned")!.SetUp,
            Ways.Usual,
            TestContext.Current.CancellationToken
        );
        Assert.Equal($"No page of it sets that.{asks}", sheet.Steps.Single(s => s.Says == "Set Main node in its application").Why);
    }

    /// <summary>
    /// Once the home's internet was seen to work, the laptop needs it no more before the end: what is fetched or asked comes before.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void Nothing_in_between_needs_the_internet_at_the_laptop(string name)
    {
        var acts = DerivedSheets.Of(name).Play.Steps.Select(s => s.Act).ToList();
        var baseline = acts.FindIndex(a => a is Verify { What: Verifiable.Internet });
        Assert.DoesNotContain(acts.Skip(baseline + 1), a => a is UpdateFirmware or AskProvider or Fetch { What: not Fetchable.LabelFacts });
        Assert.All(acts.Select((a, at) => (a, at)).Where(a => a.a is Verify { What: Verifiable.Internet } && a.at > baseline), a =>
            Assert.DoesNotContain(acts.Skip(a.at + 1), later => later is SavePage or SetInApp or PatchCable or UnpatchCable)
        );
    }

    /// <summary>What keeps a browser from a page that is there is told at each step that opens one, with how it is told apart.</summary>
    [Fact]
    public void Where_a_page_is_opened_the_everyday_causes_stand_beside_it()
    {
        var (sheet, powered) = (DerivedSheets.Of("t17-injector.json"), 0);
        foreach (var (step, number) in sheet.Steps.Select((s, i) => (s, i + 1)))
        {
            var groups = StepIfNot.Of(sheet, number, TestContext.Current.CancellationToken).Where(g => g.Tests is not null).ToList();
            var boxes = step
                .Acts.Select(a =>
                    a.Act switch
                    {
                        OpenPage open => open.Box,
                        FindPage find => find.Box,
                        _ => null,
                    }
                )
                .OfType<string>()
                .ToList();
            Assert.Equal(boxes.Count, groups.Count);
            var takes = boxes.Count(b => step.Before.Design.Box(b)!.Profile.Traits.Power?.Takes is not null);
            Assert.Equal(takes, groups.SelectMany(g => g.Slips).Count(s => s.Says.Contains("injector", StringComparison.Ordinal)));
            powered += takes;
        }
        Assert.True(powered > 0, "no page of a box that takes its power from a cable");
    }

    /// <summary>A provider that keeps its address for the box before gives none to another until the box at the line was off.</summary>
    [Theory]
    [InlineData(102, "Hall gateway")]
    [InlineData(46, "Line modem")]
    public void The_box_at_the_line_is_off_for_a_while_where_another_asks_for_its_address(int seed, string atLine)
    {
        var pair = PairGenerator.Make(seed);
        var sheet = RunSheet.Derive(State.Morning(pair.From), pair.To, Ways.Usual, TestContext.Current.CancellationToken);
        var step = sheet.Steps.Single(s => s.Says == $"Switch {atLine} off for 2 minutes and on again");
        Assert.StartsWith(
            "The provider keeps its address for the MAC address that was at the line before",
            step.Why,
            StringComparison.Ordinal
        );
        Assert.Null(step.Undo);
        Assert.True(step.Takes.Usual >= TimeSpan.FromMinutes(2));
        Assert.True(sheet.IsSafe);
        Assert.All(sheet.Aim.Online, d => Assert.Contains(d, Online(sheet.Order.End)));
    }

    /// <summary>The identity of a step is the same once what is before it was done: ticks and addresses of pages outlive that.</summary>
    [Theory]
    [InlineData("t01-access-point-by-hand.json")]
    [InlineData("t09-behind-bridge.json")]
    [InlineData("pottery-house.json")]
    public void Steps_keep_their_identity_when_the_rest_is_derived_anew(string name)
    {
        var sheet = DerivedSheets.Of(name);
        var half = sheet.Steps.Count / 2;
        var rest = RunSheet.Derive(sheet.Steps[half].After, sheet.Aim.Target, Ways.Usual, TestContext.Current.CancellationToken);
        Assert.True(rest.IsSafe);
        // How it is gone about may be otherwise from there; what is set, plugged and carried is the same.
        var kinds = new[] { "save-", "patch-", "carry-", "join-", "app-" };
        var (left, anew) = (Of(sheet.Steps.Skip(half + 1)), Of(rest.Steps));
        Assert.Equal(left, anew);

        List<string> Of(IEnumerable<SheetStep> steps) =>
            [
                .. steps
                    .Select(s => s.Id)
                    .Where(i => kinds.Any(k => i.StartsWith(k, StringComparison.Ordinal)))
                    .Order(StringComparer.Ordinal),
            ];
    }
}
