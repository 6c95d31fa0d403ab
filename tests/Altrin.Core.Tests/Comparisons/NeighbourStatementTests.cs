using Altrin.Core.Addressing;
using Altrin.Core.Comparisons;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>An address table held against who should be in it.</summary>
public sealed class NeighbourStatementTests
{
    private static MacAddress Mac(int last) => new(0x02005E005300UL + (ulong)last);

    private static string Row(int last) => $"192.168.8.{last} dev eth0 lladdr {Mac(last)} REACHABLE";

    /// <summary>The machine that prints, and as many others beside it.</summary>
    private static Home House(int others)
    {
        var home = Home.WithGateway()
            .Box("gw", b => b with { Mac = Mac(1), WanMac = null })
            .Switch("s", others + 2)
            .Cable("gw/lan1", "s/lan1")
            .Wired("me", "gw/lan2", "192.168.8.9/24");
        for (var i = 0; i < others; i++)
        {
            home.Wired($"d{i:00}", $"s/lan{i + 2}", $"192.168.8.{10 + i}/24").Device($"d{i:00}", d => d with { Mac = Mac(10 + i) });
        }
        return home;
    }

    /// <summary>Who is not listed is named, the first eight of them.</summary>
    [Theory]
    [InlineData(3, "Not in the list: d01, d02.")]
    [InlineData(9, "Not in the list: d01, d02, d03, d04, d05, d06, d07, d08.")]
    [InlineData(12, "Not in the list: d01, d02, d03, d04, d05, d06, d07, d08 and 3 more.")]
    public void Who_is_missing_is_named(int others, string says)
    {
        var missing = ReadHome.At(House(others), "me", $"{Row(1)}\n{Row(10)}\n").Statements.Single(s => s.Id == "missing");
        Assert.Equal((says, Agreement.Unknown), (missing.Found, missing.Agreement));
        Assert.DoesNotContain(ReadHome.At(House(1), "me", $"{Row(1)}\n{Row(10)}\n").Statements, s => s.Id == "missing");
    }

    /// <summary>A box that stands on the shelf by what is recorded is seen all the same.</summary>
    [Fact]
    public void A_box_that_is_not_in_use_is_told_as_one()
    {
        var home = House(1).Router("old").Box("old", b => b with { Mac = Mac(77), WanMac = null });
        var design = home.Design;
        var shelved = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != "old")] };
        string Told(SetUp setUp) =>
            ReadingComparison
                .Of(
                    new(design.Site, [setUp]),
                    new(design.Site, setUp),
                    "me",
                    Core.Readings.ReadingText.Read($"{Row(1)}\n{Row(10)}\n{Row(77)}\n").Value
                )
                .Statements.Single(s => s is { Agreement: Agreement.Disagrees, Recorded: not null })
                .Recorded!;
        Assert.Equal("By what is recorded it is not seen from here: it is not in use.", Told(shelved));
        Assert.Equal("By what is recorded it is not seen from here.", Told(design.SetUp));
    }
}
