using System.Text.Json;
using static Altrin.Cli.Tests.TerminalRun;

namespace Altrin.Cli.Tests;

public sealed class PlanCommandTests
{
    private static readonly string Routers = Sample(Path.Combine("surveys", "two-routers.json"));

    [Fact]
    public void Options_stand_side_by_side()
    {
        var (status, output, errors) = Run(null, "plan", Routers);
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        Assert.Contains("access-point mode behind Hall gateway, Study", output, StringComparison.Ordinal);
        Assert.Contains("The telephone kept alive", output, StringComparison.Ordinal);
        Assert.Contains("Minutes of work", output, StringComparison.Ordinal);
        Assert.Contains("1. Every device reaches the internet and every need is met.", output, StringComparison.Ordinal);
        Assert.Contains("set-ups were proven.", output, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run(null, "plan", Routers, "--json").Output);
        var first = json.RootElement.GetProperty("options")[0];
        Assert.Equal(
            "accessPoint",
            first
                .GetProperty("boxes")
                .EnumerateArray()
                .Single(b => b.GetProperty("box").GetString() == "upper-router")
                .GetProperty("kind")
                .GetString()
        );
        Assert.All(first.GetProperty("needs").EnumerateArray(), n => Assert.Equal("yes", n.GetProperty("answer").GetString()));
        Assert.False(json.RootElement.GetProperty("isCut").GetBoolean());
    }

    /// <summary>What counts how much is typed, and what is no weight is refused with what is.</summary>
    [Fact]
    public void Weights_are_typed()
    {
        Assert.NotEqual(Run(null, "plan", Routers).Output, Run(null, "plan", Routers, "--weight", "minute=9").Output);
        var (status, output, errors) = Run(null, "plan", Routers, "--weight", "minutes=9");
        Assert.Equal((ExitCode.BadInput, ""), (status, output));
        Assert.StartsWith("altrin: --weight 'minutes=9' is no weight; missed, ", errors, StringComparison.Ordinal);
    }

    /// <summary>What is written is proven as it was told, and what was found is kept beside it.</summary>
    [Fact]
    public void An_option_is_written_as_the_plan()
    {
        var folder = Directory.CreateTempSubdirectory("altrin-plan-");
        try
        {
            var file = Path.Combine(folder.FullName, "home.json");
            Assert.Equal(ExitCode.Sound, Run(null, "plan", Routers, "--write", "1", file).Status);
            var (status, output, _) = Run(null, "prove", file);
            Assert.Equal(ExitCode.Sound, status);
            Assert.Contains("set-up planned", output, StringComparison.Ordinal);
            Assert.Contains("Double NAT", Run(null, "prove", file, "--set-up", "found").Output, StringComparison.Ordinal);
            Assert.Equal(ExitCode.Sound, Run(null, "plan", Routers, "--why-not", "upper-router=lanToLan", "--write", "1", file).Status);
            Assert.Contains("192.168.1.2/24", Run(null, "prove", file).Output, StringComparison.Ordinal);
            // A plan that stands is no longer what the next one begins with.
            Assert.Equal(Run(null, "plan", Routers).Output, Run(null, "plan", file).Output);
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }

    [Theory]
    [InlineData("further=lanToLan", "access point (LAN to LAN, DHCP", null)]
    [InlineData(
        "gateway=bridge",
        "access-point mode behind Hall",
        "  Hall gateway: router, own boxes are access points; your way: bridge mode."
    )]
    public void Options_go_the_installers_way_or_say_where_not(string way, string becomes, string? departs)
    {
        var (status, output, _) = Run(null, "plan", Routers, "--way", way);
        Assert.Equal(ExitCode.Sound, status);
        Assert.Contains(becomes, output, StringComparison.Ordinal);
        Assert.Equal(departs is not null, output.Contains("Option 1 departs from your way of working:", StringComparison.Ordinal));
        Assert.Contains(departs ?? "", output, StringComparison.Ordinal);
    }

    [Fact]
    public void An_alternative_is_built_and_its_price_told()
    {
        var (status, output, errors) = Run(null, "plan", Routers, "--why-not", "upper-router=unused");
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        Assert.Contains("Against the first option:", output, StringComparison.Ordinal);
        Assert.Contains("+40 points  Boxes taken away: +1", output, StringComparison.Ordinal);
        Assert.DoesNotContain("set-ups were proven", output, StringComparison.Ordinal);
        // A need that is left open speaks in the status, as it does for an option.
        Assert.Equal(ExitCode.Findings, Run(null, "plan", Routers, "--why-not", "gateway=bridge").Status);
        var (none, why, _) = Run(null, "plan", Routers, "--why-not", "upper-router=repeater");
        Assert.Equal(ExitCode.Findings, none);
        Assert.StartsWith("Upper router cannot be that. By its kind it can be: router,", why, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run(null, "plan", Routers, "--why-not", "upper-router=UNUSED", "--json").Output);
        Assert.Equal("unused", json.RootElement.GetProperty("wanted").GetString());
    }

    [Theory]
    [InlineData("altrin: --way 'further=hub' is no way of working;", "--way", "further=hub")]
    [InlineData(
        "altrin: --why-not upper-router: a box, an equals sign and a role are expected. Boxes: gateway, upper-router",
        "--why-not",
        "upper-router"
    )]
    [InlineData(
        "altrin: --write 2: the number of an option is expected, 1 to 1.",
        "--why-not",
        "upper-router=unused",
        "--write",
        "2",
        "home.json"
    )]
    [InlineData("altrin: --why-not attic=router: a box,", "--why-not", "attic=router")]
    [InlineData("altrin: --why-not gateway=hub: a box,", "--why-not", "gateway=hub")]
    [InlineData("altrin: --write 9: the number of an option is expected, 1 to ", "--write", "9", "home.json")]
    [InlineData("altrin: --write one: the number of an option is expected, 1 to ", "--write", "one", "home.json")]
    [InlineData("altrin: /nowhere/home.json cannot be written: ", "--write", "1", "/nowhere/home.json")]
    [InlineData("altrin: there is no set-up 'tomorrow'; there is found.", "--set-up", "tomorrow")]
    public void What_cannot_be_done_is_said(string says, params string[] args)
    {
        var (status, output, errors) = Run(null, ["plan", Routers, .. args]);
        Assert.Equal((ExitCode.BadInput, ""), (status, output));
        Assert.StartsWith(says, errors, StringComparison.Ordinal);
    }
}
