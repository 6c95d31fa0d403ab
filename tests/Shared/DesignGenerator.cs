using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>
/// Random homes of cabled and Wi-Fi gear with the faults that people make, from a seed. Knows nothing of the rules that
/// are tested with it.
/// </summary>
public static class DesignGenerator
{
    private static readonly string[] Lans =
    [
        "192.168.8.1/24",
        "192.168.8.1/24",
        "192.168.1.1/24",
        "192.168.20.1/24",
        "192.168.8.2/24",
        "10.0.0.1/24",
        "192.168.8.129/25",
    ];
    private static readonly string[] Names = ["home", "home", "home", "other"];

    /// <summary>A home with the given number of customer's devices.</summary>
    public static Design Make(int seed, int devices)
    {
        var dice = new Random(seed);
        var home = Home.New()
            .Gateway(
                lan: Pick(dice, "192.168.8.1/24", "192.168.8.1/24", "192.168.1.1/24"),
                pool: null,
                bridge: Bit(dice, 8, out var bridge)
            );
        home.Service(
            dice.Next(6) switch
            {
                0 => new CarrierNat(null, null),
                1 => new UnknownService(null, null),
                _ => new PublicDynamic(null, null),
            }
        );
        home.Naming((NamingSchool)dice.Next(3));
        var free = new List<string> { "gw/lan1", "gw/lan2", "gw/lan3", "gw/lan4" };
        var radios = new List<string> { "gw" };
        home.Cable("street", "gw/wan");
        var boxes = 1 + (devices / 5);
        for (var i = 0; i < boxes && free.Count > 0; i++)
        {
            var (id, up) = ($"box{i:000}", Take(dice, free));
            var kind = dice.Next(4);
            switch (kind)
            {
                case 0:
                    home.Switch(id, 12);
                    break;
                case 1:
                    home.Point(
                        id,
                        dice.Next(3) == 0 ? $"192.168.8.{dice.Next(2, 250)}/24" : null,
                        Pick(dice, Names),
                        joins: dice.Next(4) > 0
                    );
                    radios.Add(id);
                    break;
                default:
                    home.Router(id, Pick(dice, Lans), null, dice.Next(4) > 0, Pick(dice, Names), dice.Next(2) == 0, dice.Next(2) == 0);
                    radios.Add(id);
                    break;
            }
            var into =
                kind == 0 ? "lan1"
                : dice.Next(4) == 0 ? "lan2"
                : "wan";
            home.Cable(up, $"{id}/{into}");
            free.AddRange(
                Enumerable
                    .Range(
                        1,
                        kind == 0 ? 12
                            : kind == 1 ? 2
                            : 4
                    )
                    .Select(n => $"{id}/lan{n}")
                    .Where(p => p != $"{id}/{into}")
            );
        }
        if (dice.Next(6) == 0 && free.Count > 1)
        {
            home.Cable(Take(dice, free), Take(dice, free));
        }
        for (var i = 0; i < devices; i++)
        {
            var id = $"dev-{i:0000}";
            switch (dice.Next(10))
            {
                case < 4 when free.Count > 0:
                    var address = dice.Next(3) == 0 ? $"192.168.{Pick(dice, "8", "8", "1", "20")}.{dice.Next(2, 250)}/24" : null;
                    home.Wired(id, Take(dice, free), address, address is not null && dice.Next(5) == 0 ? "192.168.8.77" : null);
                    break;
                case 9 when dice.Next(4) == 0:
                    home.Loose(id);
                    break;
                default:
                    home.Wifi(id, radios[dice.Next(radios.Count)], Pick(dice, Names), dice.Next(12) == 0 ? null : "key");
                    break;
            }
            if (dice.Next(10) == 0)
            {
                home.Reach(id, 8000 + i);
            }
            if (dice.Next(14) == 0)
            {
                home.Found(id);
            }
        }
        if (!bridge && dice.Next(4) == 0)
        {
            home.Guests("gw", pool: Pick(dice, "192.168.30.20-192.168.30.99", "192.168.30.20-192.168.30.20"));
            home.Wifi("guest-a", "gw", "guests", "guest-key").Wifi("guest-b", "gw", "guests", Pick(dice, "guest-key", "another"));
        }
        WithRadio(home, radios, devices, new Random(seed + 55_555));
        return WithHabits(home.Design, new Random(seed + 77_777), seed);
    }

