using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>Builds small homes in a few words: a gateway at the street, further boxes, devices.</summary>
public sealed class Home
{
    public const string Pool = "192.168.8.20-192.168.8.199";

    private readonly List<Box> _boxes = [];
    private readonly List<Device> _devices = [];
    private readonly List<Need> _needs = [];
    private readonly List<BoxSetting> _settings = [];
    private readonly List<Place> _places = [];
    private readonly List<SpeedMeasure> _speeds = [];
    private readonly List<Building> _buildings = [];
    private readonly List<Cable> _cables = [];
    private readonly List<DeviceSetting> _deviceSettings = [];
    private Service _service = new PublicDynamic(500, 100) { Line = Asked };
    private string? _country;
    private NamingSchool _naming = NamingSchool.OneName;
    private uint _mac;

    /// <summary>A line of which everything was asked and that wants nothing.</summary>
    public static LineNeeds Asked { get; } =
        new()
        {
            Login = Known.No,
            Tagged = Known.No,
            Locked = Known.No,
        };

    public static Home New() => new();

    /// <summary>A gateway "gw" at the street with 192.168.8.1/24.</summary>
    public static Home WithGateway() => New().Gateway().Cable("street", "gw/wan");

    public Design Design =>
        new(
            new("Home", _service, _naming, [.. _boxes], [.. _devices], [.. _needs])
            {
                Country = _country,
                Places = [.. _places],
                Speeds = [.. _speeds],
                Buildings = [.. _buildings],
            },
            new("planned", [.. _settings], [.. _cables], [.. _deviceSettings])
        );

    /// <summary>A place, by what it is like.</summary>
    public Home Place(string id, Func<Place, Place>? like = null) => Do(() => _places.Add((like ?? (p => p))(new(id, id))));

    /// <summary>A building beside the main house, and whether it shares its mains supply.</summary>
    public Home Outbuilding(string id, Known sameSupply) =>
        Do(() =>
            _buildings.AddRange(
                _buildings.Count == 0
                    ? [new("house", "house"), new(id, id) { SameSupply = sameSupply }]
                    : [new(id, id) { SameSupply = sameSupply }]
            )
        );

    /// <summary>Where a box stands, or a device is.</summary>
    public Home Stands(string id, string place) =>
        Do(() =>
        {
            if (_settings.FindIndex(s => s.Box == id) is var at and >= 0)
            {
                _settings[at] = _settings[at] with { Place = place };
                return;
            }
            Device(id, d => d with { Place = place });
        });

    /// <summary>What a kind of box wants or gives.</summary>
    public Home Traits(string box, Traits traits) => Profile(box, p => p with { Traits = traits });

    /// <summary>A cable, looked at again.</summary>
    public Home Cable(string id, Func<Cable, Cable> edit) =>
        Do(() =>
        {
            var at = _cables.FindIndex(c => c.Id == id);
            _cables[at] = edit(_cables[at]);
        });

    public Home Need(Need need) => Do(() => _needs.Add(need));

    public Home Service(Service service) => Do(() => _service = service);

    public Home Measured(SpeedMeasure speed) => Do(() => _speeds.Add(speed));

    public Home Country(string? country) => Do(() => _country = country);

    public Home Naming(NamingSchool naming) => Do(() => _naming = naming);

    public Home Gateway(string id = "gw", string lan = "192.168.8.1/24", string? pool = Pool, bool bridge = false, HostAddress? wan = null)
    {
        Add(id, BoxKind.Gateway, [ModeKind.Router, ModeKind.Bridge], 4, wan: true, joins: false);
        return Set(id, bridge ? new BridgeMode(Own("192.168.100.1/24")) : Routing(lan, pool, wan: wan));
    }

