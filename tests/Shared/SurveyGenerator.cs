using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Testing;

/// <summary>Notes at random what a survey notes beyond the network: rooms, sockets, runs, labels, traits, needs of every kind.</summary>
public static class SurveyGenerator
{
    /// <summary>The same network with a survey around it.</summary>
    public static Design Survey(Design design, int seed)
    {
        var dice = new Random(seed);
        Place[] places =
        [
            .. Enumerable
                .Range(1, dice.Next(2, 7))
                .Select(i => new Place($"room-{i}", $"Room {i}")
                {
                    Kind = (PlaceKind)dice.Next(6),
                    Building = dice.Next(3) == 0 ? "barn" : null,
                    Floor = dice.Next(-1, 4),
                    LengthMetres = Maybe(20) is { } length ? length + 1 : null,
                    WidthMetres = Maybe(20) is { } width ? width + 1 : null,
                    Walls = (WallKind)dice.Next(7),
                    EastMetres = Maybe(50),
                    NorthMetres = Maybe(50),
                    Air = Coin() ? Heard(dice, dice.Next(1, 12)) : null,
                }),
        ];
        Socket[] sockets =
        [
            .. Enumerable
                .Range(1, 6)
                .Select(i => new Socket($"socket-{i}", $"Socket {i}", (SocketKind)dice.Next(5)) { Place = Coin() ? Any() : null }),
        ];
        var site = design.Site with
        {
            Service = design.Site.Service with
            {
                Access = (AccessKind)dice.Next(8),
                HandOff = Coin() ? design.Site.Boxes[0].Id : null,
                Line = design.Site.Service.Line with { Account = Coin() ? "someone" : null, Password = Coin() ? "line-password" : null },
            },
            Buildings =
            [
                new("house", "House") { StoreyHeightMetres = Coin() ? 3.1 : null },
                new("barn", "Barn") { SameSupply = (Known)dice.Next(3) },
            ],
            Places = places,
            Sockets = sockets,
            Runs =
            [
                new("run-1", "socket-1", "socket-2", (Medium)dice.Next(8))
                {
                    Pairs =
                        Coin() ? 2
                        : Coin() ? 4
                        : null,
                    LengthMetres = Maybe(90) is { } run ? run + 1 : null,
                },
                new("run-2", "socket-3", "socket-4", Medium.Cat6),
            ],
            Boxes =
            [
                .. design.Site.Boxes.Select(b =>
                    b with
                    {
                        Holds = Coin() ? [LineService.Telephone, LineService.Alarm] : [],
                        Place = Coin() ? Any() : null,
                        Label = Coin()
                            ? LabelFacts.Empty
                            : new()
                            {
                                Address = Coin() && !b.Profile.Modes.Contains(ModeKind.Switch) ? Home.Own("192.168.77.1/24") : null,
                                Login = Coin() ? "admin" : null,
                                Password = Coin() ? $"{b.Id}-password" : null,
                                WifiName = Coin() ? "Label 5" : null,
                                WifiPassword = Coin() ? $"{b.Id}-key" : null,
                                Firmware = Coin() ? "1.2.3" : null,
                                Supported = (Known)dice.Next(3),
                                SupportedUntil = Coin() ? new DateOnly(2027, 3, 31) : null,
                            },
                        Stored =
                            design.Mode(b.Id) is null && Coin() ? new((StoredState)dice.Next(2))
                            : Coin()
                                ? new(StoredState.LastHome)
                                {
                                    Mode = Coin() ? b.Profile.Modes[0] : null,
                                    Address = Coin() ? Home.Own("192.168.8.3/24") : null,
                                    DhcpServer = Coin() ? Known.No : Known.Unknown,
                                    WifiName = b.Profile.Radios.Count > 0 && Coin() ? "Elsewhere" : null,
                                    WifiPassword = Coin() ? "old-key" : null,
                                }
                            : StoredSettings.NotKnown,
                        Assumed = Coin()
                            ? AssumedSettings.All(design.Mode(b.Id))
                            : new(null, Coin() ? true : null, null, Coin() ? "Assumed" : null),
                        Profile = b.Profile with
                        {
                            Edition = dice.Next(1, 4),
                            Traits = Coin()
                                ? Traits.NotKnown
                                : new()
                                {
                                    Login = (LoginHabit)dice.Next(6),
                                    Watts = Coin() ? 7.5 : null,
                                    Reset = new(ResetBy.Pinhole) { HoldSeconds = dice.Next(1, 30) },
                                    Lights = [new(LightPhase.Joining, "one", "amber, blinking", "wrong key")],
                                    Effects = [new(ModeKind.Router, AddressAfter.Kept)],
                                    Power = new() { Takes = PowerKind.Af, NeedsWatts = 6 },
                                },
                        },
                    }
                ),
            ],
            Devices = [.. design.Site.Devices.Select(d => d with { Place = Coin() ? Any() : null, HasSocket = (Known)dice.Next(3) })],
            Needs = [.. design.Site.Needs, .. Needs(design.Site.Devices[0].Id)],
        };
        var free = new Queue<string>(["run-1", "run-2"]);
        return new(
            site,
            design.SetUp with
            {
                Boxes =
                [
                    .. design.SetUp.Boxes.Select(b => b with { Place = Coin() ? Any() : null, Password = Coin() ? $"{b.Box}-page" : null }),
                ],
                Cables =
                [
                    .. design.SetUp.Cables.Select(c =>
                        c with
                        {
                            Known = c.Known with
                            {
                                Pairs = dice.Next(3) switch
                                {
                                    0 => 2,
                                    1 => 4,
                                    _ => null,
                                },
                                Run = Coin() && free.TryDequeue(out var run) ? run : null,
                            },
                        }
                    ),
                ],
            }
        );

        bool Coin() => dice.Next(2) == 0;
        string Any() => places[dice.Next(places.Length)].Id;
        double? Maybe(int most) => Coin() ? dice.Next(most * 10) / 10.0 : null;
        IEnumerable<Need> Needs(string device) =>
            new Need[]
            {
                new LocalServer("n-server", device),
                new LittleDelay("n-delay", device),
                new StaysOnline("n-online", device),
                new CallsInPlace("n-calls", Any()),
                new GuestsKeptApart("n-guests"),
                new KeepsNameAndPassword("n-name", "home", WifiSecurity.Wpa2, Coin() ? "key" : null),
                new ServiceLives("n-lives", (LineService)dice.Next(3)),
            }.Where(_ => Coin());
    }