    /// <summary>
    /// Now and then a box that joins by radio, with the faults that people make; a gateway that can pass its address on; a line that
    /// wants something.
    /// </summary>
    private static void WithRadio(Home home, List<string> radios, int devices, Random dice)
    {
        home.Profile("gw", p => p with { Passes = [PassKind.Port, PassKind.MacAddress, PassKind.Mapping] });
        for (var i = 0; i < 2 && dice.Next(3) == 0; i++)
        {
            var (id, at) = ($"air{i}", radios[dice.Next(radios.Count)]);
            Uplink Link(Uplink usual) =>
                usual with
                {
                    Name = dice.Next(8) == 0 ? "other" : "home",
                    Password = dice.Next(10) == 0 ? "wrong-key" : "key",
                    Locked = dice.Next(3) > 0,
                    Channel = usual.Frames == UplinkFrames.Wds && dice.Next(2) == 0 ? 36 : null,
                };
            switch (dice.Next(4))
            {
                case 0:
                    home.Repeater(id, at, (UplinkFrames)dice.Next(2), link: Link);
                    radios.Add(id);
                    break;
                case 1:
                    home.Bridge(id, at, (UplinkFrames)dice.Next(3), Link);
                    break;
                case 2:
                    home.Satellite(id, "gw", dice.Next(3) == 0 ? null : "gw");
                    break;
                default:
                    home.Router(id, "192.168.40.1/24")
                        .Edit<RouterMode>(id, m =>
                            m with
                            {
                                Uplink = Link(new("r5", at, "home", WifiSecurity.Wpa2, "key", UplinkFrames.ThreeAddress)),
                            }
                        );
                    break;
            }
            home.FourAddresses(at, (Known)dice.Next(3));
            home.Wired($"far-{i}", $"{id}/lan1", dice.Next(3) == 0 ? $"192.168.8.{240 + i}/24" : null);
            if (dice.Next(2) == 0)
            {
                home.Wifi($"far-phone-{i}", id);
            }
        }
        if (devices % 3 == 0 && dice.Next(3) == 0 && home.Design.Mode("gw") is RouterMode gateway)
        {
            var lan = home.Design.SetUp.Cables.FirstOrDefault(c => c.A.Owner == "gw" && c.B.Port == "wan");
            home.Edit<RouterMode>("gw", m => m with { Passing =
                        lan is null ? new(PassKind.Port, "lan1", null)
                        : dice.Next(2) == 0 ? new(PassKind.Port, lan.A.Port, null)
                        : new((PassKind)dice.Next(1, 3), null, home.Design.Box(lan.B.Owner)!.WanMac) });
        }
    }

    /// <summary>What boxes and devices do by themselves, mostly not found out; and now and then what few people set.</summary>
    private static Design WithHabits(Design design, Random dice, int seed)
    {
        // What was added later has dice of its own, so that the homes of a seed stay what they are.
        var later = new Random(unchecked((seed * 31) + 9));
        // A managed switch has a page, at a factory address.
        var managed = design.SetUp.Boxes.Where(b => b.Mode is SwitchMode && dice.Next(2) == 0).Select(b => b.Box).ToHashSet();
        Known Habit() =>
            (Known)(
                dice.Next(6) switch
                {
                    0 => 1,
                    1 => 2,
                    _ => 0,
                }
            );
        return design with
        {
            Site = design.Site with
            {
                Boxes =
                [
                    .. design.Site.Boxes.Select(b =>
                        b with
                        {
                            Profile = b.Profile with
                            {
                                FactoryAddress = managed.Contains(b.Id) ? Home.Own("192.168.0.1/24") : b.Profile.FactoryAddress,
                                Habits =
                                    dice.Next(2) == 0
                                        ? BoxHabits.NotKnown
                                        : new()
                                        {
                                            ChecksOffer = Habit(),
                                            ChecksLease = Habit(),
                                            OnOverlap = (OverlapHabit)dice.Next(4),
                                            AnswersAcross = Habit(),
                                            ChecksReversePath = Habit(),
                                            ServesWhenAlone = Habit(),
                                            GuestsApart = Habit(),
                                            LoopsBack = Habit(),
                                            LeasesThrough = Habit(),
                                            StopsRings = Habit(),
                                            KeepsOthers = Habit(),
                                            WifiOffWhilePassing = Habit(),
                                            AnswersPings = (Known)later.Next(3),
                                            ForwardsOutside = (Known)later.Next(3),
                                            FirewallWithoutNat = (Known)later.Next(3),
                                        },
                            },
                        }
                    ),
                ],
                Devices = [.. design.Site.Devices.Select(d => d with { ChecksLease = Habit() })],
                Needs = [.. design.Site.Needs.Select(n => n is ReachFromOutside reach ? reach with { AsksItself = dice.Next(5) == 0 } : n)],
            },
            SetUp = design.SetUp with
            {
                Boxes =
                [
                    .. design.SetUp.Boxes.Select(b =>
                        b.Mode is SwitchMode && managed.Contains(b.Box) ? b with { Mode = new SwitchMode(new Automatic()) }
                        : b.Mode is RouterMode router && dice.Next(3) == 0
                            ? b with
                            {
                                Mode = router with
                                {
                                    Nat = b.Box == "gw" || dice.Next(4) > 0,
                                    PortRequests = dice.Next(2) == 0,
                                    Dmz = dice.Next(8) == 0 ? router.Server.Pool.First : null,
                                },
                            }
                        : b
                    ),
                ],
            },
        };
    }

    private static bool Bit(Random dice, int of, out bool result) => result = dice.Next(of) == 0;

    private static T Pick<T>(Random dice, params T[] from) => from[dice.Next(from.Length)];

    private static string Take(Random dice, List<string> from)
    {
        var at = dice.Next(from.Count);
        var taken = from[at];
        from.RemoveAt(at);
        return taken;
    }
}
