using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using static Altrin.Core.Tests.Comparisons.ReadHome;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>What is on the air, held against the radios, and noted of places.</summary>
public sealed class AirComparisonTests
{
    [Fact]
    public void What_is_on_the_air_is_held_against_the_radios()
    {
        var home = Home.WithGateway().Edit<RouterMode>("gw", m => m with { Wifi = [.. m.Wifi.Select(r => r with { Channel = 44 })] });
        var (name, radio) = (home.Design.SetUp.Boxes[0].Mode.Radios[0].Name, home.Design.Site.Boxes[0].Mac!.Value);
        var text =
            $"BSS {new MacAddress(radio.Bits + 1)}(on wlan0)\n\tfreq: 5180\n\tsignal: -55.00 dBm\n\tSSID: {name}\n\tcapability: ESS Privacy\n\tRSN:\t * Version: 1\nBSS 02:00:5e:00:54:10(on wlan0)\n\tfreq: 2437\n\tsignal: -80.00 dBm\n\tSSID: next door\nBSS {new MacAddress(radio.Bits + 2)}(on wlan0)\n\tfreq: 2412\n\tsignal: -50.00 dBm\n\tSSID: factory\n";
        var seen = At(home, null, text).Statements;
        var own = Assert.Single(seen, s => s.Id == "air:gw/r5");
        Assert.Equal(Agreement.Disagrees, own.Agreement);
        Assert.Contains("on channel 36", own.Offer, StringComparison.Ordinal);
        Assert.Contains("1 network of neighbours", Assert.Single(seen, s => s.Id == "air:others").Found, StringComparison.Ordinal);
        Assert.Contains(
            "open to everybody",
            Assert.Single(seen, s => s.Id.StartsWith("left-on:", StringComparison.Ordinal)).Found,
            StringComparison.Ordinal
        );
    }

    /// <summary>Name, channel and protection that are heard otherwise than they are set are said, and offered to be set.</summary>
    [Theory]
    [InlineData("home", 5220, "RSN:\t * Version: 1", "Recorded: channel 44.", null)]
    [InlineData("Home", 5220, "RSN:\t * Version: 1", "Recorded: \"home\", heard \"Home\": capitals and blanks count.", "gw sends \"Home\"")]
    [InlineData("home", 5180, "RSN:\t * Version: 1", "Recorded: channel 44.", "gw sends \"home\" on channel 36")]
    [InlineData("home", 5220, "WPA:\t * Version: 1", "Recorded: WPA2, heard WPA with TKIP.", "gw sends \"home\" with WPA with TKIP")]
    [InlineData(
        "HOME",
        5180,
        "WPA:\t * Version: 1",
        "Recorded: \"home\", heard \"HOME\": capitals and blanks count, channel 44, WPA2, heard WPA with TKIP.",
        "gw sends \"HOME\" on channel 36 with WPA with TKIP"
    )]
    public void What_is_heard_otherwise_is_said_and_offered(string name, int freq, string security, string recorded, string? offer)
    {
        var home = Home.WithGateway().Edit<RouterMode>("gw", m => m with { Wifi = [.. m.Wifi.Select(r => r with { Channel = 44 })] });
        var radio = home.Design.Site.Boxes[0].Mac!.Value;
        var text =
            $"BSS {new MacAddress(radio.Bits + 1)}(on wlan0)\n\tfreq: {freq}\n\tsignal: -55.00 dBm\n\tSSID: {name}\n\tcapability: ESS Privacy\n\t{security}\n";
        var own = Assert.Single(At(home, null, text).Statements, s => s.Id == "air:gw/r5");
        Assert.Equal((recorded, offer), (own.Recorded, own.Offer));
        Assert.Equal(offer is null ? 0 : 1, own.Changes.Count);
        Assert.Equal(offer is null ? Agreement.Agrees : Agreement.Disagrees, own.Agreement);
    }

    private const string Scan =
        "BSS 02:00:5e:00:54:10(on wlan0)\n\tfreq: 2437\n\tsignal: -80.00 dBm\n\tSSID: next door\nBSS 02:00:5e:00:54:11(on wlan0)\n\tfreq: 5180\n\tsignal: -61.00 dBm\n\tSSID: \nBSS 02:00:5e:00:54:12(on wlan0)\n\tfreq: 2437\n\tsignal: -70.50 dBm\n\tSSID: home\n";

