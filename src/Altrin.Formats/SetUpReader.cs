using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Reads one set-up against its site.</summary>
internal sealed class SetUpReader(Site site, string root, ReadErrors errors)
{
    private readonly RadioReader _radios = new(site.Boxes.DistinctBy(b => b.Id).ToDictionary(b => b.Id, StringComparer.Ordinal), errors);
    private readonly Dictionary<string, Box> _boxes = site.Boxes.DistinctBy(b => b.Id).ToDictionary(b => b.Id, StringComparer.Ordinal);
    private readonly HashSet<string> _devices = [.. site.Devices.Select(d => d.Id)];

    public SetUp Read(SetUpDocument setUp)
    {
        errors.Unique(setUp.Boxes, b => b.Box, i => $"{root}/boxes/{i}/box", "a box");
        errors.Unique(setUp.Devices, d => d.Device, i => $"{root}/devices/{i}/device", "a device");
        errors.Unique(setUp.Cables, c => c.Id, i => $"{root}/cables/{i}/id", "a cable id");
        errors.Unique(setUp.Accepted ?? [], a => a.Finding, i => $"{root}/accepted/{i}/finding", "a finding");
        var ends = setUp
            .Cables.SelectMany(
                (c, i) => new[] { (End: c.From, Pointer: $"{root}/cables/{i}/from"), (End: c.To, Pointer: $"{root}/cables/{i}/to") }
            )
            // The provider's end may have several ports.
            .Where(e => e.End != PortRef.AtStreet.ToString())
            .ToList();
        errors.Unique(ends, e => e.End, i => ends[i].Pointer, "a port");
        errors.Unique(setUp.Cables, c => c.Run, i => $"{root}/cables/{i}/run", "a run in the walls");
        foreach (var (cable, i) in setUp.Cables.Select((c, i) => (c, i)))
        {
            errors.Wrong(
                $"{root}/cables/{i}/run",
                cable.Run,
                cable.Run is { } run && site.Runs.All(r => r.Id != run) ? "the id of a run of this site is expected" : null
            );
            errors.Wrong($"{root}/cables/{i}/pairs", $"{cable.Pairs}", cable.Pairs == 3 ? "2 or 4 pairs are expected" : null);
        }
        var inUse = setUp.Boxes.Select(b => b.Box).ToHashSet(StringComparer.Ordinal);
        return new(
            setUp.Name,
            [.. setUp.Boxes.Select((b, i) => ReadBox(b, $"{root}/boxes/{i}")).OfType<BoxSetting>()],
            [
                .. setUp.Cables.Select(
                    (c, i) =>
                        new Cable(
                            c.Id,
                            ReadEnd(c.From, inUse, $"{root}/cables/{i}/from"),
                            ReadEnd(c.To, inUse, $"{root}/cables/{i}/to"),
                            new(c.Medium, c.LengthMetres, c.Pairs, c.Run)
                        )
                ),
            ],
            [.. setUp.Devices.Select((d, i) => ReadDevice(d, $"{root}/devices/{i}"))]
        )
        {
            Accepted = [.. (setUp.Accepted ?? []).Select(a => new Acceptance(a.Finding, a.Severe, a.Reason, a.By))],
        };
    }

