using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests.Planning;

/// <summary>
/// Surveys at random, of homes with four to eight boxes of the gear shelf: a gateway in use and others that lie there, rooms of any walls,
/// a run between two, devices with and without sockets on any bands, needs of every kind, a line of any kind.
/// </summary>
internal static class CertificateSurveys
{
    private static readonly string[] Gateways =
        "fibre-gateway fibre-gateway-passing dsl-gateway cable-gateway mapping-gateway dmz-gateway mobile-gateway".Split(' ');

    private static readonly string[] Further = (
        "desk-router relic-router hundred-router swift-router wds-router wired-router wall-access-point plug-repeater small-repeater "
        + "desk-switch-8"
    ).Split(' ');

    /// <summary>The survey of a seed.</summary>
    public static Design Of(int seed)
    {
        var dice = new Random(seed);
        var rooms = dice.Next(3, 6);
        string Room() => $"room{dice.Next(rooms)}";
        bool One(int of) => dice.Next(of) == 0;
        var home = Home.WithGateway();
        for (var i = 0; i < rooms; i++)
        {
            var (east, walls) = (i * 5.0, (WallKind)dice.Next(1, 5));
            home.Place($"room{i}", p => p with { EastMetres = east, NorthMetres = 0, LengthMetres = 5, WidthMetres = 5, Walls = walls });
        }
        var gateway = ProfileFile.BuiltIn.Find(Gateways[dice.Next(Gateways.Length)])!;
        home.Profile("gw", _ => gateway).Stands("gw", Room());
        home.Edit<RouterMode>("gw", m => m with { Wifi = [.. gateway.Radios.Select(r => m.Wifi[0] with { Radio = r.Id })] });
        home.Wifi("phone", "gw").Stands("phone", Room()).Wired("pc", "gw/lan1").Stands("pc", Room());
        var devices = new List<string> { "phone", "pc" };
        for (var i = 0; i < dice.Next(1, 4); i++)
        {
            var id = $"loose{i}";
            devices.Add(id);
            var (socket, bands) = ((Known)dice.Next(3), Bands(dice));
            home.Loose(id).Stands(id, Room()).Device(id, d => d with { HasSocket = socket, Bands = bands });
        }
        home = One(3) ? home.Reach(devices[1 + dice.Next(devices.Count - 1)], 8443) : home;
        home = One(2) ? home.Found(devices[dice.Next(devices.Count)]) : home;
        home = One(2) ? home.Need(new CallsInPlace("calls", Room())) : home;
        home = One(4) ? home.Need(new GuestsKeptApart("guests")) : home;
        home = One(4) ? home.Need(new KeepsNameAndPassword("name", "home", WifiSecurity.Wpa2, "key")) : home;
        Service service = One(4) ? new CarrierNat(100, 20) : new PublicDynamic(100, 20);
        home.Service(service with { HandOff = "gw", Line = Home.Asked });
        var design = home.Design;
        Box Spare(int i, Profile kind) => new($"box{i}", $"Box {i}", kind, null, null) { Place = Room() };
        var spares = Enumerable
            .Range(0, dice.Next(3, 8))
            .Select(i => Spare(i, ProfileFile.BuiltIn.Find(Further[dice.Next(Further.Length)])!));
        design = design with { Site = design.Site with { Boxes = [.. design.Site.Boxes, .. spares] } };
        var (from, to) = (Room(), Room());
        return design with
        {
            Site = design.Site with
            {
                Sockets = [new("from", "From", SocketKind.Data) { Place = from }, new("to", "To", SocketKind.Data) { Place = to }],
                Runs = from == to ? [] : [new("run", "from", "to", Medium.Cat6) { Pairs = 4, LengthMetres = 15 }],
            },
        };
    }

    private static IReadOnlyList<RadioBand> Bands(Random dice) => dice.Next(4) is var band and < 3 ? [(RadioBand)band] : [];
}
