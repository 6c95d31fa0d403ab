using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Altrin.Core.Addressing;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Formats.Tests;

/// <summary>
/// Evenings played from what was found to what is planned: each as typed by hand from the trade's own order of work (common practice), and
/// as the order is derived from the two set-ups. What is asked of each state is asked of the network itself, apart from the invariants.
/// </summary>
public sealed class EveningTests
{
    private static readonly ConcurrentDictionary<string, RunSheet> Sheets = new();

    public static TheoryData<string, Written> Evenings =>
        [.. Samples.Evenings.SelectMany(e => new[] { (e, Written.ByHand), (e, Written.Derived) })];

    public static TheoryData<string> Names => [.. Samples.Evenings];

    /// <summary>Where a list of acts comes from.</summary>
    public enum Written
    {
        ByHand,
        Derived,
    }

    private static Play Played(string name, Written written)
    {
        if (written == Written.Derived)
        {
            var sheet = Derived(name);
            return Play.Of(sheet.Start, [.. sheet.Play.Steps.Select(s => s.Act)], sheet.Aim.Target, TestContext.Current.CancellationToken);
        }
        var read = ActsFile.Read(Samples.Evening(name));
        Assert.True(read.Value is not null, string.Join("; ", read.Errors));
        var home = Samples.Home(name);
        return Play.Of(
            State.Morning(home.Design(read.Value.Begins)!),
            read.Value.Acts,
            home.Design(read.Value.Ends)!.SetUp,
            TestContext.Current.CancellationToken
        );
    }

    private static RunSheet Derived(string name) => Sheets.GetOrAdd(name, _ =>
        {
            var (home, acts) = (Samples.Home(name), ActsFile.Read(Samples.Evening(name)).Value!);
            return RunSheet.Derive(State.Morning(home.Design(acts.Begins)!), home.Design(acts.Ends)!.SetUp, Ways.Usual);
        });

    [Fact]
    public void Every_technique_has_an_evening() => Assert.Equal(Samples.All, Samples.Evenings);

    [Theory]
    [MemberData(nameof(Evenings))]
    public void An_evening_plays_through_breaks_nothing_and_ends_as_planned(string name, Written written)
    {
        var play = Played(name, written);
        Assert.Equal([], play.Steps.Where(s => s.Refused is not null).Select(s => $"{s.Says}: {s.Refused}"));
        Assert.Equal([], play.Steps.SelectMany(s => s.Broken.Select(b => $"{s.Says}: {b.Rule.Code} {b.Violation.Text}")));
        Assert.Equal([], play.Undone.Select(u => u.Violation.Text));
        Assert.Equal([], play.Left.Select(c => c.Describe(play.End.Design)));
        Assert.True(play.Whole);
        Assert.Contains(play.Steps, s => s.Act is RecordFacts);
        // The end is what makes the technique, as it stands there and then, with every lease and table of the evening.
        Assert.Equal([], TechniqueRowTests.NotSo(Path.GetFileNameWithoutExtension(name), Judging.Judge(play.End.Seen())));
        Assert.All(play.End.Seen().Sheet.Internet, i => Assert.True(i.Answer.IsYes, $"{i.Device}: {i.Answer.Why}"));
    }

    /// <summary>In no state of it do two DHCP servers answer a device, has an address two owners, or is there a ring.</summary>
    [Theory]
    [MemberData(nameof(Evenings))]
    public void No_state_of_an_evening_has_two_of_anything(string name, Written written)
    {
        foreach (var step in Played(name, written).Steps)
        {
            var seen = step.After.Seen();
            foreach (var device in seen.Network.Interfaces.Where(i => i.Side == Side.Device && i.Linked))
            {
                Assert.True(seen.Leasing.Offers(device).Count <= 1, $"{step.Says}: {device.Owner} is offered several leases");
            }
            Assert.Equal([], seen.Sheet.Conflicts.Where(c => c.Pool is null).Select(c => $"{step.Says}: {c.Address}"));
            Assert.All(seen.Network.Segments, s => Assert.Empty(s.Loops));
        }
    }

