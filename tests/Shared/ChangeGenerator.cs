using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>Random acts on a design: sensible, foolish and impossible ones, from dice that are passed in.</summary>
public static class ChangeGenerator
{
    public static Change Make(Random dice, Design design)
    {
        return dice.Next(36) switch
        {
            0 => new SetMode(Box(), (ModeKind)dice.Next(7)),
            1 => new SetLanAddress(Box(), Own()),
            2 => new SetPageAddress(Box(), Host()),
            3 => new SetWan(Box(), Host()),
            4 => new SetRadio(Box(), new("r5", Coin(), Coin() ? "home" : "other", (WifiSecurity)dice.Next(6), Coin() ? "key" : null)),
            5 => new SwitchAddressServer(Box(), Coin()),
            6 => new MovePool(Box(), AddressRange.Between(Address(), Address())),
            7 => new SetServerGateway(Box(), Coin() ? null : Address()),
            8 => new Reserve(Box(), Of(design.Site.Devices).Hardware!.Value, Address()),
            9 => new AddForward(Box(), new((Protocol)dice.Next(2), dice.Next(7999, 8012), Address(), dice.Next(7999, 8012))),
            10 => new SetDeviceAddress(Device(), Host()),
            11 => new JoinWifi(Device(), dice.Next(4) == 0 ? null : new(Box(), Coin() ? "home" : "other", "key")),
            12 => new Patch(End(), End(), Medium.Cat6, null),
            14 => new SetCable(design.SetUp.Cables.Count > 0 ? Of(design.SetUp.Cables).Id : "none", (Medium)dice.Next(8), Coin() ? null : dice.Next(-1, 120)) { Pairs = Coin() ? 2 : null, Run = Coin() && design.Site.Runs.Count > 0 ? Of(design.Site.Runs).Id : null },
            15 => new PutAway(Coin() ? Box() : Device()),
            16 => new SetServerNames(Box(), Coin() ? [] : [Address()]),
            17 => new AcceptFinding(Coin() ? "loop(a,b)" : "no-internet(x)", Coin(), Coin() ? "it may" : " ", "A. Name"),
            19 => new SetGuest(Box(), dice.Next(3) == 0 ? null : new("guests", (WifiSecurity)dice.Next(6), Coin() ? "key" : null, Home.Own(Coin() ? "192.168.30.1/24" : "192.168.8.1/24"), Home.Range(Coin() ? "192.168.30.20-192.168.30.99" : "192.168.8.20-192.168.8.99"))),
            20 => new SetTranslation(Box(), Coin()),
            21 => new SetDmz(Box(), Coin() ? null : Address()),
            22 => new SetPortRequests(Box(), Coin()),
            23 => new AddRoute(Box(), new(Subnet.Containing(Address(), dice.Next(0, 33)), Address())),
            24 => new SetLeaseTime(Box(), Coin() ? null : dice.Next(0, 600_000)),
            25 => new SetPointGuest(Box(), Coin() ? null : new("visitors", (WifiSecurity)dice.Next(6), Coin() ? "key" : null)),
            26 => new SetServerNames(Box(), Coin() ? [] : [Address()]) { LeftOut = Coin() },
            27 => new SetServerGateway(Box(), Coin() ? null : Address()) { LeftOut = Coin() },
            28 => new SetServerDomain(Box(), Coin() ? null : Coin() ? "home.arpa" : "not a domain"),
            29 => new SetUplink(Box(), dice.Next(4) == 0 ? null : new(Coin() ? "r5" : "none", Box(), Coin() ? "home" : "other", (WifiSecurity)dice.Next(6), Coin() ? "key" : null, (UplinkFrames)dice.Next(3)) { Locked = Coin(), Channel = Coin() ? 36 : null }),
            30 => new SetSatellite(Box(), Box(), Coin() ? Box() : null),
            31 => new SetPassing(Box(), Coin() ? null : new((PassKind)dice.Next(3), Coin() ? "lan1" : null, Coin() ? Of(design.Site.Devices).Hardware : null)),
            32 => new SetLine(Box(), new(Coin(), Coin() ? dice.Next(0, 5000) : null, Coin() ? Of(design.Site.Devices).Hardware : null)),
            33 => new SetVlans(Box(), Coin() ? [] : [new("lan1", Coin() ? 1 : 20, Coin() ? [] : [30])]),
            34 => new StandIn(Box(), Coin() ? null : design.Site.Places.Count > 0 ? Of(design.Site.Places).Id : "nowhere"),
            35 => new SetPagePassword(Box(), Coin() ? null : "page"),
            18 => new TakeBackAcceptance("loop(a,b)"),
            13 => new RemoveReservation(Box(), Of(design.Site.Devices).Hardware!.Value),
            _ => new Unpatch(design.SetUp.Cables.Count > 0 ? Of(design.SetUp.Cables).Id : "none"),
        };

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
            return dice.Next(8) switch { 0 => PortRef.AtStreet, < 3 => PortRef.OfDevice(Device()), _ => new(box.Id, Of(box.Profile.Ports).Id) };
        }
    }
}