    private BoxSetting? ReadBox(BoxSettingDocument setting, string pointer)
    {
        if (!_boxes.TryGetValue(setting.Box, out var box))
        {
            errors.Add($"{pointer}/box", $"\"{setting.Box}\"", "the id of a box of this site is expected");
            return null;
        }
        if (!box.Profile.Modes.Contains(setting.Mode))
        {
            errors.Add(
                $"{pointer}/mode",
                setting.Mode.ToString().ToLowerInvariant(),
                $"the profile of this box lists {string.Join(", ", box.Profile.Modes).ToLowerInvariant()}"
            );
        }
        if (setting.Mode != ModeKind.Router)
        {
            errors.Absent($"{pointer}/wan", setting.Wan, "only a router has a WAN side");
            errors.Absent($"{pointer}/lan", setting.Lan, "only a router has a LAN address of its own");
            errors.Absent($"{pointer}/dhcpServer", setting.DhcpServer, "only a router has a DHCP server");
            errors.Absent($"{pointer}/forwards", setting.Forwards, "only a router forwards ports");
            errors.Absent($"{pointer}/guest", setting.Guest, "only a router has a guest network");
            errors.Absent($"{pointer}/nat", setting.Nat, "only a router does NAT");
            errors.Absent($"{pointer}/dmz", setting.Dmz, "only a router has a DMZ host");
            errors.Absent($"{pointer}/portRequests", setting.PortRequests, "only a router opens ports");
            errors.Absent($"{pointer}/routes", setting.Routes, "only a router has routes");
            errors.Absent($"{pointer}/passing", setting.Passing, "only a router has a public address to pass on");
            errors.Absent($"{pointer}/line", setting.Line, "only a router has a line");
        }
        if (setting.Mode != ModeKind.AccessPoint)
        {
            errors.Absent($"{pointer}/guestName", setting.GuestName, "only an access point has a guest name without a network of its own");
        }
        if (setting.Mode is not (ModeKind.Router or ModeKind.Repeater or ModeKind.WirelessBridge))
        {
            errors.Absent($"{pointer}/uplink", setting.Uplink, "this mode joins no other box by radio");
        }
        if (setting.Mode != ModeKind.Switch)
        {
            errors.Absent($"{pointer}/vlans", setting.Vlans, "only a managed switch sorts VLANs");
        }
        if (setting.Mode != ModeKind.Satellite)
        {
            errors.Absent($"{pointer}/satellite", setting.Satellite, "only a satellite has a main node");
        }
        else
        {
            errors.Absent($"{pointer}/page", setting.Page, "a satellite's page is in its main node");
        }
        if (setting.Mode is ModeKind.Bridge or ModeKind.Switch or ModeKind.WirelessBridge or ModeKind.Satellite)
        {
            errors.Absent($"{pointer}/radios", setting.Radios, "this mode has no Wi-Fi of its own");
        }
        BoxMode mode = setting.Mode switch
        {
            ModeKind.Router => ReadRouter(setting, box, pointer),
            ModeKind.AccessPoint => new AccessPointMode(
                Required(setting.Page, $"{pointer}/page", "an access point needs 'page'"),
                _radios.Radios(setting, box, $"{pointer}/radios")
            )
            {
                Guest = ReadGuestName(setting.GuestName, $"{pointer}/guestName"),
            },
            ModeKind.Repeater => new RepeaterMode(
                Required(setting.Page, $"{pointer}/page", "a repeater needs 'page'"),
                _radios.Needed(setting.Uplink, box, $"{pointer}/uplink"),
                _radios.Radios(setting, box, $"{pointer}/radios")
            ),
            ModeKind.WirelessBridge => new WirelessBridgeMode(
                Required(setting.Page, $"{pointer}/page", "a wireless bridge needs 'page'"),
                _radios.Needed(setting.Uplink, box, $"{pointer}/uplink")
            ),
            ModeKind.Satellite => _radios.Satellite(setting.Satellite, box, $"{pointer}/satellite"),
            ModeKind.Bridge => new BridgeMode(ReadPage(setting.Page, $"{pointer}/page")),
            _ => ReadSwitch(setting, box, pointer),
        };
        errors.Wrong($"{pointer}/radios", "their names", PageChecks.TooManyNames(box, mode));
        if (setting.Place is { } place && site.Place(place) is null)
        {
            errors.Add($"{pointer}/place", $"\"{place}\"", "the id of a place of this site is expected");
        }
        return new(box.Id, mode) { Place = setting.Place, Password = setting.Password };
    }

    private RouterMode ReadRouter(BoxSettingDocument setting, Box box, string pointer)
    {
        errors.Absent($"{pointer}/page", setting.Page, "a router's page answers at its LAN address");
        var lan = errors.Read($"{pointer}/lan", setting.Lan, InterfaceAddress.Parse);
        errors.Wrong($"{pointer}/lan", setting.Lan, lan == default ? null : PageChecks.WrongOwnAddress(lan));
        return new(
            Required(setting.Wan, $"{pointer}/wan", "a router needs 'wan'"),
            lan,
            ReadServer(setting.DhcpServer, lan, $"{pointer}/dhcpServer"),
            ReadForwards(setting.Forwards ?? [], $"{pointer}/forwards"),
            _radios.Radios(setting, box, $"{pointer}/radios")
        )
        {
            Guest = ReadGuest(setting.Guest, lan, $"{pointer}/guest"),
            Nat = setting.Nat ?? true,
            Dmz = ReadHost(setting.Dmz, $"{pointer}/dmz"),
            PortRequests = setting.PortRequests ?? false,
            Routes = ReadRoutes(setting.Routes ?? [], $"{pointer}/routes"),
            Uplink = _radios.Link(setting.Uplink, box, $"{pointer}/uplink"),
            Passing = _radios.Passing(setting.Passing, box, $"{pointer}/passing"),
            Line = _radios.Line(setting.Line, $"{pointer}/line"),
        };
    }