    /// <summary>
    /// No page is typed into but that of the box that is meant, as a ping from the laptop tells it; and no name is in two segments at once
    /// that was not found so.
    /// </summary>
    [Theory]
    [MemberData(nameof(Evenings))]
    public void Every_page_is_that_of_the_box_that_is_meant_and_every_name_is_in_one_segment(string name, Written written)
    {
        var play = Played(name, written);
        var found = NamesInTwoSegments(play.Steps[0].Before);
        foreach (var step in play.Steps)
        {
            Assert.Empty(NamesInTwoSegments(step.After).Except(found).Select(n => $"{step.Says}: {n}"));
            if (PageOf(step.Act) is not { } box)
            {
                continue;
            }
            var (seen, own) = (step.Before.Seen(), AddressOf(step.Before, box));
            var adapters = step
                .Before.Laptop!.Adapters()
                .Select(a => seen.Network.Find(a.Owner, Side.Laptop)!)
                .Where(i => i.Linked)
                .ToList();
            var near = adapters.Where(i => seen.Leasing.Holdings(i).Any(h => h.Subnet?.Contains(own) == true)).ToList();
            var answers = (near.Count > 0 ? near : adapters).Select(i => seen.Tracer.Ping(i, own)).ToList();
            Assert.True(
                answers.Exists(r => r.ArrivedAt == box) && answers.TrueForAll(r => !r.Answer.IsYes || r.ArrivedAt == box),
                $"{step.Says}: {own} is {string.Join(" or ", answers.Select(r => r.ArrivedAt ?? r.Answer.Why))}"
            );
        }
    }

