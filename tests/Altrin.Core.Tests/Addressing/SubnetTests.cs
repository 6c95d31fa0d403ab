using System.Net;
using Altrin.Core.Addressing;
using CsCheck;

namespace Altrin.Core.Tests.Addressing;

public sealed class SubnetTests
{
    private static Subnet Net(string text) => Subnet.Parse(text).Value;

    private static Ipv4Address At(string text) => Ipv4Address.Parse(text).Value;

    [Theory]
    [InlineData("192.168.8.1/24")]
    [InlineData("192.168.8.0")]
    [InlineData("192.168.8.0/33")]
    [InlineData("192.168.8.0/024")]
    [InlineData("192.168.8.0/")]
    [InlineData("192.168.8.0/ 24")]
    [InlineData("/24")]
    public void Refuses_host_bits_and_bad_prefixes(string text) => Assert.False(Subnet.Parse(text).Ok);

    // RFC 4632, section 5 (worked example of a provider with 10.24.0.0/13 and its customers C1 to C3), from memory.
    [Theory]
    [InlineData("10.24.0.0/13", "255.248.0.0", "10.31.255.255")]
    [InlineData("10.24.0.0/21", "255.255.248.0", "10.24.7.255")]
    [InlineData("10.24.16.0/20", "255.255.240.0", "10.24.31.255")]
    [InlineData("10.24.8.0/22", "255.255.252.0", "10.24.11.255")]
    // RFC 1918, section 3.
    [InlineData("10.0.0.0/8", "255.0.0.0", "10.255.255.255")]
    [InlineData("172.16.0.0/12", "255.240.0.0", "172.31.255.255")]
    [InlineData("192.168.0.0/16", "255.255.0.0", "192.168.255.255")]
    // RFC 6598, section 7.
    [InlineData("100.64.0.0/10", "255.192.0.0", "100.127.255.255")]
    public void Spans_what_the_standard_says(string text, string mask, string last)
    {
        Assert.Equal((mask, last), (Net(text).Mask.ToString(), Net(text).Last.ToString()));
        Assert.Equal(Net(text).PrefixLength, Subnet.PrefixFromMask(mask).Value);
    }

    // RFC 1918, RFC 5737 section 3, RFC 6598, RFC 3927.
    [Theory]
    [InlineData("10.1.2.3", AddressUse.Private)]
    [InlineData("172.15.255.255", AddressUse.Public)]
    [InlineData("172.31.255.255", AddressUse.Private)]
    [InlineData("172.32.0.0", AddressUse.Public)]
    [InlineData("192.168.255.255", AddressUse.Private)]
    [InlineData("100.63.255.255", AddressUse.Public)]
    [InlineData("100.64.0.0", AddressUse.CarrierShared)]
    [InlineData("100.127.255.255", AddressUse.CarrierShared)]
    [InlineData("100.128.0.0", AddressUse.Public)]
    [InlineData("192.0.0.2", AddressUse.CarrierShared)]
    [InlineData("192.0.2.1", AddressUse.Documentation)]
    [InlineData("198.51.100.7", AddressUse.Documentation)]
    [InlineData("203.0.113.9", AddressUse.Documentation)]
    [InlineData("169.254.1.1", AddressUse.LinkLocal)]
    [InlineData("224.0.0.251", AddressUse.NotForHosts)]
    [InlineData("127.0.0.1", AddressUse.NotForHosts)]
    public void Knows_what_an_address_is_for(string address, AddressUse use) => Assert.Equal(use, SpecialBlock.UseOf(At(address)));

    [Theory]
    [InlineData("255.255.255.0", 24)]
    [InlineData("0.0.0.0", 0)]
    [InlineData("255.255.255.255", 32)]
    [InlineData("255.0.255.0", null)]
    [InlineData("0.0.0.255", null)]
    public void Reads_masks_without_holes_only(string mask, int? prefix)
    {
        var read = Subnet.PrefixFromMask(mask);
        Assert.Equal(prefix, read.Ok ? read.Value : null);
    }

    [Fact]
    public void Agrees_with_the_runtime_on_containment() => Property.Check(Draw.Subnet.Select(Draw.Address), (subnet, address) =>
        {
            var theirs = new System.Net.IPNetwork(IPAddress.Parse(subnet.Network.ToString()), subnet.PrefixLength);
            Assert.Equal(theirs.Contains(IPAddress.Parse(address.ToString())), subnet.Contains(address));
        });

