using System.Text;
using System.Text.Json.Nodes;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

public sealed class DesignFileTests
{
    public static TheoryData<string> SampleNames => [.. Samples.All];

    [Theory]
    [MemberData(nameof(SampleNames))]
    public void Samples_read_and_write_back_to_the_letter(string name)
    {
        var written = DesignFile.Write(Samples.Home(name));
        if (Environment.GetEnvironmentVariable("ALTRIN_APPROVE") is { Length: > 0 } folder)
        {
            File.WriteAllText(Path.Combine(folder, name), written);
        }
        Assert.Equal(Samples.Text(name), written);
    }

    [Fact]
    public void Generated_homes_survive_the_way_through_a_file()
    {
        for (var seed = 1; seed <= 60; seed++)
        {
            var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 9), seed);
            var home = new HomeFile(design.Site, [design.SetUp]);
            var read = DesignFile.Read(DesignFile.Write(home));
            Assert.True(read.Value is not null, $"seed {seed}: {string.Join("; ", read.Errors)}");
            Assert.Equal(DesignFile.Write(home), DesignFile.Write(read.Value));
            Assert.Equal(
                Judging.Prove(design).Findings.Select(f => f.Identity),
                Judging.Prove(read.Value.Design("planned")!).Findings.Select(f => f.Identity)
            );
        }
    }

    [Fact]
    public void The_published_schemas_are_made_from_the_types_that_read()
    {
        Assert.Equal(DesignSchema.Text, Samples.Document("design-file.schema.json"));
        Assert.Equal(ProfileFile.SchemaText, Samples.Document("profiles-file.schema.json"));
    }

    // Each case changes one place of the demo file: pointer to set, the value as JSON (null removes it), pointer of the error, what it
    // says.
    [Theory]
    [InlineData("/setUps/0/boxes/0/passing", "{\"kind\":\"none\"}", "/setUps/0/boxes/0/passing/kind", "port, macAddress, mapping")]
    [InlineData(
        "/setUps/0/boxes/0/uplink",
        "{\"radio\":\"r5\",\"box\":\"loft-router\",\"name\":\"x\",\"security\":\"wpa2\",\"frames\":\"fourAddress\",\"channel\":36}",
        "/setUps/0/boxes/0/uplink/channel",
        "only WDS"
    )]
    [InlineData("/site/country", "\"XX\"", "/site/country", "Two capital letters")]
    [InlineData("/site/country", "\"Austria\"", "/site/country", "")]
    [InlineData("/site/boxes/3/stored", "{\"state\":\"factory\",\"dhcpServer\":true}", "/site/boxes/3/stored", "its last home")]
    [InlineData("/site/boxes/3/stored", "{\"state\":\"lastHome\",\"mode\":\"satellite\"}", "/site/boxes/3/stored", "It can be")]
    [InlineData("/site/boxes/3/stored", "{\"state\":\"lastHome\",\"address\":\"here\"}", "/site/boxes/3/stored/address", "")]
    [InlineData("/formatVersion", "99", "/formatVersion", "newer Altrin")]
    [InlineData("/formatVersion", "0", "/formatVersion", "at least 1")]
    [InlineData("/formatVersion", "\"1\"", "/formatVersion", "whole number")]
    [InlineData("/format", "\"else\"", "/format", "altrin-design")]
    [InlineData("/site/colour", "1", "/site/colour", "allowed: name")]
    [InlineData("/site/name", null, "/site/name", "'name' is required")]
    [InlineData("/site/name", "\"\"", "/site/name", "at least 1")]
    [InlineData("/site/name", "\"a\\nb\"", "/site/name", "one line")]
    [InlineData("/site/naming", "\"none\"", "/site/naming", "oneName, onePerBox, onePerBand")]
    [InlineData("/site/service/address", "\"203.0.113.4/24\"", "/site/service/address", "only a fixed public service")]
    [InlineData("/site/service/kind", "\"publicFixed\"", "/site/service/address", "prefix length")]
    [InlineData("/site/boxes/0/id", "\"Hall Gateway\"", "/site/boxes/0/id", "form ^[a-z0-9]")]
    [InlineData("/site/boxes/0/id", "\"loft-router\"", "/site/boxes/1/id", "used once")]
    [InlineData("/site/boxes/0/id", "\"street\"", "/site/boxes/0/id", "provider's end")]
    [InlineData("/site/boxes/0/mac", "\"ff:ff:ff:ff:ff:ff\"", "/site/boxes/0/mac", "group address")]
    [InlineData("/site/boxes/0/profile/ports/0/speedMbps", "0", "/site/boxes/0/profile/ports/0/speedMbps", "at least 1")]
    [InlineData("/site/places/3/walls", "\"paper\"", "/site/places/3/walls", "unknown, light, brick")]
    [InlineData("/site/places/3/id", null, "/site/places/3/id", "'id' is required")]
    [InlineData("/site/places/3/air/networks", null, "/site/places/3/air/networks", "'networks' is required")]
    [InlineData("/site/places/3/air/networks/0/name", null, "/site/places/3/air/networks/0/name", "'name' is required")]
    [InlineData("/site/places/3/air/at", "\"yesterday\"", "/site/places/3/air/at", "text of the form")]
    [InlineData("/site/places/3/air/networks/0/channel", "234", "/site/places/3/air/networks/0/channel", "at most 233")]
    [InlineData("/site/places/3/air/networks/0/radio", "\"missing's\"", "/site/places/3/air/networks/0/radio", "text of the form")]
    [InlineData("/site/places/3/air/networks/0/radio", "\"01:00:5e:00:53:01\"", "/site/places/3/air/networks/0/radio", "group address")]
    [InlineData("/site/places/3/air/networks/0/name", "\"a\\nb\"", "/site/places/3/air/networks/0/name", "one line")]
    [InlineData("/site/needs/0/device", "\"missing\"", "/site/needs/0/device", "a device of this site")]
    [InlineData("/site/needs/0/port", null, "/site/needs/0", "needs 'protocol' and 'port'")]
    [InlineData("/site/needs/0/outsidePort", "8443", "/site/needs/0/outsidePort", "another port than 'port'")]
    [InlineData("/site/needs/1/outsidePort", "80", "/site/needs/1/outsidePort", "only a connection from outside")]
    [InlineData("/site/needs/1/port", "80", "/site/needs/1/port", "only a connection from outside")]
    [InlineData("/setUps/1/name", "\"found\"", "/setUps/1/name", "used once")]
    [InlineData("/setUps/0/boxes/0/box", "\"missing\"", "/setUps/0/boxes/0/box", "a box of this site")]
    [InlineData("/setUps/0/boxes/0/mode", "\"accessPoint\"", "/setUps/0/boxes/0/mode", "lists router, bridge")]
    [InlineData("/setUps/0/boxes/0/lan", "\"192.168.8.0/24\"", "/setUps/0/boxes/0/lan", "network address")]
    [InlineData("/setUps/0/boxes/0/lan", null, "/setUps/0/boxes/0/lan", "prefix length")]
    [InlineData("/setUps/0/boxes/0/dhcpServer", null, "/setUps/0/boxes/0/dhcpServer", "needs 'dhcpServer'")]
    [InlineData(
        "/setUps/0/boxes/0/dhcpServer/pool",
        "\"192.168.9.20-192.168.9.30\"",
        "/setUps/0/boxes/0/dhcpServer/pool",
        "does not lie inside 192.168.8.0/24"
    )]
    [InlineData(
        "/setUps/0/boxes/0/guest",
        "{\"name\":\"g\",\"security\":\"wpa2\",\"lan\":\"192.168.8.1/24\",\"pool\":\"192.168.8.2-192.168.8.9\"}",
        "/setUps/0/boxes/0/guest/lan",
        "subnet of their own"
    )]
    [InlineData(
        "/setUps/0/boxes/0/guest",
        "{\"name\":\"g\",\"security\":\"open\",\"password\":\"k\",\"lan\":\"192.168.30.1/24\",\"pool\":\"192.168.30.2-192.168.30.9\"}",
        "/setUps/0/boxes/0/guest/password",
        "an open network has no password"
    )]
    [InlineData(
        "/setUps/0/boxes/2/guest",
        "{\"name\":\"g\",\"security\":\"wpa2\",\"lan\":\"192.168.30.1/24\",\"pool\":\"192.168.30.2-192.168.30.9\"}",
        "/setUps/0/boxes/2/guest",
        "only a router has a guest network"
    )]
    [InlineData("/setUps/0/boxes/0/forwards/0/to", "\"192.168.8.020\"", "/setUps/0/boxes/0/forwards/0/to", "leading zeros")]
    [InlineData("/setUps/0/boxes/0/radios/0/radio", "\"r5\"", "/setUps/0/boxes/0/radios/1/radio", "used once")]
    [InlineData("/setUps/0/boxes/2/forwards", "[]", "/setUps/0/boxes/2/forwards", "only a router")]
    [InlineData("/setUps/0/boxes/2/page/gateway", "\"x\"", "/setUps/0/boxes/2/page/gateway", "four")]
    [InlineData("/setUps/0/boxes/2/page/address", "\"127.0.0.1/8\"", "/setUps/0/boxes/2/page/address", "no host can have it")]
    [InlineData("/setUps/0/cables/0/from", "\"hall-gateway/lan9\"", "/setUps/0/cables/0/from", "a port of a box in use")]
    [InlineData("/setUps/0/cables/1/from", "\"hall-gateway/wan\"", "/setUps/0/cables/3/to", "used once")]
    [InlineData("/setUps/0/cables/1/lengthMetres", "-1", "/setUps/0/cables/1/lengthMetres", "at least 0.01")]
    [InlineData("/setUps/0/devices/0/address/gateway", "\"192.168.8.1\"", "/setUps/0/devices/0/address/gateway", "only a fixed host")]
    [InlineData("/setUps/0/devices/2/wifi/box", "\"missing\"", "/setUps/0/devices/2/wifi/box", "a box of this site")]
    [InlineData("/setUps/0/devices/2/wifi/name", "\"ääääääääääääääääää\"", "/setUps/0/devices/2/wifi/name", "1 to 32 bytes")]
    [InlineData("/setUps/0/devices", "{}", "/setUps/0/devices", "a list is expected")]
    public void Bad_places_are_named_with_what_may_stand_there(string at, string? value, string pointer, string says)
    {
        var root = JsonNode.Parse(Samples.Text("pottery-house.json"))!;
        var steps = at.Split('/')[1..];
        var parent = steps[..^1].Aggregate(root, (n, s) => int.TryParse(s, out var i) ? n[i]! : n[s]!);
        if (value is null)
        {
            parent.AsObject().Remove(steps[^1]);
        }
        else if (parent is JsonArray list)
        {
            list[int.Parse(steps[^1])] = JsonNode.Parse(value);
        }
        else
        {
            parent[steps[^1]] = JsonNode.Parse(value);
        }
        var read = DesignFile.Read(root.ToJsonString());
        Assert.Null(read.Value);
        Assert.Contains(read.Errors, e => e.Pointer == pointer && e.ToString().Contains(says, StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("", "found nothing")]
    [InlineData("{", "line 1, column 2")]
    [InlineData("{\"format\":\"altrin-design\",\n\"format\":1}", "not JSON")]
    [InlineData("[]", "a design file says")]
    [InlineData("{\"format\":7}", "a design file says")]
    public void What_is_no_design_file_is_said_so(string text, string says) =>
        Assert.Contains(says, DesignFile.Read(text).Errors[0].ToString());

    [Fact]
    public void Depth_size_and_encoding_have_limits()
    {
        Assert.Contains("32 deep", DesignFile.Read(new string('[', 100)).Errors[0].ToString());
        Assert.Contains("at most 2097152", DesignFile.Read(new byte[DesignFile.MostBytes + 1]).Errors[0].ToString());
        Assert.Contains("not UTF-8", DesignFile.Read([0x7b, 0xff, 0x7d]).Errors[0].ToString());
        Assert.NotNull(
            DesignFile.Read([.. Encoding.UTF8.Preamble, .. Encoding.UTF8.GetBytes(Samples.Text("t02-access-point-mode.json"))]).Value
        );
    }

    [Fact]
    public void At_most_twenty_errors_are_listed()
    {
        var root = JsonNode.Parse(Samples.Text("pottery-house.json"))!;
        root["site"]!["devices"] = new JsonArray([.. Enumerable.Range(0, 30).Select(_ => (JsonNode)new JsonObject())]);
        Assert.Equal(20, DesignFile.Read(root.ToJsonString()).Errors.Count);
    }

    /// <summary>Whatever bytes of a good file are damaged, the answer is a home or errors, never an exception.</summary>
    [Fact]
    public void Damaged_files_are_answered()
    {
        var good = Encoding.UTF8.GetBytes(Samples.Text("pottery-house.json"));
        var dice = new Random(5080);
        for (var i = 0; i < 300; i++)
        {
            var damaged = (byte[])good.Clone();
            for (var n = dice.Next(1, 4); n > 0; n--)
            {
                damaged[dice.Next(damaged.Length)] = (byte)"{}[]\",:0a\\ "[dice.Next(11)];
            }
            var read = DesignFile.Read(damaged);
            Assert.True(read.Value is null == read.Errors.Count > 0, $"damage {i}");
        }
    }
}
