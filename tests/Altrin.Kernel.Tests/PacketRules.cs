using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>What the boxes and the provider let through and translate, as rules of nftables.</summary>
internal sealed class PacketRules(Lab lab)
{
    private IEnumerable<(string Owner, RouterMode Mode)> Routing =>
        lab.Design.SetUp.Boxes.Where(b => b.Mode is RouterMode).Select(b => (b.Box, (RouterMode)b.Mode));

    /// <summary>The provider carries only what comes from an address that it gave, and translates where it does.</summary>
    public void AtStreet(IReadOnlyDictionary<Seat, Got> got, Subnet line)
    {
        string[] given = lab.Design.Site.Service is PublicFixed letter
            ? [$"{letter.Address.Address}"]
            : [.. got.Where(g => lab.Wiring.Same(g.Key, new(PortRef.Street, "line"))).Select(g => $"{g.Value.Address}")];
        var carrier = lab.Design.Site.Service is CarrierNat ? $"ip saddr {line} oifname up0 snat to {Provider.CarrierPublic}" : "";
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
    public void Filter(string owner, RouterMode mode)
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

    /// <summary>What is let in and to whom: by forwards, by requests of devices, and to the DMZ host.</summary>
    public void Forwards(string owner, RouterMode mode, IReadOnlyDictionary<Seat, Got> got)
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
    public void KeepApart(string owner, string device)
    {
        var routers = string.Join(", ", Routing.Select(r => lab.Mac(new(r.Owner, "lan"))).Append(lab.Mac(new(PortRef.Street, "line"))));
        var addresses = string.Join(", ", Routing.Select(r => r.Mode.Lan.Address));
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

    private void Rules(string owner, string text)
    {
        // What was told before under the same name is taken back: a table that is named is there, and can then be taken away.
        var table = text[..text.IndexOf('{', StringComparison.Ordinal)].Trim();
        var (status, output) = Namespaces.In(lab.Of(owner), "nft", ["-f", "-"], $"{table}\ndelete {table}\n{text}");
        if (status != 0)
        {
            throw new InvalidOperationException(string.Create(CultureInfo.InvariantCulture, $"nft at {owner}: {output}\n{text}"));
        }
    }

    private static string Protocol(Protocol protocol) => protocol == Core.Sites.Protocol.Tcp ? "tcp" : "udp";
}
