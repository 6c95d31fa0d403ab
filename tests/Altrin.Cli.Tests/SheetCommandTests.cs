using System.Text.Json;
using System.Text.Json.Nodes;
using static Altrin.Cli.Tests.TerminalRun;

namespace Altrin.Cli.Tests;

public sealed class SheetCommandTests
{
    [Fact]
    public void A_sheet_is_worked_out_and_written_in_any_form()
    {
        var home = Sample("t01-access-point-by-hand.json");
        var (status, output, errors) = Run(null, "sheet", home);
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        Assert.Contains("No step of this order breaks a rule.", output, StringComparison.Ordinal);
        Assert.Contains("At the table", output, StringComparison.Ordinal);
        Assert.Equal(output, Run(File.ReadAllText(home), "sheet", "-").Output);
        Assert.StartsWith("# Run sheet", Run(null, "sheet", home, "--as", "markdown").Output, StringComparison.Ordinal);
        Assert.StartsWith("<!doctype html>", Run(null, "sheet", home, "--as", "HTML").Output, StringComparison.Ordinal);
        Assert.StartsWith("number,id,phase", Run(null, "sheet", home, "--as", "csv").Output, StringComparison.Ordinal);
        var calendar = Run(null, "sheet", home, "--as", "ics", "--start", "2026-12-04T19:00").Output;
        Assert.Contains("DTSTART:20261204T190000", calendar, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run(null, "sheet", home, "--as", "json").Output);
        Assert.True(json.RootElement.GetProperty("safe").GetBoolean());
    }

    /// <summary>A page is worked out step by step: how far it is stands beside it, and never in it.</summary>
    [Fact]
    public void How_far_a_page_is_stands_where_errors_go()
    {
        var home = Sample("t01-access-point-by-hand.json");
        var (status, output, errors) = RunShown("sheet", home, "--as", "html");
        Assert.Equal((ExitCode.Sound, Run(null, "sheet", home, "--as", "html").Output), (status, output));
        Assert.Contains("Working out the steps", errors, StringComparison.Ordinal);
        Assert.Equal("", RunShown("sheet", home, "--as", "csv").Errors);
    }

    /// <summary>The way back from a step, by its number or its id, in any form; what is no step is refused with what is.</summary>
    [Fact]
    public void A_way_back_is_written_like_a_sheet()
    {
        var home = Sample("t01-access-point-by-hand.json");
        using var sheet = JsonDocument.Parse(Run(null, "sheet", home, "--as", "json").Output);
        var ids = sheet.RootElement.GetProperty("steps").EnumerateArray().Select(s => s.GetProperty("id").GetString()!).ToList();
        var (status, output, errors) = Run(null, "sheet", home, "--back", "7");
        Assert.Equal((0, ""), (status, errors));
        Assert.StartsWith("Run sheet: ", output, StringComparison.Ordinal);
        Assert.Contains(", from the state after step 7 to found\n", output, StringComparison.Ordinal);
        Assert.Equal(output, Run(null, "sheet", home, "--back", ids[6]).Output);
        Assert.Contains("the home is as it was found", Run(null, "sheet", home, "--back", "0").Output, StringComparison.Ordinal);
        foreach (var step in new[] { $"{ids.Count + 1}", "-1", "nothing" })
        {
            (status, output, errors) = Run(null, "sheet", home, "--back", step);
            Assert.Equal((2, ""), (status, output));
            Assert.Contains($"from 0 to {ids.Count} or its id, such as {ids[0]}, not '{step}'", errors, StringComparison.Ordinal);
        }
    }

    /// <summary>The installer's own way is heeded where the order can, and what departs from it is said.</summary>
    [Fact]
    public void A_sheet_goes_the_installer_s_own_way()
    {
        var home = Sample("t01-access-point-by-hand.json");
        string[] Ids(params string[] options)
        {
            using var json = JsonDocument.Parse(Run(null, ["sheet", home, "--as", "json", .. options]).Output);
            return [.. json.RootElement.GetProperty("steps").EnumerateArray().Select(s => s.GetProperty("id").GetString()!)];
        }

        var (usual, last) = (Ids(), Ids("--way", "Password=LAST", "--way", "reset=ifLoginUnknown"));
        Assert.Equal(usual, Ids("--way", "password=first"));
        // The admin password is the first that is set of a box, or the last.
        Assert.Equal(usual.Order(StringComparer.Ordinal), last.Order(StringComparer.Ordinal));
        Assert.True(Array.FindIndex(usual, IsPassword) < Array.FindIndex(last, IsPassword));
        static bool IsPassword(string id) =>
            id.Contains("password", StringComparison.Ordinal) && !id.Contains("wifi", StringComparison.Ordinal);
        Assert.DoesNotContain("which the gateway should not be", Run(null, "sheet", home).Output, StringComparison.Ordinal);
        Assert.Contains(
            "which the gateway should not be",
            Run(null, "sheet", Sample("pottery-house.json"), "--to", "one-network", "--way", "touchesGateway=false").Output,
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("password=never", "'password=never' is no way of working; password=first|last is.")]
    [InlineData("password", "password=first|last is.")]
    [InlineData("touchesgateway=no", "touchesGateway=true|false is.")]
    [InlineData("speed=fast", "reset=always|ifLoginUnknown, password=first|last, address=any|low|high|reserved, further=any|lanToLan|")]
    public void A_way_that_is_none_is_refused_with_those_that_are(string way, string says)
    {
        var (status, output, errors) = Run(null, "sheet", Sample("t01-access-point-by-hand.json"), "--way", way);
        Assert.Equal((2, ""), (status, output));
        Assert.Contains(says, errors, StringComparison.Ordinal);
    }

    /// <summary>A second DHCP server whose leases lie in the pool of the first: no order spares that.</summary>
    [Fact]
    public void A_sheet_with_an_unsafe_step_says_so_and_what_would_make_it_safe()
    {
        var home = JsonNode.Parse(File.ReadAllText(Sample("t01-access-point-by-hand.json")))!;
        var planned = home["setUps"]!.AsArray().First(s => s!["name"]!.GetValue<string>() == "planned")!.ToJsonString();
        var found = JsonNode.Parse(planned)!;
        found["name"] = "two-servers";
        found["boxes"]!.AsArray().First(b => b!["box"]!.GetValue<string>() == "upstairs-router")!["dhcpServer"]!["on"] = true;
        home["setUps"]!.AsArray().Add(found);
        var (status, output, _) = Run(home.ToJsonString(), "sheet", "-", "--from", "two-servers");
        Assert.Equal(ExitCode.Findings, status);
        Assert.Contains("No safe order was found:", output, StringComparison.Ordinal);
        Assert.Contains("To make it safe: Shorten the lease time at an earlier visit", output, StringComparison.Ordinal);
        Assert.Contains("See at Upstairs router that its IPv6 announcements", output, StringComparison.Ordinal);
        Assert.DoesNotContain("Left undone at the end", output, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("there is no set-up 'plan'; there is found, planned.", "--to", "plan")]
    [InlineData("--as is text, markdown, html, json, csv or ics, not '3'.", "--as", "3")]
    [InlineData("a calendar needs --start", "--as", "ics")]
    [InlineData("--start is a date and a time such as 2026-12-04T19:00, not 'tonight'.", "--start", "tonight")]
    public void A_sheet_refuses_what_it_cannot_be_asked(string says, params string[] options)
    {
        var (status, output, errors) = Run(null, ["sheet", Sample("t01-access-point-by-hand.json"), .. options]);
        Assert.Equal((ExitCode.BadInput, ""), (status, output));
        Assert.Contains(says, errors, StringComparison.Ordinal);
    }
}