    [Fact]
    public void Agrees_with_a_general_purpose_library() => Property.Check(Draw.Subnet.Select(Draw.Subnet), (a, b) =>
        {
            var (x, y) = (IPNetwork2.Parse(a.ToString()), IPNetwork2.Parse(b.ToString()));
            Assert.Equal(x.Overlap(y), a.Overlaps(b));
            Assert.Equal(x.Contains(y), a.Contains(b));
            Assert.Equal(x.Netmask.ToString(), a.Mask.ToString());
            Assert.Equal(x.LastUsable.ToString(), a.Hosts.Last.ToString());
            Assert.Equal(x.FirstUsable.ToString(), a.Hosts.First.ToString());
            Assert.Equal((long)x.Total, a.Size);
        });

    // The same worked example: customers lie inside their provider's block and beside each other.
    [Fact]
    public void Aggregates_contain_their_customers()
    {
        Subnet[] customers = [Net("10.24.0.0/21"), Net("10.24.16.0/20"), Net("10.24.8.0/22")];
        Assert.All(customers, c => Assert.True(Net("10.24.0.0/13").Contains(c) && !Net("10.32.0.0/13").Overlaps(c)));
        Assert.All(customers.SelectMany(a => customers.Where(b => b != a).Select(b => (a, b))), p => Assert.False(p.a.Overlaps(p.b)));
    }

    [Fact]
    public void Nested_prefixes_overlap_and_third_numbers_do_not_decide()
    {
        Assert.True(Net("172.16.8.0/22").Contains(Net("172.16.10.0/24")));
        Assert.True(Net("172.16.10.0/24").Overlaps(Net("172.16.8.0/22")));
        Assert.False(Net("172.16.8.0/22").Overlaps(Net("172.16.12.0/24")));
    }

    [Fact]
    public void Splitting_covers_the_block_without_a_gap() => Property.Check(Draw.Subnet.Select(Gen.Int[0, 8]), (subnet, deeper) =>
        {
            var parts = subnet.Split(Math.Min(32, subnet.PrefixLength + deeper)).ToList();
            Assert.Equal(subnet.Network, parts[0].Network);
            Assert.Equal(subnet.Last, parts[^1].Last);
            Assert.All(parts.Zip(parts.Skip(1)), p => Assert.Equal(1, p.First.Last.DistanceTo(p.Second.Network)));
        });

    [Fact]
    public void Splits_into_no_more_parts_than_it_says()
    {
        Assert.Equal(65536, Net("10.0.0.0/8").Split(24).Count());
        Assert.Throws<ArgumentOutOfRangeException>(() => Net("10.0.0.0/8").Split(25));
        Assert.Throws<ArgumentOutOfRangeException>(() => Net("10.0.0.0/8").Split(7));
        Assert.Throws<ArgumentOutOfRangeException>(() => Net("10.0.0.0/24").Split(33));
        Assert.Equal([Net("10.0.0.0/24")], Net("10.0.0.0/24").Split(24));
        Assert.Throws<ArgumentOutOfRangeException>(() => Subnet.Containing(At("10.0.0.1"), 33));
        Assert.Throws<ArgumentOutOfRangeException>(() => Subnet.Containing(At("10.0.0.1"), -1));
    }

    [Fact]
    public void Orders_by_address_and_the_wider_block_first() =>
        Assert.Equal(
            ["10.0.0.0/8", "10.0.0.0/24", "10.0.1.0/24", "192.168.0.0/16"],
            new[] { "192.168.0.0/16", "10.0.1.0/24", "10.0.0.0/24", "10.0.0.0/8" }.Select(Net).Order().Select(n => n.ToString())
        );

    // RFC 3021, section 2: both addresses of a /31 are hosts.
    [Theory]
    [InlineData("10.0.0.0/30", "10.0.0.1-10.0.0.2")]
    [InlineData("10.0.0.0/31", "10.0.0.0-10.0.0.1")]
    [InlineData("10.0.0.1/32", "10.0.0.1-10.0.0.1")]
    public void The_smallest_blocks_have_hosts_too(string subnet, string hosts) => Assert.Equal(hosts, Net(subnet).Hosts.ToString());
}
