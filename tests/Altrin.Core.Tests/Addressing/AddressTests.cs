using System.Net;
using Altrin.Core.Addressing;

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

    [Fact]
    public void Tells_made_up_mac_addresses_from_given_ones()
    {
        var made = MacAddress.Parse("02:00:5e:00:53:af").Value;
        Assert.True(made.IsLocallyAdministered);
        Assert.False(MacAddress.Parse("00:00:5e:00:53:af").Value.IsLocallyAdministered);
        Assert.Equal("53AF", made.LastFour);
    }
}
