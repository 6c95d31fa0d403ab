using Altrin.Core.Findings;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Findings;

public sealed class CountryNotNotedTests() : RuleTests("country-not-noted")
{
    private static Home On(RadioBand band, int? channel) =>
        Home.WithGateway()
            .Wired("a", "gw/lan1")
            .Profile("gw", p => p with { Radios = [.. p.Radios.Select(r => r with { Band = band })] })
            .Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = channel }] });

    [Theory]
    [InlineData(RadioBand.Ghz2, 12)]
    [InlineData(RadioBand.Ghz2, 13)]
    [InlineData(RadioBand.Ghz5, 52)]
    [InlineData(RadioBand.Ghz5, 149)]
    [InlineData(RadioBand.Ghz6, 5)]
    public void Triggers_for_a_channel_that_not_every_country_allows(RadioBand band, int channel) =>
        One(On(band, channel), Severity.Concern, "gw/r5");

    [Theory]
    [InlineData(RadioBand.Ghz2, 11)]
    [InlineData(RadioBand.Ghz5, 48)]
    [InlineData(RadioBand.Ghz5, null)]
    public void Near_miss(RadioBand band, int? channel) => None(On(band, channel));

    [Fact]
    public void A_country_that_is_noted_settles_it() => None(On(RadioBand.Ghz2, 13).Country("AT"));
}
