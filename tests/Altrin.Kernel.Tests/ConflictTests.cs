using Altrin.Core.Addressing;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>An address typed by hand inside the pool: who checks decides Whether another host is given it too.</summary>
public sealed class ConflictTests
{
    // The pool holds two addresses, so that the server has to offer the typed one to the second client at the latest.
    private static Design Typed(Known server, Known client)
    {
        var home = Home.New()
            .Gateway(pool: "192.168.8.20-192.168.8.21")
            .Cable("street", "gw/wan")
            .Wired("printer", "gw/lan1", "192.168.8.20/24")
            .Wired("a", "gw/lan2")
            .Wired("b", "gw/lan3")
            .Habits("gw", new() { ChecksOffer = server })
            .Design;
        return home with
        {
            Site = home.Site with { Devices = [.. home.Site.Devices.Select(d => d.Id == "printer" ? d : d with { ChecksLease = client })] },
        };
    }

    [Theory]
    [InlineData(Known.No, Known.No, true)]
    [InlineData(Known.Yes, Known.No, false)]
    [InlineData(Known.No, Known.Yes, false)]
    [InlineData(Known.Yes, Known.Yes, false)]
    public void A_typed_address_is_handed_out_again_only_where_no_one_checks(Known server, Known client, bool twice)
    {
        Machine.Need();
        var design = Typed(server, client);
        using var lab = new Lab(design);
        // One by one; a host that checks is slow, so this is the place for patience.
        var given = new[] { "a", "b" }.Select(d => lab.Clients.Ask(new(d, "eth0"), "-t", "3", "-T", "4")?.Address).ToList();
        Assert.Equal(twice, given.Contains(Home.At("192.168.8.20")));
        var conflict = Assert.Single(Observer.Observe(Compiler.Compile(design, Situation.Settled)).Sheet.Conflicts, c =>
            c.Address == Home.At("192.168.8.20")
        );
        Assert.Equal(!twice, conflict.Guarded);
    }

    [Fact]
    public void The_real_tool_hears_two_answers_for_one_address()
    {
        Machine.Need();
        var design = Home.WithGateway()
            .Wired("a", "gw/lan1", "192.168.8.7/24")
            .Wired("b", "gw/lan2", "192.168.8.7/24")
            .Wired("c", "gw/lan3", "192.168.8.9/24")
            .Design;
        using var lab = new Lab(design);
        var told = Namespaces.In(lab.Of("c"), "arping", ["-c", "2", "-w", "2", "-I", "eth0", "192.168.8.7"]).Output;
        var answers = new[] { "a", "b" }
            .Where(d => told.Contains($"{lab.Mac(new(d, "eth0"))}", StringComparison.OrdinalIgnoreCase))
            .ToList();
        Assert.Equal(["a", "b"], answers);
        Assert.Equal(["a", "b"], Observer.Observe(Compiler.Compile(design, Situation.Settled)).Sheet.Conflicts.Single().Holders);
    }

    // RFC 5227, section 2.1.1: the probe of a host that wants the address is answered by the host that has it.
    [Fact]
    public void The_owner_defends_its_address()
    {
        Machine.Need();
        using var lab = new Lab(Home.WithGateway().Wired("a", "gw/lan1", "192.168.8.7/24").Wired("b", "gw/lan2").Design);
        Assert.Equal(["a"], Arp.Holders(lab, new("b", "eth0"), Home.At("192.168.8.7"), TimeSpan.FromMilliseconds(300)));
        Assert.Empty(Arp.Holders(lab, new("b", "eth0"), Ipv4Address.From(192, 168, 8, 8), TimeSpan.FromMilliseconds(300)));
    }
}
