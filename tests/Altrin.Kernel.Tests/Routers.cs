using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>The routing boxes and the provider: addresses, DHCP servers, translation, what is let in, names.</summary>
internal sealed class Routers(Lab lab)
{
    private readonly HashSet<string> _laid = [];

    private IEnumerable<(string Owner, RouterMode Mode)> All =>
        lab.Design.SetUp.Boxes.Where(b => b.Mode is RouterMode).Select(b => (b.Box, (RouterMode)b.Mode));

    private InterfaceAddress Line =>
        lab.Design.Site.Service switch
        {
            PublicFixed given => new(given.Gateway, given.Address.PrefixLength),
            CarrierNat carrier => First(carrier.Inside ?? Subnet.Parse("100.64.0.0/24").Value),
            _ => First(Subnet.Parse("203.0.113.0/24").Value),
        };

    /// <summary>Before anybody asks for an address.</summary>
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
        if (lab.Design.Site.Service is not PublicFixed)
        {
            // The first host address is the provider's own.
            Serve(
                PortRef.Street,
                "line",
                AddressRange.Between(new(Line.Address.Bits + 1), Line.Subnet.Hosts.Last),
                Line.Address,
                [Provider.Names],
                [],
                $"--dhcp-lease-max={lab.Design.Site.Service.Leases + lab.Wiring.Passers}",
                Line.PrefixLength,
                false
            );
        }
        foreach (var (owner, mode) in All)
        {
            Filter(owner, mode);
            if (!lab.Choosing.OuterFirst.Contains(owner))
            {
                LaySide(owner);
            }
        }
        foreach (var (owner, device) in lab.Guests)
        {
            if (lab.Does(owner, h => h.GuestsApart))
            {
                KeepApart(owner, device);
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
        if (mode.Server.On)
        {
            Serve(
                owner,
                "lan",
                mode.Server.Pool,
                mode.Server.LeavesOutGateway ? null : mode.Server.Gateway ?? mode.Lan.Address,
                mode.Server.LeavesOutDns ? []
                    : mode.Server.DnsServers is { Count: > 0 } given ? given
                    : [mode.Lan.Address],
                mode.Server.Reservations,
                null,
                mode.Lan.PrefixLength,
                habits.ChecksOffer == Known.Yes,
                mode.Server.Domain
            );
        }
        if (mode.Guest is { } guest)
        {
            Serve(
                owner,
                "guest",
                guest.Pool,
                guest.Lan.Address,
                [guest.Lan.Address],
                [],
                null,
                guest.Lan.PrefixLength,
                habits.ChecksOffer == Known.Yes
            );
        }
    }

    /// <summary>Starts a DHCP server on an interface.</summary>
    public void Serve(
        string owner,
        string device,
        AddressRange pool,
        Ipv4Address? gateway,
        IReadOnlyList<Ipv4Address> names,
        IReadOnlyList<Reservation> kept,
        string? most,
        int prefix,
        bool checks,
        string? domain = null
    )
    {
        List<string> arguments =
        [
            "--port=0",
            $"--interface={device}",
            "--except-interface=lo",
            $"--dhcp-range={pool.First},{pool.Last},{Subnet.Containing(pool.First, prefix).Mask},24h",
            $"--dhcp-leasefile={Path.Combine(lab.Folder, $"{owner}-{device}.leases")}",
            "--dhcp-authoritative",
            "--leasefile-ro",
            gateway is { } g ? $"--dhcp-option=3,{g}" : "--dhcp-option=3",
            names.Count > 0 ? $"--dhcp-option=6,{string.Join(',', names)}" : "--dhcp-option=6",
            .. kept.Select(r => $"--dhcp-host={r.Mac},{r.Address}"),
        ];
        if (domain is not null)
        {
            arguments.Add($"--dhcp-option=15,{domain}");
        }
        if (!checks)
        {
            arguments.Add("--no-ping");
        }
        if (most is not null)
        {
            arguments.Add(most);
        }
        lab.Spaces.Serve(lab.Of(owner), lab.Folder, [.. arguments]);
    }

    /// <summary>Once the addresses are known: what is forwarded, who asks whom for names, which ways were typed in.</summary>
    public void Finish(IReadOnlyDictionary<Seat, Got> got)
    {
        foreach (var (owner, mode) in All)
        {
            LaySide(owner);
            Forwards(owner, mode, got);
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
            lab.Spaces.Serve(lab.Of(owner), lab.Folder, ["--interface=lan", .. guests, "--except-interface=lo", .. ask]);
        }
        AtStreet(got);
    }

    /// <summary>The provider carries only what comes from an address that it gave, and translates where it does.</summary>
    private void AtStreet(IReadOnlyDictionary<Seat, Got> got)
    {
        string[] given = lab.Design.Site.Service is PublicFixed letter
            ? [$"{letter.Address.Address}"]
            : [.. got.Where(g => lab.Wiring.Same(g.Key, new(PortRef.Street, "line"))).Select(g => $"{g.Value.Address}")];
        var carrier = lab.Design.Site.Service is CarrierNat ? $"ip saddr {Line.Subnet} oifname up0 snat to {Provider.CarrierPublic}" : "";
        Rules(
            PortRef.Street,
            $$"""
            table ip provider {
              chain through { type filter hook forward priority 0;
                iifname line {{(given.Length > 0 ? $"ip saddr != {{ {string.Join(", ", given)} }}" : "")}} drop
                {{(carrier.Length > 0 ? "iifname up0 ct state new drop" : "")}}
              }
              chain out { type nat hook postrouting priority 100; {{carrier}}
              }
            }
            """
        );
    }

    /// <summary>What a router lets through before any forward: nothing new from outside, nothing between guests and the rest.</summary>
    private void Filter(string owner, RouterMode mode)
    {
        var on = mode.Nat || lab.Does(owner, h => h.FirewallWithoutNat);
        Rules(
            owner,
            $$"""
            table ip fire {
              chain in { type filter hook input priority 0;
                {{(lab.Does(owner, h => h.AnswersPings) ? "iifname wan icmp type echo-request accept" : "")}}
                iifname wan ct state new udp dport != { 67, 68 } drop
                iifname wan ct state new ip protocol != udp drop
                iifname guest ct state new udp dport != { 53, 67 } drop
                iifname guest ct state new ip protocol != udp drop
              }
              chain through { type filter hook forward priority 0;
                iifname guest oifname lan ct state new drop
                iifname lan oifname guest ct state new drop
                {{(on ? "iifname wan oifname { lan, guest } ct state new ct status & dnat != dnat drop" : "")}}
                {{(
                on && !lab.Does(owner, h => h.ForwardsOutside) ? "iifname wan oifname wan ct state new ct status & dnat != dnat drop" : ""
            )}}
              }
              chain after { type nat hook postrouting priority 100;
                {{(mode.Nat ? "iifname { lan, guest } oifname wan masquerade" : "")}}
              }
            }
            """
        );
    }

    private void Forwards(string owner, RouterMode mode, IReadOnlyDictionary<Seat, Got> got)
    {
        var own =
            mode.Wan is Fixed typed ? typed.Address.Address
            : got.TryGetValue(new(owner, "wan"), out var lease) ? lease.Address
            : (Ipv4Address?)null;
        if (own is not { } outer || !lab.Wiring.Linked(new(owner, "wan")))
        {
            return;
        }
        List<string> rules = [.. mode.Forwards.Select(f => $"{Protocol(f.Protocol)} dport {f.OutsidePort} dnat to {f.To}:{f.InsidePort}")];
        List<string> asked = [];
        foreach (
            var need in lab
                .Design.Site.Needs.OfType<ReachFromOutside>()
                .Where(n =>
                    n.AsksItself && mode.PortRequests && mode.Forwards.All(f => f.OutsidePort != n.Port || f.Protocol != n.Protocol)
                )
        )
        {
            if (lab.Wiring.Same(new(need.Device, "eth0"), new(owner, "lan")) && Held(new(need.Device, "eth0")) is { } inner)
            {
                asked.Add($"{Protocol(need.Protocol)} dport {need.Port} dnat to {inner}:{need.Port}");
            }
        }
        var kept = string.Join(", ", lab.Design.Box(owner)!.Profile.KeptPorts.Append(68));
        string[] dmz = mode.Dmz is { } host
            ?
            [
                $"udp dport != {{ {kept} }} dnat to {host}",
                $"tcp dport != {{ 0, {kept} }} dnat to {host}",
                $"ip protocol != {{ tcp, udp }} dnat to {host}",
            ]
            : [];
        IEnumerable<string> outside = [.. rules, .. asked, .. dmz];
        var inside = lab.Does(owner, h => h.LoopsBack) ? [.. rules, .. dmz] : Array.Empty<string>();
        Rules(
            owner,
            $$"""
            table ip lets {
              chain before { type nat hook prerouting priority -100;
                {{string.Join("\n", outside.Select(r => $"iifname wan ip daddr {outer} {r}"))}}
                {{string.Join("\n", inside.Select(r => $"iifname lan ip daddr {outer} {r}"))}}
              }
              chain after { type nat hook postrouting priority 90;
                {{(inside.Length > 0 ? "iifname lan oifname lan ct status & dnat == dnat masquerade" : "")}}
              }
            }
            """
        );

        Ipv4Address? Held(Seat seat) =>
            lab.Hosts().First(h => h.Seat == seat).Setting is Fixed set ? set.Address.Address
            : got.TryGetValue(seat, out var l) ? l.Address
            : null;
    }

    /// <summary>A guest of an access point reaches routers and DHCP servers and no one else.</summary>
    private void KeepApart(string owner, string device)
    {
        var routers = string.Join(", ", All.Select(r => lab.Mac(new(r.Owner, "lan"))).Append(lab.Mac(new(PortRef.Street, "line"))));
        var addresses = string.Join(", ", All.Select(r => r.Mode.Lan.Address));
        Rules(
            owner,
            $$"""
            table bridge apart_{{device.Replace('-', '_')}} {
              chain through { type filter hook forward priority 0;
                iifname {{device}} ether type ip ether daddr != { {{routers}} } udp dport != 67 drop
                iifname {{device}} ether type ip ether daddr != { {{routers}} } ip protocol != udp drop
                iifname {{device}} ether type arp arp daddr ip != { {{addresses}} } drop
                oifname {{device}} ether type { ip, arp } ether saddr != { {{routers}} } drop
              }
              chain here { type filter hook input priority 0; iifname {{device}} ether type { ip, arp } drop
              }
            }
            """
        );
    }

    public void Configure(Seat seat, Fixed typed)
    {
        Namespaces.Batch(lab.Of(seat.Owner), [$"addr add {typed.Address.Address}/{typed.Address.PrefixLength} dev {seat.Device}"]);
        if (typed.Gateway is { } gateway)
        {
            // Linux refuses a gateway outside the subnet; that some systems take it is why Altrin calls it luck.
            Namespaces.Run("ip", ["-n", lab.Of(seat.Owner), "route", "add", "default", "via", $"{gateway}", "dev", seat.Device]);
        }
    }

    private void Rules(string owner, string text)
    {
        var (status, output) = Namespaces.In(lab.Of(owner), "nft", ["-f", "-"], text);
        if (status != 0)
        {
            throw new InvalidOperationException(string.Create(CultureInfo.InvariantCulture, $"nft at {owner}: {output}\n{text}"));
        }
    }

    private static string Protocol(Protocol protocol) => protocol == Core.Sites.Protocol.Tcp ? "tcp" : "udp";

    private static InterfaceAddress First(Subnet subnet) => new(subnet.Hosts.First, subnet.PrefixLength);
}