    public Home Router(
        string id,
        string lan = "192.168.20.1/24",
        string? pool = null,
        bool server = true,
        string name = "home",
        bool joins = true,
        bool canBePoint = true,
        HostAddress? wan = null
    )
    {
        Add(id, BoxKind.Router, canBePoint ? [ModeKind.Router, ModeKind.AccessPoint] : [ModeKind.Router], 4, wan: true, joins);
        return Set(id, Routing(lan, pool, server, name, wan));
    }

    public Home Point(
        string id,
        string? page = null,
        string name = "home",
        string? key = "key",
        WifiSecurity security = WifiSecurity.Wpa2,
        bool joins = true
    )
    {
        Add(id, BoxKind.AccessPoint, [ModeKind.AccessPoint], 2, wan: true, joins);
        return Set(id, new AccessPointMode(page is null ? new Automatic() : new Fixed(Own(page), null, []), Radios(name, key, security)));
    }

    /// <summary>A box that joins another by radio and sends "home" itself; three addresses unless told.</summary>
    public Home Repeater(
        string id,
        string at,
        UplinkFrames frames = UplinkFrames.ThreeAddress,
        string? page = null,
        string name = "home",
        Func<Uplink, Uplink>? link = null
    )
    {
        Add(id, BoxKind.AccessPoint, [ModeKind.Repeater, ModeKind.AccessPoint, ModeKind.WirelessBridge], 2, wan: true, joins: true);
        return Set(id, new RepeaterMode(Page(page), Linked(at, frames, link), Radios(name)));
    }

    /// <summary>A box that joins another by radio and serves its sockets only.</summary>
    public Home Bridge(string id, string at, UplinkFrames frames = UplinkFrames.ThreeAddress, Func<Uplink, Uplink>? link = null)
    {
        Add(id, BoxKind.AccessPoint, [ModeKind.WirelessBridge], 4, wan: false, joins: true);
        return Set(id, new WirelessBridgeMode(new Automatic(), Linked(at, frames, link)));
    }

    /// <summary>A node of the kit "kit" of a main node; both get that kit.</summary>
    public Home Satellite(string id, string main, string? by)
    {
        Add(id, BoxKind.AccessPoint, [ModeKind.Satellite], 2, wan: true, joins: true);
        return Set(id, new SatelliteMode(main, by)).Profile(id, p => p with { Kit = "kit" }).Profile(main, p => p with { Kit = "kit" });
    }

    /// <summary>The radio of a box takes four addresses, or does not.</summary>
    public Home FourAddresses(string box, Known takes = Known.Yes) =>
        Profile(box, p => p with { Radios = [.. p.Radios.Select(r => r with { FourAddress = takes })] });

    /// <summary>A gateway that passes its public address to the WAN side of a box, in one of the three ways.</summary>
    public Home Passes(string gateway, PassKind kind, string to, Known keepsOthers = Known.Yes, Known wifiOff = Known.No) =>
        Profile(gateway, p =>
                p with
                {
                    Passes = [PassKind.Port, PassKind.MacAddress, PassKind.Mapping],
                    Habits = p.Habits with { KeepsOthers = keepsOthers, WifiOffWhilePassing = wifiOff },
                }
            )
            .Edit<RouterMode>(gateway, m =>
                m with
                {
                    Passing = kind == PassKind.Port ? new(kind, to, null) : new(kind, null, _boxes.Find(b => b.Id == to)!.WanMac),
                }
            );

    /// <summary>The password of a box's page.</summary>
    public Home PagePassword(string id, string? password) =>
        Do(() => _settings[_settings.FindIndex(s => s.Box == id)] = _settings.First(s => s.Box == id) with { Password = password });

    public Home Box(string id, Func<Box, Box> edit) =>
        Do(() =>
        {
            var at = _boxes.FindIndex(b => b.Id == id);
            _boxes[at] = edit(_boxes[at]);
        });

    public Home Device(string id, Func<Device, Device> edit) =>
        Do(() =>
        {
            var at = _devices.FindIndex(d => d.Id == id);
            _devices[at] = edit(_devices[at]);
        });