    private SwitchMode ReadSwitch(BoxSettingDocument setting, Box box, string pointer)
    {
        var read = new SwitchMode(setting.Page is { } page ? ReadAddress(page, $"{pointer}/page") : null)
        {
            Vlans = [.. (setting.Vlans ?? []).Select(v => new PortVlans(v.Port, v.Untagged, v.Tagged ?? []))],
        };
        errors.Wrong($"{pointer}/vlans", "VLANs", PageChecks.WrongVlans(box, read.Vlans, read));
        return read;
    }

    private Ipv4Address? ReadHost(string? address, string pointer)
    {
        var host = errors.ReadOptional(pointer, address, Ipv4Address.Parse);
        errors.Wrong(pointer, address, host is { } read ? PageChecks.WrongHost(read) : null);
        return host;
    }

    private List<StaticRoute> ReadRoutes(IReadOnlyList<RouteDocument> routes, string pointer)
    {
        errors.Unique(routes, r => r.To, i => $"{pointer}/{i}/to", "a place that a route leads to");
        var read = new List<StaticRoute>();
        for (var i = 0; i < routes.Count; i++)
        {
            var route = new StaticRoute(
                errors.Read($"{pointer}/{i}/to", routes[i].To, Subnet.Parse),
                errors.Read($"{pointer}/{i}/via", routes[i].Via, Ipv4Address.Parse)
            );
            errors.Wrong(
                $"{pointer}/{i}",
                $"{routes[i].To} by {routes[i].Via}",
                route.To == default || route.Via == default ? null : PageChecks.WrongRoute(route)
            );
            read.Add(route);
        }
        return read;
    }

    private GuestName? ReadGuestName(GuestNameDocument? guest, string pointer)
    {
        if (guest is null)
        {
            return null;
        }
        NetworkName(guest.Name, $"{pointer}/name");
        if (guest.Security == WifiSecurity.Open)
        {
            errors.Absent($"{pointer}/password", guest.Password, "an open network has no password");
        }
        return new(guest.Name, guest.Security, guest.Password) { Vlan = guest.Vlan };
    }

    private DhcpServerSetting ReadServer(DhcpServerDocument? server, InterfaceAddress lan, string pointer)
    {
        if (server is null)
        {
            errors.Add(pointer, "nothing", "a router needs 'dhcpServer', on or off");
            return new(false, default, null, [], []);
        }
        var pool = errors.Read($"{pointer}/pool", server.Pool, AddressRange.Parse);
        errors.Wrong($"{pointer}/pool", server.Pool, lan == default || pool == default ? null : PageChecks.WrongPool(pool, lan));
        errors.Wrong($"{pointer}/domain", server.Domain, PageChecks.WrongDomain(server.Domain));
        var reservations = server.Reservations ?? [];
        errors.Unique(reservations, r => r.Mac.ToLowerInvariant(), i => $"{pointer}/reservations/{i}/mac", "a MAC address");
        return new(
            server.On,
            pool,
            errors.ReadOptional($"{pointer}/gateway", server.Gateway, Ipv4Address.Parse),
            ReadNames(server.DnsServers, $"{pointer}/dnsServers"),
            [
                .. reservations.Select(
                    (r, i) =>
                        new Reservation(
                            errors.Read($"{pointer}/reservations/{i}/mac", r.Mac, MacAddress.Parse),
                            errors.Read($"{pointer}/reservations/{i}/address", r.Address, Ipv4Address.Parse)
                        )
                ),
            ]
        )
        {
            LeavesOutGateway = LeftOut(server.LeavesOutGateway, server.Gateway, $"{pointer}/gateway"),
            LeavesOutDns = LeftOut(server.LeavesOutDns, server.DnsServers, $"{pointer}/dnsServers"),
            LeaseMinutes = server.LeaseMinutes,
            Domain = server.Domain,
        };
    }

    private bool LeftOut(bool? leftOut, object? given, string pointer)
    {
        if (leftOut == true)
        {
            errors.Absent(pointer, given, "what is left out is not given");
        }
        return leftOut ?? false;
    }

