using Altrin.Core.Radio;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Surveys;

/// <summary>The Wi-Fi of a device as it is typed.</summary>
public sealed class QuickWifiTests
{
    /// <summary>Its Wi-Fi as boxes and data sheets have it.</summary>
    [Theory]
    [InlineData("802.11b", WifiGeneration.B, null)]
    [InlineData("11g, 1x1", WifiGeneration.G, 1)]
    [InlineData("802.11n, 2 streams", WifiGeneration.N, 2)]
    [InlineData("wi-fi 5, 8x8", WifiGeneration.Ac, 8)]
    [InlineData("Wi-Fi 6, wifi, 2x2", WifiGeneration.Ax, 2)]
    [InlineData("11be, 1 stream", WifiGeneration.Be, 1)]
    [InlineData("wifi", WifiGeneration.Unknown, null)]
    public void The_wifi_of_a_device_is_read(string text, WifiGeneration generation, int? streams)
    {
        var device = QuickEntry.Read(QuickEntryTests.Begun, QuickEntryTests.Shelf, QuickList.Devices, $"Thing, {text}").Home!.Site.Devices[
            ^1
        ];
        Assert.Equal((generation, streams), (device.Generation, device.Streams));
    }

    [Theory]
    [InlineData("2.4", "Ghz2")]
    [InlineData("2.4 GHz only", "Ghz2")]
    [InlineData("only 2.4", "Ghz2")]
    [InlineData("5 and 2.4 GHz", "Ghz2 Ghz5")]
    [InlineData("2.4/5/6", "Ghz2 Ghz5 Ghz6")]
    public void The_bands_of_a_device_are_read(string text, string bands) =>
        Assert.Equal(
            bands,
            string.Join(
                ' ',
                QuickEntry
                    .Read(QuickEntryTests.Begun, QuickEntryTests.Shelf, QuickList.Devices, $"Thing, {text}")
                    .Home!.Site.Devices[^1]
                    .Bands
            )
        );

    [Theory]
    [InlineData("7 GHz")]
    [InlineData("only")]
    [InlineData("9x9")]
    [InlineData("2x3")]
    [InlineData("11q")]
    public void What_is_no_wifi_is_not_taken_for_one(string text) =>
        Assert.Null(QuickEntry.Read(QuickEntryTests.Begun, QuickEntryTests.Shelf, QuickList.Devices, $"Thing, {text}").Home);
}
