using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

public sealed class VersionTests
{
    public static TheoryData<int> Past => [.. Enumerable.Range(1, DesignDocument.NewestVersion - 1)];

    /// <summary>
    /// One file of every past version is kept as it was written then; it reads, proves and is written in the newest version.
    /// </summary>
    [Theory]
    [MemberData(nameof(Past))]
    public void A_file_of_a_past_version_still_reads(int version)
    {
        var text = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Versions", $"version-{version}.json"));
        Assert.Contains($"\"formatVersion\": {version},", text, StringComparison.Ordinal);
        var read = DesignFile.Read(text);
        Assert.True(read.Value is not null, string.Join("; ", read.Errors));
        Assert.Contains($"\"formatVersion\": {DesignDocument.NewestVersion},", DesignFile.Write(read.Value), StringComparison.Ordinal);
        Assert.Equal(VerdictKind.WillNotWork, Judging.Prove(read.Value.Design("found")!).Verdict.Kind);
    }

    [Fact]
    public void What_is_wrong_with_an_old_file_is_still_said_where_it_is()
    {
        var text = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Versions", "version-1.json"))
            .Replace("\"naming\": \"oneName\"", "\"naming\": \"none\"", StringComparison.Ordinal);
        Assert.Equal("/site/naming", Assert.Single(DesignFile.Read(text).Errors).Pointer);
    }

    [Fact]
    public void What_version_7_calls_otherwise_is_kept()
    {
        var home = DesignFile.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Versions", "version-6.json"))).Value!;
        var label = home.Site.Boxes.First(b => b.Id == "loft-router").Label;
        Assert.Equal((Known.Yes, new DateOnly(2027, 6, 30)), (label.Supported, label.SupportedUntil));
        var accepted = Assert.Single(home.Design("found")!.SetUp.Accepted);
        Assert.Equal("double-nat(loft-router)", accepted.Finding);
        Assert.Contains(Judging.Prove(home.Design("found")!).Findings, f => f.Identity == accepted.Finding && f.Accepted == accepted);
    }

    /// <summary>Nothing but words changed: what version 7 holds is what version 8 holds.</summary>
    [Fact]
    public void What_version_8_calls_otherwise_is_kept()
    {
        var text = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Versions", "version-7.json"));
        var after = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Versions", "version-8.json"));
        Assert.Equal(DesignFile.Write(DesignFile.Read(after).Value!), DesignFile.Write(DesignFile.Read(text).Value!));
        var other = text.Replace("\"kind\": \"publicDynamic\"", "\"kind\": \"carrierTranslation\"", StringComparison.Ordinal);
        Assert.IsType<CarrierNat>(DesignFile.Read(other).Value!.Site.Service);
    }

    /// <summary>Nothing but a word changed in what version 12 knows beside pages: passing an address on by MAC address.</summary>
    [Fact]
    public void What_version_12_calls_otherwise_is_kept()
    {
        var now = DesignFile.Write(Samples.Home("t10-pass-through.json"));
        Assert.Equal(2, now.Split("\"macAddress\"").Length - 1);
        var before = now.Replace("\"macAddress\"", "\"hardware\"", StringComparison.Ordinal);
        Assert.Equal("/site/boxes/0/profile/passes/0", DesignFile.Read(before).Errors[0].Pointer);
        var old = before.Replace($"\"formatVersion\": {DesignDocument.NewestVersion}", "\"formatVersion\": 11", StringComparison.Ordinal);
        Assert.Equal(now, DesignFile.Write(DesignFile.Read(old).Value!));

        var shelf = ProfileFile.Write(ProfileFile.BuiltIn.Profiles);
        var first = shelf
            .Replace("\"macAddress\"", "\"hardware\"", StringComparison.Ordinal)
            .Replace($"\"formatVersion\": {ProfilesDocument.NewestVersion}", "\"formatVersion\": 1", StringComparison.Ordinal);
        Assert.NotEqual(shelf, first);
        Assert.Equal(shelf, ProfileFile.Write(ProfileFile.Read(first).Value!.Profiles));
    }

    /// <summary>A file that holds a word of before and the one of today says two things: neither is dropped.</summary>
    [Theory]
    [InlineData(6, "\"mended\": true", "\"supported\": false", "mended")]
    [InlineData(7, "\"hardware\": \"00:00:5e:00:53:01\"", "\"mac\": \"00:00:5e:00:53:71\"", "hardware")]
    public void A_file_with_both_words_is_refused(int version, string before, string now, string word)
    {
        var text = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Versions", $"version-{version}.json"));
        Assert.Contains(before, text, StringComparison.Ordinal);
        foreach (var both in new[] { $"{before}, {now}", $"{now}, {before}" })
        {
            var error = DesignFile.Read(text.Replace(before, both, StringComparison.Ordinal)).Errors[0];
            Assert.Contains($"unknown member '{word}'", error.Found, StringComparison.Ordinal);
        }
    }

    [Fact]
    public void Accepted_findings_go_through_a_file()
    {
        var home = Samples.Home("pottery-house.json");
        var setUp = home.SetUps[0] with
        {
            Accepted = [new("double-nat(loft-router)", true, "The lodger wants to be apart.", "A. Installer")],
        };
        Assert.Equal(setUp.Accepted, DesignFile.Read(DesignFile.Write(home.With(setUp))).Value!.SetUps[0].Accepted);
    }
}