    /// <summary>A scan of one network; whatever a command may leave out is left out at times.</summary>
    private static AirScan Heard(Random dice, int channel)
    {
        return new([
            new(Coin() ? "next door" : "")
            {
                Radio = Coin() ? new(0x02005E005400UL + (ulong)dice.Next(250)) : null,
                Band = Coin() ? RadioBand.Ghz2 : null,
                Channel = Coin() ? channel : null,
                LevelDbm = Coin() ? dice.Next(-90, -30) : null,
                EitherDb = Coin() ? 3 : null,
                Security = Coin() ? WifiSecurity.Wpa2 : null,
            },
        ])
        {
            At = Coin() ? "2026-05-04T16:30Z" : null,
        };

        bool Coin() => dice.Next(2) == 0;
    }

    /// <summary>A random correction of a home: sensible, foolish and impossible ones.</summary>
    public static Correction Correction(Random dice, HomeFile home, Shelf shelf)
    {
        var site = home.Site;
        return dice.Next(19) switch
        {
            0 => new SetHome(
                Some<HomeFacts>(
                    new(
                        Coin() ? "A home" : "",
                        (NamingSchool)dice.Next(3),
                        Coin() ? "AT"
                            : Coin() ? null
                            : "XX"
                    )
                )
            ),
            1 => new SetService(
                Some<ServiceFacts>(
                    new(
                        (ServiceKind)dice.Next(4),
                        dice.Next(-1, 900),
                        20,
                        (AccessKind)dice.Next(8),
                        Coin() ? Box() : null,
                        dice.Next(0, 4),
                        Home.Own("203.0.113.4/24"),
                        Home.At("203.0.113.1"),
                        [Home.At("203.0.113.9")],
                        Coin() ? Subnet.Parse("100.64.0.0/10").Value : null,
                        (Known)dice.Next(3),
                        (Known)dice.Next(3),
                        Coin() ? 7 : null,
                        (Known)dice.Next(3),
                        Coin() ? new(0x02005E005399UL) : null,
                        Coin() ? "someone" : null,
                        Coin() ? "line-password" : null
                    )
                )
            ),
            2 => Added(),
            3 => new SetBox(
                Box(),
                Some<BoxFacts>(
                    new("Renamed", Coin() ? new(0x02005E005398UL) : null, null, Coin() ? [LineService.Alarm] : [], Coin() ? Place() : null)
                )
            ),
            4 => new TakeProfile(Box(), shelf.Profiles[dice.Next(shelf.Profiles.Count)].ShelfId),
            5 => new AddDevice(
                new("", $"Thing {dice.Next(30)}", (DeviceKind)dice.Next(11), null) { Place = Coin() ? Place() : null },
                Coin() ? new Automatic() : new Fixed(Home.Own("192.168.8.77/24"), null, []),
                Connected()
            ),
            6 => new SetDevice(
                Device(),
                Some<Device>(
                    new("", "Renamed", DeviceKind.Printer, null)
                    {
                        Place = Coin() ? Place() : null,
                        ChecksLease = (Known)dice.Next(3),
                        HasSocket = (Known)dice.Next(3),
                        Bands = Coin() ? [RadioBand.Ghz2] : [],
                        NewestSecurity = Coin() ? WifiSecurity.Wpa3 : null,
                    }
                )
            ),
            7 => new SetBuilding(
                dice.Next(3) switch
                {
                    0 => "",
                    1 => "none",
                    _ => "barn",
                },
                Some<Building>(new("", "Barn") { SameSupply = (Known)dice.Next(3), StoreyHeightMetres = Coin() ? dice.Next(0, 4) : null })
            ),
            8 => new SetPlace(
                dice.Next(4) switch
                {
                    0 => "",
                    1 => Device(),
                    2 => "Not An Id",
                    _ => Place(),
                },
                Some<Place>(
                    new("", "Studio")
                    {
                        Floor = dice.Next(-7, 7),
                        Building = Coin() ? "barn" : null,
                        Kind = (PlaceKind)dice.Next(6),
                        Walls = (WallKind)dice.Next(7),
                        LengthMetres = Coin() ? dice.Next(0, 9) : null,
                        Air = Coin() ? Heard(dice, dice.Next(0, 12)) : null,
                    }
                )
            ),
            9 => new SetSocket(
                site.Sockets.Count > 0 && Coin() ? site.Sockets[0].Id : "",
                Some<Socket>(new("", "Socket", SocketKind.Data) { Place = Place() })
            ),
            10 => new SetRun(
                site.Runs.Count > 0 && Coin() ? site.Runs[0].Id : "",
                Some<CableRun>(
                    new(
                        "",
                        site.Sockets.Count > 0 ? site.Sockets[dice.Next(site.Sockets.Count)].Id : "none",
                        site.Sockets.Count > 1 ? site.Sockets[dice.Next(site.Sockets.Count)].Id : "none",
                        Medium.Cat5e
                    )
                    {
                        Pairs = Coin() ? 4 : null,
                        LengthMetres = Coin() ? 12 : null,
                    }
                )
            ),
            11 => new SetNeed(
                dice.Next(4) switch
                {
                    0 => new LocalServer("", Device()),
                    1 => new CallsInPlace("", Place()),
                    2 => new GuestsKeptApart(""),
                    _ => new ReachFromOutside("", Device(), Protocol.Tcp, dice.Next(0, 9000), Coin()),
                }
            ),
            12 => new StartPlan(),
            13 => new SetLabel(
                Box(),
                Some(
                    LabelFacts.Empty with
                    {
                        WifiName = Coin() ? "A name" : null,
                        Login = Coin() ? "admin" : null,
                        Firmware = Coin() ? "2" : null,
                        Supported = (Known)dice.Next(3),
                        WifiPassword = Coin() ? "Not A Reference" : "key",
                        Address = Coin() ? Home.Own("192.168.77.1/24") : null,
                    }
                )
            ),
            14 => new SetFound(
                Box(),
                Some<FoundSettings>(
                    new(
                        Coin() ? Home.Own("192.168.66.1/24") : null,
                        Coin(),
                        Home.At(Coin() ? "192.168.8.30" : "192.168.66.30"),
                        Home.At("192.168.8.90"),
                        Coin() ? "Read name" : null,
                        Coin() ? "read-key" : null
                    )
                )
            ),
            15 => new SetHouseWifi(Coin() ? "House name" : null, Coin() ? "house-key" : null),
            16 => new UseBox(Spare(), dice.Next(4) == 0 ? (ModeKind)dice.Next(7) : null, Connected()),
            17 => new SetStored(
                Box(),
                Some<StoredSettings>(
                    new((StoredState)dice.Next(3))
                    {
                        Mode = Coin() ? (ModeKind)dice.Next(7) : null,
                        Address = Coin() ? Home.Own("192.168.8.3/24") : null,
                        DhcpServer = (Known)dice.Next(3),
                        WifiName = Coin() ? "Elsewhere" : null,
                        WifiPassword = Coin() ? "old-key" : null,
                    }
                )
            ),
            _ => new Remove(
                dice.Next(5) switch
                {
                    0 => Box(),
                    1 => Device(),
                    2 => Place(),
                    3 => site.Sockets.Count > 0 ? site.Sockets[0].Id : "barn",
                    _ => site.Needs.Count > 0 ? site.Needs[0].Id : "barn",
                }
            ),
        };

        Partial<T> Some<T>(T value)
            where T : class =>
            dice.Next(3) == 0
                ? Partial<T>.All(value)
                : Partial<T>.Of(
                    Partial<T>
                        .All(value)
                        .Given.Where(_ => dice.Next(3) == 0)
                        .Select(m => KeyValuePair.Create(m, typeof(T).GetProperty(m)!.GetValue(value)))
                );
        bool Coin() => dice.Next(2) == 0;
        Connection Connected() =>
            new(
                dice.Next(3) == 0 ? null : (ConnectedBy)dice.Next(2),
                dice.Next(3) switch
                {
                    0 => Box(),
                    1 => PortRef.Street,
                    _ => null,
                },
                dice.Next(4) == 0 ? "2" : null
            );
        AddBox Added()
        {
            var box = new AddBox($"Box {dice.Next(30)}", shelf.Profiles[dice.Next(shelf.Profiles.Count)].ShelfId)
            {
                InUse = dice.Next(3) switch
                {
                    0 => true,
                    1 => false,
                    _ => null,
                },
                Place = Coin() ? Place() : null,
            };
            // A box that is not in use is seldom said to be set or connected: that is refused.
            return box.InUse == false && dice.Next(4) > 0
                ? box
                : box with
                {
                    Mode = dice.Next(4) == 0 ? (ModeKind)dice.Next(7) : null,
                    Connection = Connected(),
                };
        }
        string Spare() => site.Boxes.FirstOrDefault(b => home.SetUps.All(s => s.Boxes.All(x => x.Box != b.Id)))?.Id ?? Box();
        string Box() => site.Boxes.Count > 0 ? site.Boxes[dice.Next(site.Boxes.Count)].Id : "none";
        string Device() => site.Devices.Count > 0 ? site.Devices[dice.Next(site.Devices.Count)].Id : "none";
        string Place() => site.Places.Count > 0 ? site.Places[dice.Next(site.Places.Count)].Id : "none";
    }
}
