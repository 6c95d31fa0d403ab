using Altrin.Core.Planning;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

/// <summary>What is to be known of a box by its kind and label.</summary>
public sealed class BoxCautionTests
{
    private static IReadOnlyList<string> Of(Home home, DateOnly? today = null) =>
        BoxCaution.Of(home.Design.Site, today).SingleOrDefault(c => c.Box == "r")?.Says ?? [];

    // Radio generation, its newest protection, fastest port, whether supported, what is sold; what is said, nothing where empty.
    [Theory]
    [InlineData(WifiGeneration.Ax, WifiSecurity.Wpa3, 1000, Known.Yes, 300, "")]
    [InlineData(WifiGeneration.G, WifiSecurity.Wpa2, 1000, Known.Yes, 300, "54 Mb/s class")]
    [InlineData(WifiGeneration.G, WifiSecurity.Wpa2, 1000, Known.Yes, 16, "no more than 16")]
    [InlineData(WifiGeneration.N, WifiSecurity.WpaTkip, 1000, Known.Yes, 300, "no protection that holds")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 100, Known.Yes, 300, "at most about 94")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 100, Known.Yes, 94, "")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 100, Known.Yes, 95, "at most about 94")]
    [InlineData(WifiGeneration.Ac, WifiSecurity.Wpa2, 1000, Known.No, 300, "no more updates")]
    public void A_box_is_told_of_by_what_it_can_do(
        WifiGeneration generation,
        WifiSecurity newest,
        int port,
        Known supported,
        int sold,
        string says
    )
    {
        var said = Of(
            Home.WithGateway()
                .Router("r")
                .Profile("r", p =>
                    p with
                    {
                        Ports = [.. p.Ports.Select(x => x with { SpeedMbps = port })],
                        Radios = [new("r5", RadioBand.Ghz5) { Generation = generation, NewestSecurity = newest }],
                    }
                )
                .Box("r", b => b with { Label = new() { Supported = supported } })
                .Service(new PublicDynamic(sold, null))
        );
        Assert.Equal(says.Length > 0 ? 1 : 0, said.Count);
        Assert.All(said, s => Assert.Contains(says, s, StringComparison.Ordinal));
    }

    [Fact]
    public void What_works_by_hand_only_and_what_can_damage_is_said()
    {
        var by = Home.WithGateway().Router("r", canBePoint: false);
        Assert.Contains(Of(by), s => s.StartsWith("It has no access-point mode", StringComparison.Ordinal));
        var passive = by.Traits("r", new() { Power = new() { Takes = PowerKind.Passive } });
        Assert.Contains(Of(passive), s => s.StartsWith("It needs passive power", StringComparison.Ordinal));
        // The box at the line is told of by findings.
        Assert.Empty(Of(by.Service(new PublicDynamic(100, 20) { HandOff = "r" })));
    }

    [Fact]
    public void Firmware_that_is_supported_until_a_day_is_told_of_on_the_day()
    {
        var home = Home.WithGateway().Router("r").Box("r", b => b with { Label = new() { SupportedUntil = new(2027, 3, 31) } });
        bool Ended(int month) => Of(home, new(2027, month, 31)).Any(s => s.Contains("since 2027-03-31", StringComparison.Ordinal));
        Assert.Equal((false, true), (Ended(3), Ended(5)));
    }
}
