using Altrin.Core.Radio;
using Altrin.Core.Sites;

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
    internal static AirScan Heard(Random dice, int channel)
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
}
