using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

/// <summary>What a survey leaves open.</summary>
public sealed class SurveyGapsTests
{
    [Fact]
    public void Gaps_close_as_the_survey_goes_on()
    {
        var bare = SurveyGaps.Of(
            new(new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []), new("found", [], [], []))
        );
        Assert.Equal("No gear is noted.", Assert.Single(bare).What);
        Assert.Contains(SurveyGaps.Of(Home.WithGateway().Service(new UnknownService(null, null)).Design), g =>
            g.How.Contains("100.64", StringComparison.Ordinal)
        );
        var full = Home.WithGateway()
            .Wifi("phone", "gw")
            .Service(new PublicDynamic(100, 20) { HandOff = "gw", Line = Home.Asked })
            .Place("hall", p => p with { LengthMetres = 4, WidthMetres = 4 })
            .Stands("gw", "hall")
            .Need(new GuestsKeptApart("n"))
            .Profile("gw", p => p with { FactoryAddress = Home.Own("192.168.8.1/24") });
        Assert.Equal("The country is not noted.", Assert.Single(SurveyGaps.Of(full.Design)).What);
        Assert.Empty(SurveyGaps.Of(full.Country("AT").Design));
    }
}
