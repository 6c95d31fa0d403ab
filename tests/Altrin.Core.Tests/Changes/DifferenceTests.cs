using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Changes;

public sealed class DifferenceTests
{
    // The changes between two set-ups lead from the one to the other, whatever was done in between; back as well as forth.
    [Fact]
    public void Applied_to_the_first_they_give_the_second()
    {
        var seen = new SortedSet<string>(StringComparer.Ordinal);
        for (var seed = 1; seed <= 400; seed++)
        {
            var dice = new Random(seed);
            var before = SurveyGenerator.Survey(DesignGenerator.Make(seed, 8), seed);
            var after = before;
            for (var acts = 0; acts < 25; acts++)
            {
                var done = ChangeGenerator.Make(dice, after).ApplyTo(after);
                after = done.Ok ? after with { SetUp = done.Value } : after;
            }
            foreach (var (from, to) in new[] { (before, after), (after, before) })
            {
                var changes = Difference.Between(from.Site, from.SetUp, to.SetUp);
                seen.UnionWith(changes.Select(c => c.GetType().Name));
                var reached = changes.Aggregate(from, (d, c) => d with { SetUp = c.ApplyTo(d).Value });
                Assert.True(Plain(to.SetUp) == Plain(reached.SetUp), $"seed {seed}: {string.Join("; ", changes)}\n{Plain(to.SetUp)}\n{Plain(reached.SetUp)}");
            }
            Assert.Empty(Difference.Between(after.Site, after.SetUp, after.SetUp));
        }
        // Every kind of change that there is turns up, so that a new one is not forgotten here.
        Assert.Equal(typeof(Change).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Change))).Select(t => t.Name).Order(StringComparer.Ordinal), seen);
    }

    [Fact]
    public void A_cable_looked_at_anew_is_described_and_not_pulled()
    {
        var home = Home.WithGateway().Wired("tv", "gw/lan1").Design;
        var longer = home.SetUp with { Cables = [.. home.SetUp.Cables.Select(c => c.A.Owner == "gw" ? c with { LengthMetres = 12 } : c)] };
        Assert.Equal(["Cable from port 1 of gw to tv is Cat 6, 12 m"], Difference.Between(home.Site, home.SetUp, longer).Select(c => c.Describe(home)));
    }

    private static string Plain(SetUp setUp) => string.Join('\n', new[]
    {
        setUp.Boxes.Select(b => $"{b.Box} {Mode(b.Mode)}"),
        setUp.Devices.Select(d => $"{d.Device} {Host(d.Address)} {d.Wifi}"),
        setUp.Cables.Select(c => $"{string.Join(' ', new[] { c.A, c.B }.Order())} {c.Medium} {c.LengthMetres}"),
        setUp.Accepted.Select(a => $"{a}"),
    }.Select(lines => string.Join('\n', lines.Order(StringComparer.Ordinal))));

    private static string Mode(BoxMode mode) => mode switch
    {
        RouterMode r => $"router {Host(r.Wan)} {r.Lan} {r.Server.On} {r.Server.Pool} {r.Server.Gateway} {string.Join(',', r.Server.NameServers)} {string.Join(',', r.Server.Reservations.OrderBy(x => x.Hardware.ToString(), StringComparer.Ordinal))} {string.Join(',', r.Forwards.OrderBy(f => (f.Protocol, f.OutsidePort)))} {Radios(r)} {r.Guest} {r.Translates} {r.Dmz} {r.PortRequests} {string.Join(',', r.Routes.OrderBy(x => x.To))} {r.Server.LeaseMinutes} {r.Server.Domain} {r.Server.LeavesOutGateway} {r.Server.LeavesOutNames}",
        AccessPointMode p => $"point {Host(p.Page)} {Radios(p)} {p.Guest}",
        SwitchMode s => $"switch {(s.Page is { } page ? Host(page) : "")} {string.Join(';', s.Vlans.Select(v => $"{v.Port} {v.Untagged} {string.Join(',', v.Tagged)}"))}",
        BridgeMode b => $"bridge {b.Page}",
        _ => "",
    };

    private static string Radios(BoxMode mode) => string.Join(',', mode.Radios.OrderBy(r => r.Radio, StringComparer.Ordinal));

    private static string Host(HostAddress address) => address is Fixed typed ? $"{typed.Address} {typed.Gateway} {string.Join(',', typed.NameServers)}" : "asks";
}
