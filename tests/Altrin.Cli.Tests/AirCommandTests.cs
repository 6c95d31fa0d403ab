using System.Text.Json;
using static Altrin.Cli.Tests.TerminalRun;

namespace Altrin.Cli.Tests;

public sealed class AirCommandTests
{
    private static readonly string House = Sample("pottery-house.json");

    [Fact]
    public void What_is_heard_is_told_for_each_place_or_all_of_it_for_one()
    {
        var (status, output, errors) = Run(null, "signal", House);
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        foreach (var place in new[] { "Hall", "Kitchen", "Studio", "Loft room", "Kiln yard" })
        {
            Assert.Contains(place, output, StringComparison.Ordinal);
        }
        // Measured where a scan was kept, and both are told where they differ.
        var studio = Run(null, "signal", House, "--place", "studio").Output;
        Assert.Equal(studio, Run(null, "signal", House, "--place", " STUDIO ").Output);
        Assert.Contains("-41 dBm ± 4", studio, StringComparison.Ordinal);
        Assert.Contains("as measured; computed", studio, StringComparison.Ordinal);
        Assert.Contains("Loft router, 5 GHz", studio, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run(null, "signal", House, "--json").Output);
        var heard = json.RootElement.EnumerateArray().Single(p => p.GetProperty("place").GetString() == "studio").GetProperty("heard");
        Assert.Equal("measured", heard[0].GetProperty("level").GetProperty("basis").GetString());
        Assert.Contains("No place is noted", Run(null, "signal", Sample("t01-access-point-by-hand.json")).Output, StringComparison.Ordinal);
    }

    [Fact]
    public void Rates_are_told_for_each_device_or_part_by_part()
    {
        var (status, output, errors) = Run(null, "rate", House);
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        Assert.Contains("150 Mb/s", output, StringComparison.Ordinal);
        Assert.Contains("Measured slower than the 150 Mb/s computed", output, StringComparison.Ordinal);
        var one = Run(null, "rate", House, "--from", "House laptop").Output;
        Assert.Equal(one, Run(null, "rate", House, "--from", "house-laptop", "--to", "internet").Output);
        Assert.Contains("the internet service as sold (slowest)", one, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run(null, "rate", House, "--from", "wheel-tablet", "--to", "printer", "--json").Output);
        Assert.Equal("printer", json.RootElement.GetProperty("to").GetString());
        Assert.True(json.RootElement.GetProperty("parts").GetArrayLength() > 1);
    }

    [Fact]
    public void Channels_are_planned_beside_what_is_set()
    {
        var (status, output, errors) = Run(null, "channels", House);
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        Assert.Contains("Studio access point, 5 GHz", output, StringComparison.Ordinal);
        Assert.Contains("Every combination was looked at", output, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run(null, "channels", House, "--json").Output);
        Assert.Equal(6, json.RootElement.GetProperty("radios").GetArrayLength());
        Assert.NotEqual(0, json.RootElement.GetProperty("changes").GetArrayLength());
    }

    [Theory]
    [InlineData("There is no place 'attic'; there are Hall, Kitchen", "signal", "--place", "attic")]
    [InlineData("There is no device 'nobody'; there are Kiln controller", "rate", "--from", "nobody")]
    [InlineData("There is no device 'nobody'", "rate", "--from", "printer", "--to", "nobody")]
    [InlineData("From 'printer' to itself there is no way", "rate", "--from", "printer", "--to", "Printer")]
    [InlineData("The option --to needs --from", "rate", "--to", "printer")]
    public void What_is_not_there_is_refused_with_what_is(string says, params string[] args)
    {
        var (status, output, errors) = Run(null, [args[0], House, .. args[1..]]);
        Assert.Equal((ExitCode.BadInput, ""), (status, output));
        Assert.StartsWith($"altrin: {says}", errors, StringComparison.Ordinal);
    }

    [Fact]
    public void Devices_that_do_not_get_to_each_other_have_no_rate()
    {
        var (status, _, errors) = Run(null, "rate", House, "--from", "house-laptop", "--to", "loft-phone");
        Assert.Equal(
            (ExitCode.Findings, "altrin: House laptop does not get to Loft phone in this set-up; 'altrin prove' says why.\n"),
            (status, errors)
        );
    }
}
