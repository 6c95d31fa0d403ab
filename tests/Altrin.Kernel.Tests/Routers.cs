using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>The routing boxes and the provider: addresses, DHCP servers, translation, what is let in, names.</summary>
internal sealed class Routers(Lab lab)
{
    private readonly PacketRules _rules = new(lab);
    private readonly HashSet<string> _laid = [];
    private readonly Dictionary<string, List<int>> _running = [];
    private readonly Dictionary<string, int> _asking = [];

    private IEnumerable<(string Owner, RouterMode Mode)> All =>
        lab.Design.SetUp.Boxes.Where(b => b.Mode is RouterMode).Select(b => (b.Box, (RouterMode)b.Mode));

    private InterfaceAddress Line =>
        lab.Design.Site.Service switch
        {
            PublicFixed given => new(given.Gateway, given.Address.PrefixLength),
            CarrierNat carrier => First(carrier.Inside ?? Subnet.Parse("100.64.0.0/24").Value),
            _ => First(Subnet.Parse("203.0.113.0/24").Value),
        };

    /// <summary>Before anybody asks for an address: the internet, the provider, and every box that is in use.</summary>
    public void SetUp()
    {
        Namespaces.Batch(
            lab.Of(Lab.Internet),
            [
                $"addr add {Provider.Host}/24 dev eth0",
                $"addr add {Provider.Names}/24 dev eth0",
                "link set eth0 up",
                "route add default via 198.51.100.1",
            ]
        );
        Namespaces.Batch(
            lab.Of(PortRef.Street),
            [
                $"addr add {Line.Address}/{Line.PrefixLength} dev line",
                "addr add 198.51.100.1/24 dev up0",
                $"addr add {Provider.CarrierPublic}/32 dev up0",
                "link set up0 up",
            ]
        );
        lab.Spaces.Serve(lab.Of(Lab.Internet), lab.Folder, $"--listen-address={Provider.Names}", "--address=/probe.example/198.51.100.10");
        ServeLine(true);
        foreach (var (owner, mode) in All)
        {
            _rules.Filter(owner, mode);
            if (!lab.Choosing.OuterFirst.Contains(owner))
            {
                LaySide(owner);
            }
        }
        foreach (var (owner, device) in lab.Guests)
        {
            if (lab.Does(owner, h => h.GuestsApart))
            {
                _rules.KeepApart(owner, device);
            }
        }
        foreach (
            var (seat, setting) in lab.Hosts()
                .Where(h =>
                    h.Setting is Fixed && h.Seat.Device is "eth0" or "lan" && lab.Router(h.Seat.Owner) is null && lab.Wiring.Linked(h.Seat)
                )
        )
        {
            Configure(seat, (Fixed)setting);
        }
    }

    /// <summary>Gives a router its inner addresses and starts its DHCP server.</summary>
    public void LaySide(string owner)
    {
        if (!_laid.Add(owner))
        {
            return;
        }
        var (mode, habits) = (lab.Router(owner)!, lab.Design.Box(owner)!.Profile.Habits);
        Namespaces.Batch(
            lab.Of(owner),
            [
                $"addr add {mode.Lan.Address}/{mode.Lan.PrefixLength} dev lan",
                .. mode.Guest is { } g ? [$"addr add {g.Lan.Address}/{g.Lan.PrefixLength} dev guest"] : Array.Empty<string>(),
            ]
        );
        var checks = habits.ChecksOffer == Known.Yes;
        if (mode.Server.On)
        {
            Serve(
                owner,
                "lan",
                new(
                    mode.Server.Pool,
                    mode.Lan.PrefixLength,
                    mode.Server.LeavesOutGateway ? null : mode.Server.Gateway ?? mode.Lan.Address,
                    mode.Server.LeavesOutDns ? []
                        : mode.Server.DnsServers is { Count: > 0 } given ? given
                        : [mode.Lan.Address]
                )
                {
                    Kept = mode.Server.Reservations,
                    Checks = checks,
                    Domain = mode.Server.Domain,
                    LeaseMinutes = mode.Server.LeaseMinutes ?? DhcpServerSetting.UsualLeaseMinutes,
                }
            );
        }
        if (mode.Guest is { } guest)
        {
            Serve(owner, "guest", new(guest.Pool, guest.Lan.PrefixLength, guest.Lan.Address, [guest.Lan.Address]) { Checks = checks });
        }
    }

    /// <summary>Starts what leases on the line; nothing does where the address is set by hand.</summary>
    /// <param name="forgets">Whether its list is gone.</param>
    public void ServeLine(bool forgets)
    {
        if (lab.Design.Site.Service is PublicFixed)
        {
            return;
        }
        Silence(PortRef.Street, forgets);
        // The first host address is the provider's own.
        Serve(
            PortRef.Street,
            "line",
            new(AddressRange.Between(new(Line.Address.Bits + 1), Line.Subnet.Hosts.Last), Line.PrefixLength, Line.Address, [Provider.Names])
            {
                Most = lab.Design.Site.Service.Leases + lab.Wiring.Passers,
            }
        );
    }