    private GuestNetwork? ReadGuest(GuestDocument? guest, InterfaceAddress lan, string pointer)
    {
        if (guest is null)
        {
            return null;
        }
        if (guest.Security == WifiSecurity.Open)
        {
            errors.Absent($"{pointer}/password", guest.Password, "an open network has no password");
        }
        var own = errors.Read($"{pointer}/lan", guest.Lan, InterfaceAddress.Parse);
        var pool = errors.Read($"{pointer}/pool", guest.Pool, AddressRange.Parse);
        var read = new GuestNetwork(guest.Name, guest.Security, guest.Password, own, pool) { Vlan = guest.Vlan };
        errors.Wrong(
            $"{pointer}/lan",
            guest.Lan,
            own == default || pool == default || lan == default ? null : PageChecks.WrongGuest(read, lan)
        );
        return read;
    }

    private List<PortForward> ReadForwards(IReadOnlyList<PortForwardDocument> forwards, string pointer)
    {
        errors.Unique(
            forwards,
            f => $"{f.Protocol} {f.OutsidePort}".ToLowerInvariant(),
            i => $"{pointer}/{i}/outsidePort",
            "an outside port of one protocol"
        );
        return
        [
            .. forwards.Select(
                (f, i) =>
                    new PortForward(f.Protocol, f.OutsidePort, errors.Read($"{pointer}/{i}/to", f.To, Ipv4Address.Parse), f.InsidePort)
            ),
        ];
    }

    private DeviceSetting ReadDevice(DeviceSettingDocument setting, string pointer)
    {
        if (!_devices.Contains(setting.Device))
        {
            errors.Add($"{pointer}/device", $"\"{setting.Device}\"", "the id of a device of this site is expected");
        }
        if (setting.Wifi is { } wifi)
        {
            NetworkName(wifi.Name, $"{pointer}/wifi/name");
            if (!_boxes.ContainsKey(wifi.Box))
            {
                errors.Add($"{pointer}/wifi/box", $"\"{wifi.Box}\"", "the id of a box of this site is expected");
            }
        }
        return new(
            setting.Device,
            ReadAddress(setting.Address, $"{pointer}/address"),
            setting.Wifi is { } w ? new(w.Box, w.Name, w.Password) : null
        );
    }

    private PortRef ReadEnd(string text, HashSet<string> inUse, string pointer)
    {
        var end = PortRef.Read(text);
        var fits =
            end == PortRef.AtStreet
            || (end.Port.Length == 0 && _devices.Contains(end.Owner))
            || (_boxes.TryGetValue(end.Owner, out var box) && box.Profile.Port(end.Port) is not null && inUse.Contains(end.Owner));
        if (!fits)
        {
            errors.Add(pointer, $"\"{text}\"", "a port of a box in use (box/port), a device, or \"street\" is expected");
        }
        return end;
    }

    private InterfaceAddress? ReadPage(HostAddressDocument? page, string pointer)
    {
        if (page is { Kind: HostAddressKind.Automatic })
        {
            errors.Add($"{pointer}/kind", "automatic", "the page of a bridge is fixed, or left out");
            return null;
        }
        return page is null ? null : ((Fixed)ReadAddress(page, pointer)).Address;
    }

    private HostAddress Required(HostAddressDocument? address, string pointer, string allowed)
    {
        if (address is null)
        {
            errors.Add(pointer, "nothing", allowed);
            return new Automatic();
        }
        return ReadAddress(address, pointer);
    }

    private HostAddress ReadAddress(HostAddressDocument address, string pointer)
    {
        if (address.Kind == HostAddressKind.Automatic)
        {
            errors.Absent($"{pointer}/address", address.Address, "only a fixed host has an address here");
            errors.Absent($"{pointer}/gateway", address.Gateway, "only a fixed host has a gateway here");
            errors.Absent($"{pointer}/dnsServers", address.DnsServers, "only a fixed host has DNS servers here");
            return new Automatic();
        }
        var own = errors.Read($"{pointer}/address", address.Address, InterfaceAddress.Parse);
        errors.Wrong($"{pointer}/address", address.Address, own == default ? null : PageChecks.WrongOwnAddress(own));
        return new Fixed(
            own,
            errors.ReadOptional($"{pointer}/gateway", address.Gateway, Ipv4Address.Parse),
            ReadNames(address.DnsServers, $"{pointer}/dnsServers")
        );
    }

    private List<Ipv4Address> ReadNames(IReadOnlyList<string>? names, string pointer) =>
        [.. (names ?? []).Select((n, i) => errors.Read($"{pointer}/{i}", n, Ipv4Address.Parse))];

    private void NetworkName(string name, string pointer) => errors.Wrong(pointer, name, PageChecks.WrongNetworkName(name));
}