    /// <summary>
    /// What is derived takes no longer than what is typed: no more steps than two, and no more of the time without internet than a tenth,
    /// or than the spread of the waits.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void A_derived_evening_is_no_longer_than_the_typed_one(string name)
    {
        var (typed, derived) = (Played(name, Written.ByHand), Derived(name));
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
        var sheet = Derived(name);
        Assert.True(sheet.IsSafe);
        Assert.Equal(sheet.Steps.Count, sheet.Steps.Select(s => s.Id).Distinct().Count());
        Assert.All(sheet.Steps, s => Assert.Matches("^[a-z0-9-]{3,90}$", s.Id));
        // Every act is part of one step, and each step goes on where the one before it ended.
        Assert.Equal(sheet.Play.Steps, sheet.Steps.SelectMany(s => s.Acts));
        Assert.All(sheet.Steps.Zip(sheet.Steps.Skip(1)), two => Assert.Same(two.First.After, two.Second.Before));
        Snapshot.Match(SheetText.Of(sheet, name).Split('\n'), name.Replace(".json", ".sheet", StringComparison.Ordinal));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void The_same_sheet_is_derived_each_time(string name)
    {
        var sheet = Derived(name);
        var again = RunSheet.Derive(
            sheet.Start with
            {
                Ledger = Ledger.Empty,
            },
            sheet.Aim.Target,
            Ways.Usual,
            TestContext.Current.CancellationToken
        );
        Assert.Equal(SheetText.Of(sheet, name), SheetText.Of(again, name));
    }

    /// <summary>
    /// The way back is derived as well, and leads to what was found. On the way only that is broken which was broken there, or what a
    /// gateway that stopped routing cannot be asked any more.
    /// </summary>
    [Theory]
    [MemberData(nameof(Names))]
    public void The_way_back_is_derived_as_well(string name)
    {
        var there = Derived(name);
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

    // The radios left on at the table: the name is on the air at both ends of the stairs, in two networks.
    [Fact]
    public void A_name_that_is_sent_too_early_is_in_two_segments()
    {
        var text = Samples.Evening("t01-access-point-by-hand.json").Replace("\"on\": false", "\"on\": true", StringComparison.Ordinal);
        var acts = ActsFile.Read(text).Value!.Acts;
        var play = Play.Of(
            State.Morning(Samples.Home("t01-access-point-by-hand.json").Design("found")!),
            acts,
            null,
            TestContext.Current.CancellationToken
        );
        Assert.Contains(play.Steps, s => NamesInTwoSegments(s.After).Contains("beech"));
    }

    /// <summary>Names that boxes in different segments send, other than for guests.</summary>
    private static IEnumerable<string> NamesInTwoSegments(State now)
    {
        var (network, silent) = (now.Seen().Network, now.Moment.Situation.Silent());
        return now
            // Some gateways stop sending while they pass their address on.
            .Design.SetUp.Boxes.Where(b =>
                !silent.Contains(b.Box)
                && !(b.Mode is RouterMode { Passing: not null } && now.Design.Box(b.Box)!.Profile.Habits.WifiOffWhilePassing == Known.Yes)
            )
            .SelectMany(b => b.Mode.Radios.Where(r => r.On).Select(r => (r.Name, Segment: SegmentOf(network, b.Box))))
            .Distinct()
            .GroupBy(n => n.Name)
            .Where(g => g.Count() > 1)
            .Select(g => g.Key);
    }

    private static string SegmentOf(Network network, string box) =>
        (network.Find(box, Side.Lan) ?? network.Find(box, Side.Page))?.Segment ?? network.Segments.First(s => s.Boxes.Contains(box)).Id;

    private static string? PageOf(Act act) =>
        act switch
        {
            OpenPage open => open.Box,
            SavePage save => save.Box,
            TryLogin login => login.Box,
            _ => null,
        };

    private static Ipv4Address AddressOf(State now, string box) =>
        now.Seen().Leasing.Holdings(now.Seen().Network.Find(box, Side.Lan) ?? now.Seen().Network.Find(box, Side.Page)!)[0].Exact!.Value;

    /// <summary>What the technique asks: own address in the main subnet, outside the pool, DHCP off, WAN port empty, LAN to LAN.</summary>
    [Fact]
    public void An_access_point_by_hand_ends_as_its_technique_asks()
    {
        var play = Played("t01-access-point-by-hand.json", Written.ByHand);
        var design = play.End.Design;
        var (gateway, point) = ((RouterMode)design.Mode("hall-gateway")!, (RouterMode)design.Mode("upstairs-router")!);
        Assert.True(gateway.Lan.Subnet.Contains(point.Lan.Address) && !gateway.Server.Pool.Contains(point.Lan.Address));
        Assert.False(point.Server.On);
        Assert.Null(design.CableAt(PortRef.Read("upstairs-router/wan")));
        Assert.Contains(design.SetUp.Cables, c => c.Ends("hall-gateway") && c.Ends("upstairs-router"));
        Assert.Equal("hall-gateway", Assert.Single(play.End.Seen().Network.Segment("hall-gateway").Servers).Owner);
        // Until it is joined, the new box meets no device of the home; no device but the computer that moves is ever offline.
        var joined = play.Steps.First(s => s.Act is PatchCable { B.Owner: "upstairs-router" });
        Assert.All(play.Steps.TakeWhile(s => s != joined), s =>
            Assert.DoesNotContain("upstairs-router", s.After.Seen().Network.Segment("hall-gateway").Boxes)
        );
        Assert.All(play.Steps, s =>
            Assert.All(s.After.Seen().Sheet.Internet.Where(i => i.Device != "study-computer"), i => Assert.True(i.Answer.IsYes))
        );
    }

    /// <summary>Slips that an installer makes on an evening, each by one act left out, and the invariant that says so.</summary>
    [Theory]
    [InlineData("t01-access-point-by-hand", "switchDhcpServer", 4)]
    [InlineData("t01-access-point-by-hand", "setLanAddress", 4)]
    [InlineData("t01-access-point-by-hand", "192.168.1.200", 10)]
    [InlineData("t01-access-point-by-hand", "setPagePassword", 12)]
    [InlineData("t01-access-point-by-hand", "automatic", 17)]
    [InlineData("t01-access-point-by-hand", "forget", 17)]
    [InlineData("t02-access-point-mode", "\"record\"", 1)]
    [InlineData("t06-wds-pair", "192.168.8.250", 10)]
    [InlineData("t06-wds-pair", "ipv6Off", 18)]
    [InlineData("t07-wireless-bridge", "setUplink", 3)]
    [InlineData("t08-two-buildings", "\"waitUntilReady\",\"box\":\"workshop-switch\"", 15)]
    [InlineData("t09-behind-bridge", "192.168.8.250", 10)]
    [InlineData("t14-mesh", "ipv6Kind", 18)]
    [InlineData("pottery-house", "192.168.8.250", 2)]
    [InlineData("pottery-house", "\"powerOff\",\"id\":\"loft-router\"", 5)]
    [InlineData("pottery-house", "clearTable", 8)]
    [InlineData("pottery-house", "hall-gateway-lan1-loft-router-wan", 12)]
    public void An_act_that_is_left_out_is_told_by_what_it_breaks(string evening, string leftOut, int broken)
    {
        var file = JsonNode.Parse(Samples.Evening($"{evening}.json"))!;
        var acts = file["acts"]!.AsArray();
        acts.Remove(acts.First(a => a!.ToJsonString().Contains(leftOut, StringComparison.Ordinal)));
        var home = Samples.Home($"{evening}.json");
        var (list, target) = (ActsFile.Read(file.ToJsonString()).Value!.Acts, (string?)file["to"] ?? "planned");
        var play = Play.Of(State.Morning(home.Design("found")!), list, home.Design(target)!.SetUp, TestContext.Current.CancellationToken);
        Assert.False(play.Whole);
        Assert.Contains(broken, play.Steps.SelectMany(s => s.Broken).Concat(play.Undone).Select(b => b.Rule.Number));
    }

    /// <summary>No save and no cable of an evening can be left out: without it something is refused, broken, or not as planned.</summary>
    [Theory]
    [InlineData("t02-access-point-mode")]
    [InlineData("t09-behind-bridge")]
    [InlineData("t12-points-behind-gateway")]
    [InlineData("t14-mesh")]
    public void Whatever_changes_the_home_is_missed(string evening)
    {
        var (acts, home) = (ActsFile.Read(Samples.Evening($"{evening}.json")).Value!.Acts, Samples.Home($"{evening}.json"));
        var (found, planned) = (home.Design("found")!, home.Design("planned")!.SetUp);
        foreach (var act in acts.Where(a => a is SavePage or SetInApp or PatchCable or UnpatchCable or PowerOn or DeviceJoins))
        {
            var play = Play.Of(State.Morning(found), [.. acts.Where(a => a != act)], planned, TestContext.Current.CancellationToken);
            Assert.False(play.Whole, $"{evening} without: {act}");
        }
    }

    /// <summary>Of each kind on the shelf it is known what its pages are; what is not is counted, so that it cannot grow unseen.</summary>
    [Fact]
    public void All_kinds_of_the_shelf_have_pages()
    {
        Assert.All(ProfileFile.BuiltIn.Profiles, p => Assert.NotNull(p.Traits.Pages));
        var open = ProfileFile.BuiltIn.Profiles.SelectMany(PageAt.NotKnown).ToList();
        Assert.True(open.Count == 19, $"{open.Count} facts are not known: {string.Join("; ", open)}");
        Assert.All(ProfileFile.BuiltIn.Profiles.Where(p => !PageAt.HasNone(p)), p =>
            Assert.True(PageAt.NotKnown(p).Count < p.Modes.SelectMany(Core.Changes.ModeSettings.OnPages).Distinct().Count())
        );
    }

    [Theory]
    [InlineData("{ \"act\": \"dance\" }", "/acts/0", "no such kind")]
    [InlineData("{ \"box\": \"x\" }", "/acts/0", "")]
    [InlineData("{ \"act\": \"reset\" }", "/acts/0", "box must be given")]
    [InlineData("{ \"act\": \"reset\", \"box\": \"x\", \"times\": 2 }", "/acts/0", "'times' is unknown here. Known are box, outcome")]
    [InlineData("{ \"act\": \"wait\", \"seconds\": \"long\" }", "/acts/0/seconds", "A whole number is expected")]
    [InlineData("{ \"act\": \"record\", \"box\": \"x\", \"what\": [\"rumours\"] }", "/acts/0/what/0", "One of pages, wanLogin")]
    [InlineData("{ \"act\": \"laptopToPort\", \"port\": \"nowhere\" }", "/acts/0/port", "")]
    public void A_wrong_act_is_refused_where_it_stands(string act, string pointer, string says)
    {
        var read = ActsFile.Read($$"""{ "format": "altrin-acts", "formatVersion": 1, "acts": [{{act}}] }""");
        Assert.True(read.Value is null || pointer.EndsWith("port", StringComparison.Ordinal));
        if (read.Value is null)
        {
            Assert.StartsWith(pointer, read.Errors[0].Pointer, StringComparison.Ordinal);
            Assert.Contains(says, read.Errors[0].Allowed, StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData("{}", "/format")]
    [InlineData("{ \"format\": \"altrin-acts\", \"formatVersion\": 2, \"acts\": [] }", "/formatVersion")]
    [InlineData("{ \"format\": \"altrin-acts\", \"formatVersion\": 0, \"acts\": [] }", "/formatVersion")]
    [InlineData("{ \"format\": \"altrin-design\", \"formatVersion\": 1, \"acts\": [] }", "/format")]
    public void A_file_that_is_no_list_of_acts_is_refused(string text, string pointer) =>
        Assert.Equal(pointer, Assert.Single(ActsFile.Read(text).Errors).Pointer);

    /// <summary>Every kind of act is written as it is read.</summary>
    [Fact]
    public void Acts_are_written_as_they_are_read()
    {
        // What may be empty is written too, since it is asked for when it is read.
        var options = new JsonSerializerOptions(AltrinJson.Options) { DefaultIgnoreCondition = JsonIgnoreCondition.Never };
        foreach (var name in Samples.Evenings)
        {
            var acts = ActsFile.Read(Samples.Evening(name)).Value!.Acts;
            var text = JsonSerializer.Serialize(acts, options);
            Assert.Equal(text, JsonSerializer.Serialize(JsonSerializer.Deserialize<IReadOnlyList<Act>>(text, options), options));
        }
    }
}
