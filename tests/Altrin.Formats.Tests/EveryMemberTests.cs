using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>
/// Each member of a home, found by reflection, is written, read and compared: one that a mapping or a comparison forgets fails here on
/// the day it is added.
/// </summary>
public sealed class EveryMemberTests
{
    /// <summary>How many changes of a member are looked at once they were kept.</summary>
    private const int Tries = 2;

    /// <summary>How many values of a member are tried in one home.</summary>
    private const int MostTried = 60;

    /// <summary>
    /// What has no other value beside the rest of a home: each radio that a kind of box has stands in its list once. A setting that is
    /// lost is seen at its other members.
    /// </summary>
    private static readonly string[] NoOther = ["AccessPointMode.Wifi", "RadioSetting.Radio", "RepeaterMode.Wifi", "RouterMode.Wifi"];

    /// <summary>What the generators seldom or never draw.</summary>
    private static HomeFile Rare()
    {
        var design = RareHome().Design;
        var site = design.Site with
        {
            Devices = [new("unused", "Unused", DeviceKind.Other, null)],
            Sockets = [new("s1", "One", SocketKind.Data), new("s2", "Two", SocketKind.Data), new("s3", "Three", SocketKind.Data)],
            Runs = [new("run", "s1", "s2", Medium.Cat5e)],
            Places = [new("hall", "Hall"), new("loft", "Loft")],
            Speeds =
            [
                new("speed", "ap", RunBy.Ghz5, 3, new(90, 80, 95))
                {
                    Up = new(40, 30, 45),
                    From = "unused",
                    To = "gw",
                    Place = "hall",
                    StoodIn = "loft",
                    SetUp = "planned",
                    Over = [new("gw-lan1-in-wan", Medium.Cat6)],
                    At = "2026-05-04T16:30Z",
                },
                new("speed-2", "gw", RunBy.Cable, 3, new(90, 80, 95)) { Port = "lan2" },
            ],
        };
        return new(
            site,
            [
                design.SetUp with
                {
                    Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "spare")],
                    Accepted = [new("double-nat(in)", true, "No reason", "A person")],
                },
            ]
        );
    }

    private static Home RareHome() =>
        Home.WithGateway()
            .Service(
                new PublicFixed(Home.Own("203.0.113.40/24"), Home.At("203.0.113.1"), 100, 20)
                {
                    DnsServers = [Home.At("203.0.113.53")],
                    Line = new()
                    {
                        Login = Known.Yes,
                        Tagged = Known.Yes,
                        Tag = 7,
                        Locked = Known.Yes,
                        LockedTo = new(0x02005E005344UL),
                    },
                }
            )
            .Router("in")
            .Cable("gw/lan1", "in/wan")
            .Passes("gw", PassKind.Port, "lan1")
            .Repeater("rep", "in", UplinkFrames.Wds, link: l => l with { Channel = 36, WidthMhz = 20 })
            .Bridge("tv-bridge", "in")
            .Profile("tv-bridge", p => p with { Radios = [.. p.Radios, new("r2", RadioBand.Ghz2)] })
            .Point("spare")
            .Point("ap")
            .Profile("gw", p => p with { RoutesMbps = 200, Radios = [.. p.Radios.Select(r => r with { MostNames = 4 })] })
            .Edit<RouterMode>("gw", m =>
                m with
                {
                    Wifi = [.. m.Wifi.Select(w => w with { Region = "AT", FurtherNames = [new("old", WifiSecurity.Wpa2, "key")] })],
                }
            )
            .Edit<AccessPointMode>("ap", m => m with { Guest = new("visitors", WifiSecurity.Wpa2, "key") { Vlan = 20 } })
            .Gateway("old", bridge: true)
            .Switch("sw")
            .Edit<SwitchMode>("sw", m => m with { Page = new Fixed(Home.Own("192.168.8.9/24"), null, []) })
            .Traits(
                "sw",
                new()
                {
                    Power = new() { Gives = PowerKind.Af, GivesAt = ["lan1"] },
                }
            )
            .Traits(
                "spare",
                new()
                {
                    Reset = new(ResetBy.Pinhole) { HoldSeconds = 8, Keeps = [Setting.AdminPassword] },
                    Effects = [new(ModeKind.AccessPoint, AddressAfter.Leased) { Clears = [Setting.WifiName, Setting.Channel] }],
                    Pages =
                    [
                        new("wireless", [Setting.WifiName, Setting.WifiPassword])
                        {
                            Modes = [ModeKind.AccessPoint],
                            Restarts = Known.No,
                            DropsWifi = Known.Yes,
                            SaveSeconds = 30,
                        },
                    ],
                    PageSides = [PageSide.Cable, PageSide.Wifi],
                    App = new([Setting.PageAddress])
                    {
                        Account = Known.Yes,
                        Bluetooth = Known.No,
                        MobileData = Known.Yes,
                        InternetFirst = Known.No,
                    },
                }
            );

    /// <summary>What is rare, the demo home, and generated ones, each after sixty acts, so that each member is somewhere.</summary>
    private static IEnumerable<HomeFile> Homes() =>
        Enumerable
            .Range(1, 40)
            .Select(seed =>
            {
                var dice = new Random(seed);
                var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 4), seed);
                for (var act = 0; act < 60; act++)
                {
                    design = ChangeList.Apply(design, [ChangeGenerator.Make(dice, design)]) is { Ok: true } done ? done.Value : design;
                }
                return new HomeFile(design.Site, [design.SetUp]);
            })
            .Prepend(Samples.Home("pottery-house.json"))
            .Prepend(Rare());

    private static readonly Lazy<List<(string Member, HomeFile Before, HomeFile After)>> Changed = new(() =>
    {
        var wanted = Members.Of(typeof(HomeFile));
        var kept = new Dictionary<string, int>(StringComparer.Ordinal);
        var changed = new List<(string, HomeFile, HomeFile)>();
        foreach (var home in Homes())
        {
            var before = DesignFile.Write(home);
            string[] texts =
            [
                "other",
                "r2",
                "r5",
                "lan1",
                "lan2",
                .. home.Site.Places.Take(2).Select(p => p.Id),
                .. home.Site.Boxes.Take(3).Select(b => b.Id),
                .. home.Site.Devices.Take(2).Select(d => d.Id),
                .. home.Site.Sockets.Take(3).Select(s => s.Id),
                .. home.Site.Boxes.SelectMany(b => b.Profile.Ports.TakeLast(2).Select(p => $"{b.Id}/{p.Id}")),
            ];
            var tried = new Dictionary<string, int>(StringComparer.Ordinal);
            foreach (var (member, whole) in Members.Altered(home, texts))
            {
                if (kept.GetValueOrDefault(member) >= Tries || (tried[member] = tried.GetValueOrDefault(member) + 1) > MostTried)
                {
                    continue;
                }
                var after = (HomeFile)whole;
                var text = DesignFile.Write(after);
                if (text != before && DesignFile.Read(text) is { Value: { } read })
                {
                    Assert.Equal((member, text), (member, DesignFile.Write(read)));
                    kept[member] = kept.GetValueOrDefault(member) + 1;
                    changed.Add((member, home, read));
                }
            }
            if (wanted.All(m => kept.GetValueOrDefault(m) > 0 || NoOther.Contains(m)))
            {
                break;
            }
        }
        var lost = wanted.Where(m => !kept.ContainsKey(m)).Except(NoOther).ToList();
        Assert.True(
            lost.Count == 0,
            $"Not written, or refused when it is read (is docs/design-file.schema.json of today?): {string.Join(", ", lost)}"
        );
        return changed;
    });

    [Fact]
    public void Of_a_home_is_written_and_read() => Assert.NotEmpty(Changed.Value);

    [Fact]
    public void Of_a_set_up_is_told_by_comparing()
    {
        foreach (var (member, before, after) in Changed.Value.Where(c => c.Before.SetUps.Count == c.After.SetUps.Count))
        {
            foreach (var (from, to) in before.SetUps.Zip(after.SetUps).Where(s => Text(before, s.First) != Text(before, s.Second)))
            {
                var difference = Difference.Between(before.Site, from, to with { Name = from.Name });
                Assert.True(difference.Changes.Count + difference.Unreachable.Count > 0, $"{member} is compared by nothing.");
            }
        }

        static string Text(HomeFile home, SetUp setUp) => DesignFile.Write(new(home.Site, [setUp with { Name = "one" }]));
    }
}
