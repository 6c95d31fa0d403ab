using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>Random acts on a design: sensible, foolish and impossible ones, from dice that are passed in.</summary>
public static class ChangeGenerator
{
    public static Change Make(Random dice, Design design)
    {
        return dice.Next(39) switch
        {
            0 => new SetMode(Box(), (ModeKind)dice.Next(7)),
            1 => new SetLanAddress(Box(), Own()),
            2 => new SetPageAddress(Box(), Host()),
            3 => new SetWan(Box(), Host()),
            4 or 5 or 6 => new SetRadio(
                Box(),
                "r5",
                Some<RadioSetting>(
                    new("r5", Coin(), Coin() ? "home" : "other", (WifiSecurity)dice.Next(6), Coin() ? "key" : null)
                    {
                        Channel = Coin() ? 36 + (4 * dice.Next(-1, 4)) : null,
                        WidthMhz = Coin() ? 40 : null,
                        Hidden = Coin(),
                        ProtectsFrames = Coin() ? (FrameProtection)dice.Next(3) : null,
                        WdsPeers = Coin() ? [] : [Box()],
                        FurtherNames = Coin() ? [] : [new(Coin() ? "old" : "home", (WifiSecurity)dice.Next(6), Coin() ? "key" : null)],
                        Region =
                            Coin() ? "AT"
                            : Coin() ? null
                            : "XX",
                    }
                )
            ),
            7 => new SwitchDhcpServer(Box(), Coin()),
            8 => Coin()
                ? MovePool.To(Box(), AddressRange.Between(Address(), Address()))
                : new MovePool(Box()) { First = Coin() ? Address() : null, Last = Coin() ? Address() : null },
            9 => new SetServerGateway(Box(), Coin() ? null : Address(), Coin()),
            10 => new Reserve(Box(), Of(design.Site.Devices).Mac!.Value, Address()),
            11 => new AddForward(Box(), new((Protocol)dice.Next(2), dice.Next(7999, 8012), Address(), dice.Next(7999, 8012))),
            12 => new SetDeviceAddress(Device(), Host()),
            13 => new JoinWifi(Device(), dice.Next(4) == 0 ? null : new(Box(), Coin() ? "home" : "other", "key")),
            14 => new Patch(End(), End(), Known())
            {
                Id = dice.Next(3) switch
                {
                    0 => $"cable-{dice.Next(9)}",
                    1 when design.SetUp.Cables.Count > 0 => Of(design.SetUp.Cables).Id,
                    _ => null,
                },
            },
            15 => new SetCable(Cable(), Some(Known())),
            16 => new TakeOutOfUse(Coin() ? Box() : Device()),
            17 => new SetDnsServers(Box(), Coin() ? [] : [Address(), Address()], Coin()),
            18 => new AcceptFinding(Coin() ? "loop(a,b)" : "no-internet(x)", Coin(), Coin() ? "it may" : " ", "A. Name"),
            19 => new TakeBackAcceptance("loop(a,b)"),
            20 => new SetGuest(
                Box(),
                Some<GuestNetwork>(
                    new(
                        "guests",
                        (WifiSecurity)dice.Next(6),
                        Coin() ? "key" : null,
                        Home.Own(Coin() ? "192.168.30.1/24" : "192.168.8.1/24"),
                        Home.Range(Coin() ? "192.168.30.20-192.168.30.99" : "192.168.8.20-192.168.8.99")
                    )
                    {
                        Vlan = Coin() ? dice.Next(1, 40) : null,
                    }
                )
            ),
            21 => Coin() ? new RemoveGuest(Box()) : new RemovePointGuest(Box()),
            22 => new SetNat(Box(), Coin()),
            23 => new SetDmz(Box(), Coin() ? null : Address()),
            24 => new SetPortRequests(Box(), Coin()),
            25 => new AddRoute(Box(), new(Subnet.Containing(Address(), dice.Next(0, 33)), Address())),
            26 => new SetLeaseTime(Box(), Coin() ? null : dice.Next(0, 600_000)),
            27 => new SetPointGuest(
                Box(),
                Some<GuestName>(
                    new("visitors", (WifiSecurity)dice.Next(6), Coin() ? "key" : null) { Vlan = Coin() ? dice.Next(1, 40) : null }
                )
            ),
            28 => new SetServerDomain(
                Box(),
                Coin() ? null
                    : Coin() ? "home.arpa"
                    : "not a domain"
            ),
            29 => new SetUplink(
                Box(),
                Some<Uplink>(
                    new(
                        Coin() ? "r5" : "none",
                        Box(),
                        Coin() ? "home" : "other",
                        (WifiSecurity)dice.Next(6),
                        Coin() ? "key" : null,
                        (UplinkFrames)dice.Next(3)
                    )
                    {
                        Locked = Coin(),
                        Channel = Coin() ? 36 : null,
                        WidthMhz = Coin() ? 20 : null,
                    }
                )
            ),
            30 => new RemoveUplink(Box()),
            31 => new SetSatellite(Box(), Some<SatelliteMode>(new(Box(), Coin() ? Box() : null))),
            32 => new SetPassing(
                Box(),
                Coin() ? null : new((PassKind)dice.Next(3), Coin() ? "lan1" : null, Coin() ? Of(design.Site.Devices).Mac : null)
            ),
            33 => new SetLine(
                Box(),
                Some<LineSetting>(new(Coin(), Coin() ? dice.Next(0, 5000) : null, Coin() ? Of(design.Site.Devices).Mac : null))
            ),
            34 => new SetPortVlans(Box(), "lan1", Coin() ? 1 : 20, Coin() ? [] : [30, 25]),
            35 => new PlaceBox(
                Box(),
                Coin() ? null
                    : design.Site.Places.Count > 0 ? Of(design.Site.Places).Id
                    : "nowhere"
            ),
            36 => new SetPagePassword(Box(), Coin() ? null : "page"),
            37 => Coin()
                ? design.SetUp.Boxes.FirstOrDefault(b => b.Mode is RouterMode { Server.Reservations.Count: > 0 })
                    is { Mode: RouterMode keeping } keeper
                    ? new RemoveReservation(keeper.Box, keeping.Server.Reservations[0].Mac)
                    : new RemoveReservation(Box(), Of(design.Site.Devices).Mac!.Value)
                : design.Mode(Box()) is RouterMode { Routes.Count: > 0 } routing
                    ? new RemoveRoute(Box(), routing.Routes[0].To)
                    : design.SetUp.Boxes.FirstOrDefault(b => b.Mode is RouterMode { Forwards.Count: > 0 })
                        is { Mode: RouterMode forwarding } there
                        ? new RemoveForward(there.Box, forwarding.Forwards[0].Protocol, forwarding.Forwards[0].OutsidePort)
                        : new RemoveForward(Box(), Protocol.Tcp, 8000),
            _ => new Unpatch(Cable()),
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
        CableFacts Known() =>
            new(
                (Medium)dice.Next(8),
                Coin() ? null : dice.Next(-1, 120),
                Coin() ? dice.Next(1, 5) : null,
                Coin() && design.Site.Runs.Count > 0 ? Of(design.Site.Runs).Id : null
            );
        string Cable() => design.SetUp.Cables.Count > 0 ? Of(design.SetUp.Cables).Id : "none";
        T Of<T>(IReadOnlyList<T> list) => list[dice.Next(list.Count)];
        bool Coin() => dice.Next(2) == 0;
        string Box() => Of(design.Site.Boxes).Id;
        string Device() => Of(design.Site.Devices).Id;
        Ipv4Address Address() => new((uint)(dice.Next(4) == 0 ? dice.NextInt64(0, 1L << 32) : 0xC0A80800u + dice.Next(0, 1024)));
        InterfaceAddress Own() => new(Address(), dice.Next(5) == 0 ? dice.Next(0, 33) : 24);
        HostAddress Host() => Coin() ? new Automatic() : new Fixed(Own(), dice.Next(3) == 0 ? null : Address(), Coin() ? [] : [Address()]);
        PortRef End()
        {
            var box = Of(design.Site.Boxes);
            return dice.Next(8) switch
            {
                0 => PortRef.AtStreet,
                < 3 => PortRef.OfDevice(Device()),
                _ => new(box.Id, Of(box.Profile.Ports).Id),
            };
        }
    }
}
