using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Altrin.Core.Findings;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>
/// Evenings played from what was found to what is planned: each as typed by hand from the trade's own order of work (common practice), and
/// as the order is derived from the two set-ups. What is asked of each state is asked of the network itself, apart from the invariants.
/// </summary>
public sealed class EveningTests
{
    public static TheoryData<string, Written> Evenings =>
        [.. Samples.Evenings.SelectMany(e => new[] { (e, Written.ByHand), (e, Written.Derived) })];

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
            var sheet = DerivedSheets.Of(name);
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

    /// <summary>
    /// In no state of it do two DHCP servers answer a device, has an address two owners, is there a ring, or leads a name into two networks
    /// that was not found so; no page is typed into but that of the box that is meant.
    /// </summary>
    [Theory]
    [MemberData(nameof(Evenings))]
    public void No_state_of_an_evening_has_two_of_anything(string name, Written written) =>
        Assert.Equal([], EveningOracle.Wrong(Played(name, written)));

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
        Assert.Contains(play.Steps, s => EveningOracle.NamesInTwoSegments(s.After).Contains("beech"));
    }

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