    /// <summary>Starts a DHCP server on an interface.</summary>
    public void Serve(string owner, string device, Serving serves)
    {
        List<string> arguments =
        [
            "--port=0",
            $"--interface={device}",
            "--except-interface=lo",
            $"--dhcp-range={serves.Pool.First},{serves.Pool.Last},{Subnet.Containing(serves.Pool.First, serves.PrefixLength).Mask},{serves.LeaseMinutes * lab.Choosing.LeaseStretch}m",
            $"--dhcp-leasefile={Leases(owner, device)}",
            "--dhcp-authoritative",
            serves.Gateway is { } g ? $"--dhcp-option=3,{g}" : "--dhcp-option=3",
            serves.Names.Count > 0 ? $"--dhcp-option=6,{string.Join(',', serves.Names)}" : "--dhcp-option=6",
            .. serves.Kept.Select(r => $"--dhcp-host={r.Mac},{r.Address}"),
        ];
        if (!lab.Choosing.InPlace)
        {
            arguments.Add("--leasefile-ro");
        }
        if (serves.Domain is not null)
        {
            arguments.Add($"--dhcp-option=15,{serves.Domain}");
        }
        if (!serves.Checks)
        {
            arguments.Add("--no-ping");
        }
        if (serves.Most is { } most)
        {
            arguments.Add($"--dhcp-lease-max={most}");
        }
        Runs(owner, lab.Spaces.Serve(lab.Of(owner), lab.Folder, [.. arguments]));
    }

    /// <summary>Ends what serves at an owner.</summary>
    /// <param name="owner">Where.</param>
    /// <param name="forgets">Whether what it wrote down of its leases is gone too.</param>
    public void Silence(string owner, bool forgets)
    {
        if (_running.Remove(owner, out var ids))
        {
            ids.ForEach(lab.Spaces.End);
        }
        foreach (var device in forgets ? new[] { "lan", "guest", "line" } : [])
        {
            File.Delete(Leases(owner, device));
        }
    }

    /// <summary>Takes away all that a box was told.</summary>
    /// <param name="owner">Which.</param>
    /// <param name="forgets">Whether it started anew, so that its list of leases is gone too.</param>
    public void Clear(string owner, bool forgets)
    {
        Silence(owner, forgets);
        _laid.Remove(owner);
        Namespaces.In(lab.Of(owner), "nft", ["flush", "ruleset"]);
        Namespaces.Batch(lab.Of(owner), lab.BridgesOf(owner).Select(b => $"addr flush dev {b}"));
    }

    /// <summary>Tells a routing box what it is to do, as far as it is known before its WAN side has an address.</summary>
    public void Lay(string owner, RouterMode mode)
    {
        _rules.Filter(owner, mode);
        LaySide(owner);
    }

    private string Leases(string owner, string device) => Path.Combine(lab.Folder, $"{owner}-{device}.leases");

    private void Runs(string owner, int id)
    {
        if (!_running.TryGetValue(owner, out var ids))
        {
            _running[owner] = ids = [];
        }
        ids.Add(id);
    }

    /// <summary>Once the addresses are known: what is forwarded, who asks whom for names, which ways were typed in.</summary>
    public void Finish(IReadOnlyDictionary<Seat, Got> got)
    {
        foreach (var (owner, mode) in All)
        {
            LaySide(owner);
            Finish(owner, mode, got);
        }
        AtStreet(got);
    }

    /// <summary>What the provider carries from now on.</summary>
    public void AtStreet(IReadOnlyDictionary<Seat, Got> got) => _rules.AtStreet(got, Line.Subnet);

    /// <summary>The same at one box.</summary>
    public void Finish(string owner, RouterMode mode, IReadOnlyDictionary<Seat, Got> got)
    {
        _rules.Forwards(owner, mode, got);
        foreach (var route in mode.Routes)
        {
            Namespaces.Run("ip", ["-n", lab.Of(owner), "route", "add", $"{route.To}", "via", $"{route.Via}"]);
        }
        var up =
            mode.Wan is Fixed typed ? typed.DnsServers
            : got.TryGetValue(new(owner, "wan"), out var lease) ? lease.Names
            : [];
        string[] ask = [.. up.Select(n => $"--server={n}")];
        string[] guests = mode.Guest is null ? [] : ["--interface=guest"];
        if (_asking.Remove(owner, out var before))
        {
            lab.Spaces.End(before);
        }
        _asking[owner] = lab.Spaces.Serve(lab.Of(owner), lab.Folder, ["--interface=lan", .. guests, "--except-interface=lo", .. ask]);
        Runs(owner, _asking[owner]);
    }

    public void Configure(Seat seat, Fixed typed)
    {
        Namespaces.Batch(lab.Of(seat.Owner), [$"addr add {typed.Address.Address}/{typed.Address.PrefixLength} dev {Lab.NameOf(seat)}"]);
        if (typed.Gateway is { } gateway)
        {
            // Linux refuses a gateway outside the subnet; that some systems take it is why Altrin calls it luck.
            Namespaces.Run("ip", ["-n", lab.Of(seat.Owner), "route", "add", "default", "via", $"{gateway}", "dev", Lab.NameOf(seat)]);
        }
    }

    /// <summary>Takes every address of an interface away.</summary>
    public void Unset(Seat seat) => Namespaces.Batch(lab.Of(seat.Owner), [$"addr flush dev {Lab.NameOf(seat)}"]);

    private static InterfaceAddress First(Subnet subnet) => new(subnet.Hosts.First, subnet.PrefixLength);
}