    /// <summary>What was heard becomes a fact of the place that was named, once; a later scan takes its place.</summary>
    [Fact]
    public void What_is_heard_is_noted_of_the_place()
    {
        var home = Home.WithGateway().Place("hall");
        var file = new HomeFile(home.Design.Site, [home.Design.SetUp]);
        var reading = ReadingText.Read(Scan).Value;
        var nowhere = Assert.Single(ReadingComparison.Of(file, home.Design, null, reading).Statements, s => s.Id == "air:others");
        Assert.Equal((null, true), (nowhere.Offer, nowhere.Recorded!.StartsWith("Say in which place", StringComparison.Ordinal)));

        var first = Once(file, "2026-05-04T16:30Z", reading, "In hall 3 networks are heard", "Nothing is noted");
        Assert.Equal("2026-05-04T16:30Z", first.Site.Place("hall")!.Air!.At);
        Assert.Equal(
            [(-61, 36, ""), (-70.5, 6, "home"), (-80, 6, "next door")],
            first.Site.Place("hall")!.Air!.Networks.Select(n => (n.LevelDbm!.Value, n.Channel!.Value, n.Name))
        );
        var again = Assert.Single(
            ReadingComparison.Of(first, first.Design(home.Design.SetUp.Name)!, null, reading, new("hall", "2026-05-05T16:30Z")).Statements,
            s => s.Id == "air:others"
        );
        Assert.Equal((Agreement.Agrees, null), (again.Agreement, again.Offer));
        var second = Once(
            first,
            null,
            ReadingText.Read(Scan.Replace("-61", "-66", StringComparison.Ordinal)).Value,
            "In hall 3 networks are heard",
            "Noted of hall: 3 networks on 2026-05-04."
        );
        Assert.Equal(-66, second.Site.Place("hall")!.Air!.Networks[0].LevelDbm);

        // Whose they are: by the radio's address, or by the name.
        var own = home.Design.Site.Boxes[0].Mac!.Value.Bits;
        var air = Assert.Single(
            PlaceAir.Of(
                Once(
                        first,
                        null,
                        ReadingText.Read(Scan.Replace("02:00:5e:00:54:10", $"{new MacAddress(own + 1)}", StringComparison.Ordinal)).Value,
                        "",
                        ""
                    )
                    .Design(home.Design.SetUp.Name)!
            )
        );
        Assert.Equal([(null, false), (null, true), ("gw", true)], air.Rows.Select(r => (r.Box, r.Own)));
        Assert.Equal("Of neighbours: 5 GHz channel 36: 1, strongest -61 dBm.", air.Says);

        HomeFile Once(HomeFile at, string? when, Reading read, string offered, string recorded)
        {
            var comparison = ReadingComparison.Of(at, at.Design(home.Design.SetUp.Name)!, null, read, new("hall", when));
            var said = Assert.Single(comparison.Statements, s => s.Id == "air:others");
            Assert.Contains(offered, said.Offer, StringComparison.Ordinal);
            Assert.Contains(recorded, said.Recorded, StringComparison.Ordinal);
            Assert.True(said.Suggested);
            return comparison.Accept(at, new([]), home.Design.SetUp.Name, ["air:others"]).Value;
        }
    }

    /// <summary>Of a crowded air the strongest are noted; what no file could hold is left out.</summary>
    [Fact]
    public void Of_a_crowded_air_the_strongest_are_noted()
    {
        var home = Home.WithGateway().Place("hall");
        var text = string.Concat(
            Enumerable
                .Range(0, 200)
                .Select(i =>
                    $"BSS 02:00:5e:00:{i / 100:00}:{i % 100:00}(on wlan0)\n\tfreq: 2437\n\tsignal: -{40 + (i % 80)}.00 dBm\n\tSSID: n{i}\n"
                )
        );
        var said = Assert.Single(
            ReadingComparison
                .Of(new(home.Design.Site, [home.Design.SetUp]), home.Design, null, ReadingText.Read(text).Value, new("hall", null))
                .Statements,
            s => s.Id == "air:others"
        );
        var noted = Assert.IsType<SetPlace>(Assert.Single(said.Corrections)).Known.On(new("hall", "Hall")).Air!.Networks;
        Assert.Equal((AirScan.MostNetworks, -40, -59), (noted.Count, noted[0].LevelDbm, noted[^1].LevelDbm));
        Assert.Contains("the strongest of them all", said.Offer, StringComparison.Ordinal);
    }
}
