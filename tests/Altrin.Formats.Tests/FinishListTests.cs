using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Finishing;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>What is to be proven at the end, and what is looked up before a subnet changes, asked of many plans.</summary>
public sealed class FinishListTests
{
    /// <summary>Generated pairs beside the samples, by seed.</summary>
    private const int Pairs = 40;

    private static readonly Lazy<IReadOnlyList<RunSheet>> Sheets = new(() =>
        [
            .. Samples.Evenings.Select(DerivedSheets.Of),
            .. Enumerable
                .Range(1, Pairs)
                .AsParallel()
                .AsOrdered()
                .Select(seed => PairGenerator.Make(seed))
                .Select(p => RunSheet.Derive(State.Morning(p.From), p.To, Ways.Usual)),
        ]
    );

    private static State Planned(RunSheet sheet) => State.Morning(sheet.Start.Design with { SetUp = sheet.Aim.Target });

    /// <summary>Every device, need, page, name and forward of the plan is asked for, and every box that it leaves out is named.</summary>
    [Fact]
    public void The_finish_list_asks_for_all_that_the_plan_has()
    {
        foreach (var sheet in Sheets.Value.Where(s => s.Steps.Count > 0))
        {
            var (list, planned) = (FinishList.Of(sheet), Planned(sheet));
            var (design, facts) = (planned.Design, planned.Seen().Sheet);
            Assert.Equal(list.Count, list.Select(i => i.Id).Distinct().Count());
            Assert.All(list, i => Assert.All([i.About, i.Says, .. i.Each], Assert.NotEmpty));
            Assert.Equal(facts.Internet.Count, Each(list, "devices").Count);
            Assert.All(facts.Internet, d => Assert.Contains(Each(list, "devices"), e => Begins(e, design.NameOf(d.Device))));
            Assert.All(design.Site.Needs, n => Assert.Equal(!n.DuringWork, list.Any(i => i.Id == $"need-{n.Id}")));
            foreach (
                var at in facts.Addresses.Where(a =>
                    a is { Side: Side.Lan, Address: not null } && !PageAt.HasNone(design.Box(a.Owner)!.Profile)
                )
            )
            {
                Assert.Contains(Each(list, "pages"), e => e == $"{design.NameOf(at.Owner)}: {at.Address}");
            }
            Assert.All(Air.Of(design), a =>
                Assert.Contains(Each(list, "names"), e => Begins(e, $"\"{a.Setting.Name}\" from") && e.Contains(design.NameOf(a.Box)))
            );
            var forwards = design.SetUp.Boxes.Select(b => b.Mode).OfType<RouterMode>().Sum(r => r.Forwards.Count);
            Assert.Equal(forwards, Each(list, "let-in").Count(e => e.StartsWith("TCP ") || e.StartsWith("UDP ")));
            Assert.All(sheet.Start.Design.SetUp.Boxes.Where(b => design.Mode(b.Box) is null), b =>
                Assert.Contains(Each(list, "leads"), e => Begins(e, $"{design.NameOf(b.Box)} is labelled as taken out"))
            );
            Assert.Equal(
                facts.Links.Count(l => l.Kind == LinkKind.Radio),
                list.FirstOrDefault(i => i.Id == "radio-links")?.Each.Count ?? 0
            );
        }
    }

    /// <summary>Who has to be switched off and on is spared that by a lease of minutes, where a page can set one.</summary>
    [Fact]
    public void Long_leases_are_shortened_at_an_earlier_visit()
    {
        var spared = 0;
        foreach (var sheet in Sheets.Value)
        {
            var design = sheet.Start.Design;
            var touched = sheet.Play.Steps.Select(s => (s.Act as NewLink)?.Device).OfType<string>().Select(design.NameOf).ToHashSet();
            foreach (var item in EarlierVisit.Of(sheet))
            {
                var router = Assert.IsType<RouterMode>(design.Mode(item.Id["lease-".Length..]));
                Assert.True(router.Server.LeaseMinutes is null or > EarlierVisit.Minutes);
                Assert.NotEmpty(item.Each);
                Assert.All(item.Each, d => Assert.Contains(d, touched));
                Assert.Contains("set the lease time to 10 minutes, at least ", item.Says, StringComparison.Ordinal);
                Assert.Equal(
                    sheet.Aim.Of(item.Id["lease-".Length..])?.Mode is RouterMode { Server.On: true },
                    item.Says.Contains("Set it back when all is done.", StringComparison.Ordinal)
                );
                spared += item.Each.Count;
            }
        }
        Assert.True(spared > 0, "no device is spared anything");
    }

    /// <summary>A device is told to change its subnet where its address is in another one afterwards, and only there.</summary>
    [Fact]
    public void Before_a_subnet_changes_each_device_that_moves_is_named()
    {
        var (moves, typed) = (0, 0);
        foreach (var sheet in Sheets.Value.Where(s => s.Steps.Count > 0))
        {
            var (before, after, list) = (State.Morning(sheet.Start.Design), Planned(sheet), SubnetMove.Of(sheet));
            var design = before.Design;
            var named = list.Where(i => i.Id.StartsWith("move-") && char.IsAsciiDigit(i.Id[^1])).SelectMany(i => i.Each).ToList();
            var moved = design
                .SetUp.Devices.Select(d => d.Device)
                .Where(d => SubnetOf(before, d) is { } from && SubnetOf(after, d) is { } to && from != to)
                .Select(design.NameOf)
                .ToList();
            Assert.Equal(moved.Order(), named.Order());
            Assert.Equal(moved.Count > 0, list.Any(i => i.Id == "move-asked"));
            var hands = design.SetUp.Devices.Where(d => d.Address is Fixed && moved.Contains(design.NameOf(d.Device))).ToList();
            Assert.Equal(hands.Count, list.FirstOrDefault(i => i.Id == "move-typed")?.Each.Count ?? 0);
            (moves, typed) = (moves + moved.Count, typed + hands.Count);
        }
        Assert.True(moves >= 20 && typed > 0, $"{moves} devices move, {typed} of them with a typed address");
    }