    private static HostAddress Page(string? page) => page is null ? new Automatic() : new Fixed(Own(page), null, []);

    private static Uplink Linked(string at, UplinkFrames frames, Func<Uplink, Uplink>? link)
    {
        var usual = new Uplink("r5", at, "home", WifiSecurity.Wpa2, "key", frames) { Locked = true };
        return link is null ? usual : link(usual);
    }

    public Home Switch(string id, int ports = 8)
    {
        Add(id, BoxKind.Switch, [ModeKind.Switch], ports, wan: false, joins: false, radios: false);
        return Set(id, new SwitchMode(null));
    }

    /// <summary>A box that only carries on what is plugged into it: a powerline or coax unit, an injector.</summary>
    public Home Link(string id, BoxKind kind)
    {
        Add(id, kind, [ModeKind.Switch], 2, wan: false, joins: false, radios: false);
        return Set(id, new SwitchMode(null));
    }

    /// <summary>What a box does by itself.</summary>
    public Home Habits(string box, BoxHabits habits) => Profile(box, p => p with { Habits = habits });

    /// <summary>An access point whose DHCP server comes on when it hears no other.</summary>
    public Home Wakes(string box) =>
        Profile(box, p =>
            p with
            {
                Habits = p.Habits with { ServesWhenAlone = Known.Yes },
                FactoryAddress = Own("192.168.10.1/24"),
                FactoryPool = Range("192.168.10.100-192.168.10.199"),
            }
        );

    /// <summary>Every need, edited.</summary>
    public Home Needs(Func<Need, Need> edit) =>
        Do(() =>
        {
            for (var i = 0; i < _needs.Count; i++)
            {
                _needs[i] = edit(_needs[i]);
            }
        });

    /// <summary>Every need for a port is asked for by the device itself.</summary>
    public Home AsksItself() => Needs(n => n is ReachFromOutside reach ? reach with { AsksItself = true } : n);

    /// <summary>An edit that gives every member of a value.</summary>
    public static Partial<T> All<T>(T value)
        where T : class => Partial<T>.All(value);

    public Home Cable(string a, string b) =>
        Do(() =>
            _cables.Add(new($"{a}-{b}".Replace('/', '-'), PortRef.Read(a), PortRef.Read(b), new(Core.Sites.Medium.Cat6, null, null, null)))
        );

    /// <summary>What carries a cable.</summary>
    public Home Medium(string cable, Medium medium) =>
        Do(() =>
        {
            var at = _cables.FindIndex(c => c.Id == cable);
            _cables[at] = _cables[at] with { Known = _cables[at].Known with { Medium = medium } };
        });

    /// <summary>A device on a cable; an address makes it fixed, with the gateway of its .1 unless told.</summary>
    public Home Wired(string id, string port, string? address = null, string? gateway = null)
    {
        AddDevice(id);
        Cable(port, id);
        return Do(() => _deviceSettings.Add(new(id, Address(address, gateway), null)));
    }

    public Home Wifi(string id, string box, string name = "home", string? key = "key")
    {
        AddDevice(id, DeviceKind.Phone);
        return Do(() => _deviceSettings.Add(new(id, new Automatic(), new(box, name, key))));
    }

    /// <summary>A device in use with neither cable nor Wi-Fi.</summary>
    public Home Loose(string id)
    {
        AddDevice(id);
        return Do(() => _deviceSettings.Add(new(id, new Automatic(), null)));
    }

    public Home Reach(string device, int port) =>
        Do(() => _needs.Add(new ReachFromOutside($"reach-{device}", device, Protocol.Tcp, port, false)));

    public Home Found(string device) => Do(() => _needs.Add(new FoundByOthers($"found-{device}", device)));

    public Home Forward(string router, int port, string to) =>
        Edit<RouterMode>(router, m => m with { Forwards = [.. m.Forwards, new(Protocol.Tcp, port, At(to), port)] });

