using System.Net;
using Altrin.Core.Addressing;
using CsCheck;

namespace Altrin.Core.Tests.Addressing;

public sealed class AddressTests
{
    [Theory]
    [InlineData("0.0.0.0")]
    [InlineData("192.168.8.1")]
    [InlineData("255.255.255.255")]
    public void Reads_strict_dotted_decimal_and_writes_it_back(string text) => Assert.Equal(text, Ipv4Address.Parse(text).Value.ToString());

    [Theory]
    [InlineData("", "expected")]
    [InlineData("192.168.8", "3 groups")]
    [InlineData("192.168.8.1.2", "5 groups")]
    [InlineData("192.168.08.1", "leading zeros")]
    [InlineData("192.168.8.256", "over 255")]
    [InlineData("192.168.8.-1", "not a number")]
    [InlineData("192.168.8. 1", "not a number")]
    [InlineData("192.168.8.1\n", "not a number")]
    [InlineData("192.168..1", "not a number")]
    [InlineData("192.168.8.١", "not a number")]
    [InlineData("0x10.0.0.1", "not a number")]
    [InlineData("192.168.8.00000000001", "not a number")]
    public void Refuses_what_other_programs_guess_at(string text, string says) => Assert.Contains(says, Ipv4Address.Parse(text).Error);

    [Fact]
    public void Agrees_with_the_runtime_on_every_address() =>
        Property.Check(Draw.Address, a =>
            Assert.Equal(new IPAddress(BitConverter.GetBytes(a.Bits).Reverse().ToArray()).ToString(), a.ToString())
        );

    [Fact]
    public void Arithmetic_stops_at_both_ends()
    {
        Assert.Null(Ipv4Address.Any.Plus(-1));
        Assert.Null(Ipv4Address.Broadcast.Plus(1));
        Assert.Equal(254, Ipv4Address.Parse("10.0.0.1").Value.DistanceTo(Ipv4Address.Parse("10.0.0.255").Value));
    }

    [Fact]
    public void Arithmetic_reaches_both_ends()
    {
        Assert.Equal(Ipv4Address.Broadcast, Ipv4Address.Any.Plus(uint.MaxValue));
        Assert.Equal(Ipv4Address.Any, Ipv4Address.Broadcast.Plus(-(long)uint.MaxValue));
    }

    [Fact]
    public void Orders_as_an_unsigned_number() => Property.Check(Gen.UInt[0, 3].Select(Draw.Address, (n, a) => (a, a.Plus(n) ?? a)), pair =>
        {
            var (a, b) = pair;
            Assert.Equal(
                (a.Bits > b.Bits, a.Bits >= b.Bits, a.Bits < b.Bits, a.Bits <= b.Bits, a.Bits.CompareTo(b.Bits)),
                (a > b, a >= b, a < b, a <= b, a.CompareTo(b))
            );
            Assert.True(b >= a);
        });

    [Fact]
    public void Is_made_of_four_parts() => Assert.Equal("203.7.113.254", Ipv4Address.From(203, 7, 113, 254).ToString());

    // What is typed comes back in an error without breaking its line and without filling the screen.
    [Theory]
    [InlineData("1\t2", "'1?2'")]
    [InlineData("1234567890123456789012345678901234567890", "'1234567890123456789012345678901234567890'")]
    [InlineData("12345678901234567890123456789012345678901", "'1234567890123456789012345678901234567890…'")]
    public void Repeats_what_was_typed_in_short(string text, string shown) => Assert.StartsWith(shown, Ipv4Address.Parse(text).Error);

    [Theory]
    [InlineData("192.168.8.1/24", "192.168.8.1/24")]
    [InlineData("192.168.8.1/0", "192.168.8.1/0")]
    [InlineData("192.168.8.1/32", "192.168.8.1/32")]
    [InlineData("192.168.8.1/255.255.255.0", "192.168.8.1/24")]
    [InlineData("10.1.2.3/255.255.240.0", "10.1.2.3/20")]
    [InlineData("10.1.2.3/0.0.0.0", "10.1.2.3/0")]
    public void Reads_an_address_with_prefix_or_mask(string text, string written) =>
        Assert.Equal(written, InterfaceAddress.Parse(text).Value.ToString());

    [Theory]
    [InlineData(null, "no prefix length")]
    [InlineData("192.168.8.1", "'192.168.8.1' has no prefix length")]
    [InlineData("192.168.8.1/", "from 0 to 32")]
    [InlineData("192.168.8.1/33", "from 0 to 32")]
    [InlineData("192.168.8.1/08", "from 0 to 32")]
    [InlineData("192.168.8.1/-1", "from 0 to 32")]
    [InlineData("192.168.8.1/024", "from 0 to 32")]
    [InlineData("/24", "An address is expected")]
    [InlineData("192.168.8.300/24", "300 is over 255")]
    [InlineData("192.168.8.1/255.255.255", "'255.255.255' has 3 groups; a mask has four")]
    [InlineData("192.168.8.1/255.255.0.255", "is no mask")]
    [InlineData("192.168.8.1/255.255.255.256", "256 is over 255")]
    public void Refuses_an_address_without_a_right_prefix(string? text, string says) =>
        Assert.Contains(says, InterfaceAddress.Parse(text).Error);

    [Theory]
    [InlineData("02:00:5E:00:53:01", "02:00:5e:00:53:01")]
    [InlineData("02-00-5e-00-53-01", "02:00:5e:00:53:01")]
    public void Reads_mac_addresses(string text, string written) => Assert.Equal(written, MacAddress.Parse(text).Value.ToString());

    [Theory]
    [InlineData("02:00:5e:00:53")]
    [InlineData("02:00:5e:00:53:1")]
    [InlineData("02:00-5e:00:53:01")]
    [InlineData("00:00:00:00:00:00")]
    [InlineData("ff:ff:ff:ff:ff:ff")]
    [InlineData("01:00:5e:00:00:fb")]
    [InlineData("0g:00:5e:00:53:01")]
    public void Refuses_what_no_box_has_as_mac_address(string text) => Assert.False(MacAddress.Parse(text).Ok);

    [Theory]
    [InlineData(null, "'' is not a MAC address")]
    [InlineData("02:00:5e", "'02:00:5e' is not a MAC address")]
    public void Says_what_was_typed_instead_of_a_mac_address(string? text, string says) =>
        Assert.StartsWith(says, MacAddress.Parse(text).Error);

    [Fact]
    public void Tells_made_up_mac_addresses_from_given_ones()
    {
        var made = MacAddress.Parse("02:00:5e:00:53:af").Value;
        Assert.True(made.IsLocallyAdministered);
        Assert.False(MacAddress.Parse("00:00:5e:00:53:af").Value.IsLocallyAdministered);
        Assert.Equal("53AF", made.LastFour);
    }
}