    [Theory]
    // Two NATs, planned so; the carrier's is told apart.
    [InlineData(
        "t13-behind-mobile-gateway.json",
        "nat",
        "2 boxes do NAT one behind the other, as planned: Main router behind Mobile gateway."
    )]
    // The public address is at the router behind the gateway that passes it on.
    [InlineData("t10-pass-through.json", "nat", "One NAT only: on its page Main router has the public address on its WAN side")]
    [InlineData("t10-pass-through.json", "rates", "by cable at Main router")]
    [InlineData("t14-mesh.json", "radio-links", "Landing node to Main node")]
    [InlineData("t01-access-point-by-hand.json", "dhcp-alone", "Upstairs router")]
    [InlineData("t01-access-point-by-hand.json", "leads", "the WAN port of Upstairs router is taped shut")]
    [InlineData("pottery-house.json", "names", "\"pottery-loft\" no more")]
    [InlineData("pottery-house.json", "ipv6", "in the network of 192.168.8.0/24 the only default router over IPv6 is Hall gateway")]
    [InlineData("pottery-house.json", "need-", "A phone on mobile data, its Wi-Fi off, opens port 8443")]
    public void An_item_of_the_finish_list_says(string name, string id, string says)
    {
        var items = FinishList.Of(DerivedSheets.Of(name)).Where(i => i.Id.StartsWith(id, StringComparison.Ordinal)).ToList();
        Assert.Contains(items, i =>
            i.Says.Contains(says, StringComparison.Ordinal) || i.Each.Any(e => e.StartsWith(says, StringComparison.Ordinal))
        );
    }

    /// <summary>Plugs are pulled for longer where the line keeps a MAC address, and a telephone line is not restarted too often.</summary>
    [Theory]
    [InlineData(AccessKind.Fibre, Known.No, "Off for 30 seconds", 0)]
    [InlineData(AccessKind.TelevisionCable, Known.No, "Off for 2 minutes", 0)]
    [InlineData(AccessKind.Fibre, Known.Yes, "Off for 2 minutes", 0)]
    [InlineData(AccessKind.TelephoneLine, Known.No, "Off for 30 seconds", 1)]
    public void The_power_cut_lasts_as_long_as_the_line_needs(AccessKind access, Known locked, string says, int notes)
    {
        var sheet = DerivedSheets.Of("t01-access-point-by-hand.json");
        var site = sheet.Start.Design.Site;
        var line = site.Service with { Access = access, Line = site.Service.Line with { Locked = locked } };
        var start = State.Morning(sheet.Start.Design with { Site = site with { Service = line } });
        var item = FinishList
            .Of(RunSheet.Derive(start, sheet.Aim.Target, Ways.Usual, TestContext.Current.CancellationToken))
            .Single(i => i.Id == "power-cut");
        Assert.Contains(says, item.Says, StringComparison.Ordinal);
        Assert.Equal(notes, item.Each.Count);
    }

    /// <summary>With two DHCP servers in one network it depends on who starts first: the worst order is tried as well, and told.</summary>
    [Fact]
    public void The_power_cut_is_tried_again_in_the_order_that_breaks()
    {
        var pair = PairGenerator.Make(25);
        Assert.Contains("two DHCP servers", pair.Traits);
        var planned = State.Morning(pair.From with { SetUp = pair.To });
        var sheet = RunSheet.Derive(planned, pair.From.SetUp, Ways.Usual, TestContext.Current.CancellationToken);
        var second = Assert.Single(FinishList.Of(sheet).Single(i => i.Id == "power-cut").Each);
        Assert.Contains("Start in this order: Upstairs router, Hall gateway", second, StringComparison.Ordinal);
        Assert.EndsWith("Internet of Study computer, no", second, StringComparison.Ordinal);
    }

    [Fact]
    public void Where_there_is_nothing_to_do_nothing_is_asked()
    {
        var planned = Planned(DerivedSheets.Of("pottery-house.json"));
        var sheet = RunSheet.Derive(planned, planned.Design.SetUp, Ways.Usual, TestContext.Current.CancellationToken);
        Assert.Empty(FinishList.Of(sheet).Concat(SubnetMove.Of(sheet)));
    }

    private static IReadOnlyList<string> Each(IReadOnlyList<CheckItem> list, string id) => list.Single(i => i.Id == id).Each;

    private static bool Begins(string text, string with) => text.StartsWith(with, StringComparison.Ordinal);

    /// <summary>The subnet of the router that leads where a device is, by the simulated network itself.</summary>
    private static string? SubnetOf(State now, string device)
    {
        var network = now.Seen().Network;
        return network.Find(device, Side.Device) is { } there && network.Segment(there.Segment) is { HasStreet: false } segment
            ? segment
                .Interfaces.Where(i => i is { Side: Side.Lan or Side.Guest, Setting: Fixed })
                .Select(i => $"{((Fixed)i.Setting).Address.Subnet}")
                .FirstOrDefault()
            : null;
    }
}