    /// <summary>A guest network called "guests" with a subnet of its own.</summary>
    public Home Guests(
        string router,
        string lan = "192.168.30.1/24",
        string pool = "192.168.30.20-192.168.30.99",
        string? key = "guest-key"
    ) => Edit<RouterMode>(router, m => m with { Guest = new("guests", WifiSecurity.Wpa2, key, Own(lan), Range(pool)) });

    public Home Reserve(string router, string device, string address) =>
        Edit<RouterMode>(router, m =>
            m with
            {
                Server = m.Server with
                {
                    Reservations = [.. m.Server.Reservations, new(_devices.First(d => d.Id == device).Mac!.Value, At(address))],
                },
            }
        );

    public Home Edit<TMode>(string box, Func<TMode, BoxMode> edit)
        where TMode : BoxMode =>
        Do(() =>
        {
            var at = _settings.FindIndex(s => s.Box == box);
            _settings[at] = _settings[at] with { Mode = edit((TMode)_settings[at].Mode) };
        });

    public static Ipv4Address At(string text) => Ipv4Address.Parse(text).Value;

    public static InterfaceAddress Own(string text) => InterfaceAddress.Parse(text).Value;

    public static AddressRange Range(string text) => AddressRange.Parse(text).Value;

    public static IReadOnlyList<RadioSetting> Radios(string name, string? key = "key", WifiSecurity security = WifiSecurity.Wpa2) =>
        [new("r5", true, name, security, key)];

    private static RouterMode Routing(string lan, string? pool, bool server = true, string name = "home", HostAddress? wan = null)
    {
        var own = Own(lan);
        var hosts = own.Subnet.Hosts;
        var range =
            pool is not null ? Range(pool)
            : hosts.Count > 200 ? AddressRange.Between(new(hosts.First.Bits + 99), new(hosts.First.Bits + 198))
            : AddressRange.Between(new((uint)(hosts.First.Bits + (hosts.Count / 2))), hosts.Last);
        return new(wan ?? new Automatic(), own, new(server, range, null, [], []), [], Radios(name));
    }

    private static HostAddress Address(string? address, string? gateway)
    {
        if (address is null)
        {
            return new Automatic();
        }
        var own = Own(address);
        var up = gateway is null ? new Ipv4Address(own.Subnet.Network.Bits + 1) : At(gateway);
        return new Fixed(own, up, [up]);
    }

    public Home Profile(string box, Func<Profile, Profile> edit) =>
        Do(() =>
        {
            var at = _boxes.FindIndex(b => b.Id == box);
            _boxes[at] = _boxes[at] with { Profile = edit(_boxes[at].Profile) };
        });

    private void AddDevice(string id, DeviceKind kind = DeviceKind.Other) => _devices.Add(new(id, id, kind, NextMac()));

    private void Add(string id, BoxKind kind, ModeKind[] modes, int lan, bool wan, bool joins, bool radios = true)
    {
        List<Port> ports = [.. Enumerable.Range(1, lan).Select(i => new Port($"lan{i}", $"{i}", PortRole.Lan, 1000))];
        if (wan)
        {
            ports.Insert(0, new("wan", "in", PortRole.Wan, 1000));
        }
        _boxes.Add(
            new(
                id,
                id,
                new(
                    $"{kind}".ToLowerInvariant(),
                    $"{kind}",
                    kind,
                    modes,
                    ports,
                    radios ? [new("r5", RadioBand.Ghz5)] : [],
                    null,
                    null,
                    joins
                ),
                NextMac(),
                NextMac()
            )
        );
    }

    private MacAddress NextMac() => new(0x00005E005300UL + ++_mac);

    private Home Set(string id, BoxMode mode) => Do(() => _settings.Add(new(id, mode)));

    private Home Do(Action act)
    {
        act();
        return this;
    }
}
