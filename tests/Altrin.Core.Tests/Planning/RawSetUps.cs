using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

/// <summary>
/// Every set-up of a small home that hands could make, sensible or not, built from records alone: the gateway as router or bridge, each
/// further box unused, as a router with any sort of address, or joined by cable or radio to any other; the one wired device at any box; the
/// port that is asked for forwarded or not. Ports of one role count once.
/// </summary>
internal static class RawSetUps
{
    /// <summary>The most that one home has.</summary>
    public const int Most = 200_000;

    /// <summary>The addresses that a router may have: its factory's, one outside the pool, one in it, one of another subnet.</summary>
    private static readonly string[] Addresses = ["192.168.8.1/24", "192.168.8.2/24", "192.168.8.100/24", "192.168.30.1/24"];

    /// <summary>All of a home, with its gateway "gw", its further boxes, the wired device "pc" and the forwarded port.</summary>
    public static IEnumerable<SetUp> Of(Design found, int port)
    {
        var further = found.Site.Boxes.Select(b => b.Id).Where(b => b != "gw").Order(StringComparer.Ordinal).ToList();
        var mac = found.Device("pc")!.Mac!.Value;
        foreach (var gateway in Gateways(found, mac, port))
        {
            foreach (
                var joined in further
                    .Index()
                    .Aggregate(Start(gateway), (made, box) => made.SelectMany(m => With(found, m, box.Item, box.Index + 1)))
            )
            {
                foreach (var at in joined.Boxes.Where(b => b.Mode is not BridgeMode).Select(b => b.Box))
                {
                    var lan = at == "gw" ? "gw/lan4" : $"{at}/lan2";
                    yield return joined with
                    {
                        Cables = [.. joined.Cables, Wire(lan, "pc")],
                        Devices = Settled(found, joined),
                    };
                }
            }
        }
    }

    private static IEnumerable<SetUp> Start(BoxMode gateway) => [new("raw", [new("gw", gateway)], [Wire("street", "gw/wan")], [])];

    private static IEnumerable<BoxMode> Gateways(Design found, MacAddress mac, int port)
    {
        var router = (RouterMode)found.Mode("gw")!;
        var kept = Home.At("192.168.8.9");
        yield return router;
        yield return router with
        {
            Server = router.Server with { Reservations = [new(mac, kept)] },
            Forwards = [new(Protocol.Tcp, port, kept, port)],
        };
        yield return new BridgeMode(null);
    }

    private static IEnumerable<SetUp> With(Design found, SetUp setUp, string box, int port)
    {
        yield return setUp;
        var profile = found.Box(box)!.Profile;
        // A box is joined to the gateway, or to one that comes before it.
        foreach (var to in setUp.Boxes.Select(b => b.Box).ToList())
        {
            var socket = to == "gw" ? $"gw/lan{port}" : $"{to}/lan1";
            if (profile.Modes.Contains(ModeKind.AccessPoint))
            {
                yield return Add(
                    new AccessPointMode(new Automatic(), Radios(profile)),
                    Wire(socket, $"{box}/{(profile.WanPortJoins ? "wan" : "lan3")}")
                );
            }
            if (profile.Modes.Contains(ModeKind.Router))
            {
                foreach (var (address, on) in Addresses.SelectMany(a => new[] { (a, true), (a, false) }))
                {
                    yield return Add(Router(profile, address, on), Wire(socket, $"{box}/wan"));
                    yield return Add(Router(profile, address, on), Wire(socket, $"{box}/lan3"));
                }
            }
            if (profile.Modes.Contains(ModeKind.Repeater) && profile.Radios is [var radio, ..])
            {
                var link = new Uplink(radio.Id, to, "home", WifiSecurity.Wpa2, "key", UplinkFrames.ThreeAddress);
                yield return Add(new RepeaterMode(new Automatic(), link, Radios(profile)), null);
            }
        }

        SetUp Add(BoxMode mode, Cable? cable) =>
            setUp with
            {
                Boxes = [.. setUp.Boxes, new(box, mode)],
                Cables = cable is null ? setUp.Cables : [.. setUp.Cables, cable],
            };
    }

    private static RouterMode Router(Profile profile, string address, bool on)
    {
        var own = Home.Own(address);
        var first = own.Subnet.Network.Bits;
        var pool = AddressRange.Between(new(first + 20), new(first + 199));
        return new(new Automatic(), own, new(on, pool, null, [], []), [], Radios(profile));
    }

    private static IReadOnlyList<RadioSetting> Radios(Profile profile) =>
        [.. profile.Radios.Select(r => new RadioSetting(r.Id, true, "home", WifiSecurity.Wpa2, "key"))];

    /// <summary>Devices on Wi-Fi are at the gateway where it sends, else at the first box that does.</summary>
    private static IReadOnlyList<DeviceSetting> Settled(Design found, SetUp setUp)
    {
        var sends = setUp.Boxes.Where(b => b.Mode.Radios.Count > 0).Select(b => b.Box).FirstOrDefault();
        return
        [
            .. found.SetUp.Devices.Select(d =>
                d.Device == "pc" ? d with { Wifi = null }
                : sends is null ? d with { Wifi = null }
                : d with { Wifi = new(sends, "home", "key") }
            ),
        ];
    }

    private static Cable Wire(string a, string b) =>
        new($"{a} {b}".Replace('/', '-').Replace(' ', '-'), PortRef.Read(a), PortRef.Read(b), new(Medium.Cat6, null, null, null));
}
