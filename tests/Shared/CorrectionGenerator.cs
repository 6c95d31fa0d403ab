using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Testing;

/// <summary>Corrects a home at random.</summary>
public static class CorrectionGenerator
{
    /// <summary>A set-up that is neither the survey nor the plan, where there is one.</summary>
    private static string Kept(HomeFile home) =>
        home.SetUps.Select(s => s.Name).FirstOrDefault(n => n is not (HomeFile.FoundName or HomeFile.PlannedName)) ?? HomeFile.PlannedName;

    /// <summary>A random correction of a home: sensible, foolish and impossible ones.</summary>
    public static Correction Make(Random dice, HomeFile home, Shelf shelf)
    {
        var site = home.Site;
        return dice.Next(20) switch
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
                    new(
                        "Renamed",
                        Coin() ? new(0x02005E005398UL) : null,
                        null,
                        Coin() ? [LineService.Alarm] : [],
                        Coin() ? Place() : null,
                        Coin()
                    )
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
                        Air = Coin() ? SurveyGenerator.Heard(dice, dice.Next(0, 12)) : null,
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
            // Where there is a plan already, something of the home's set-ups is taken off.
            12 => home.SetUps.Any(s => s.Name == HomeFile.PlannedName) ? new RemoveSetUp(Kept(home)) : new StartPlan(),
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
            18 => new KeepSpeed(
                new("", Box(), (RunBy)dice.Next(3), dice.Next(0, 4), new(dice.Next(10, 90), dice.Next(0, 10), dice.Next(80, 200)))
                {
                    From = Coin() ? Device() : null,
                    To = dice.Next(4) == 0 ? Box() : null,
                    Place = Coin() ? Place() : null,
                    StoodIn = Coin() ? Place() : null,
                    At = Coin() ? "2026-05-04T16:30Z" : null,
                }
            ),
            _ => new Remove(
                dice.Next(6) switch
                {
                    0 => Box(),
                    1 => Device(),
                    2 => Place(),
                    3 => site.Sockets.Count > 0 ? site.Sockets[0].Id : "barn",
                    4 => site.Speeds.Count > 0 ? site.Speeds[0].Id : "barn",
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
