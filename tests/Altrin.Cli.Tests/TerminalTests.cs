using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Altrin.Cli.Tests.TerminalRun;

namespace Altrin.Cli.Tests;

public sealed class TerminalTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("altrin-cli-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(_folder, recursive: true);
    }

    [Theory]
    [InlineData("pottery-house.json", false, ExitCode.Findings)]
    [InlineData("t01-access-point-by-hand.json", true, ExitCode.Sound)]
    [InlineData("t03-cascade.json", false, ExitCode.Sound)]
    [InlineData("t03-cascade.json", true, ExitCode.Findings)]
    public void The_status_follows_from_the_findings(string sample, bool strict, int status) =>
        Assert.Equal(status, Run(null, strict ? ["prove", Sample(sample), "--strict"] : ["prove", Sample(sample)]).Status);

    [Fact]
    public void Tables_say_the_verdict_the_findings_and_the_facts()
    {
        var (_, output, errors) = Run(null, "prove", Sample("pottery-house.json"));
        Assert.Empty(errors);
        Assert.All(
            new[]
            {
                "Will not work.",
                "Loft router has 192.168.8.0/24 on both sides",
                "cure: Set Loft router to access-point mode (settles 6)",
                "Who reaches whom",
                "192.168.8.20 to 192.168.8.199",
                "Loft router, then Hall gateway",
            },
            part => Assert.Contains(part, output, StringComparison.Ordinal)
        );
        Assert.DoesNotContain('\e', output);
    }

    [Fact]
    public void An_evening_is_played_step_by_step()
    {
        var (home, acts) = (Sample("t01-access-point-by-hand.json"), Sample("evenings/t01-access-point-by-hand.json"));
        var (status, output, errors) = Run(null, "play", home, acts);
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        Assert.All(
            new[]
            {
                "11  00:07:50  Plug the laptop into port 1 of Upstairs router  20 seconds",
                "Page at 192.168.1.1: Upstairs router",
                "- admin password: the password router-page",
                "ready in 1 minute 20 seconds (1 minute to 2 minutes)",
                "Devices without internet: Study computer",
                "The changes alone take 5 minutes 45 seconds of work at least: 4 saves, 2 cables plugged in or out, 1 box",
                "the home is as planned.",
            },
            part => Assert.Contains(part, output, StringComparison.Ordinal)
        );
        var ifNot = Run(null, "play", home, acts, "--if-not", "11");
        Assert.Equal(ExitCode.Sound, ifNot.Status);
        Assert.Contains("The laptop is in port in of Upstairs router. Move it to port 1", ifNot.Output, StringComparison.Ordinal);
        Assert.Contains("Laptop, cable: 169.254.x.x of its own", ifNot.Output, StringComparison.Ordinal);
        var late = Run(null, "play", home, acts, "--if-not", "27").Output;
        Assert.Contains("Shows nothing here; step 29 shows it.", late, StringComparison.Ordinal);
        Assert.Contains("\"wayOut\"", Run(null, "play", home, acts, "--if-not", "11", "--json").Output, StringComparison.Ordinal);
        Assert.Equal(ExitCode.BadInput, Run(null, "play", home, acts, "--if-not", "43").Status);
        using var json = JsonDocument.Parse(Run(null, "play", home, acts, "--json").Output);
        Assert.True(json.RootElement.GetProperty("whole").GetBoolean());
        var step = json.RootElement.GetProperty("steps")[10];
        Assert.Equal(470, step.GetProperty("step").GetProperty("beginsAt").GetInt64());
        Assert.Equal(
            "192.168.1.1",
            step.GetProperty("sees").GetProperty("adapters")[0].GetProperty("address").GetProperty("gateway").GetString()
        );
    }

    /// <summary>What the laptop printed on an evening is held against that moment, not against the home at rest.</summary>
    [Fact]
    public void A_reading_is_held_against_the_moment_of_an_evening()
    {
        const string text =
            "2: eth0: <UP>\n    inet 192.168.8.250/24 brd 192.168.8.255 scope global eth0\ndefault via 192.168.8.1 dev eth0\n";
        var (home, acts) = (Sample("pottery-house.json"), Sample("evenings/pottery-house.json"));
        string Read(string step) => Run(text, "read", "-", "--home", home, "--acts", acts, "--step", step).Output;
        Assert.Contains("Agrees    eth0 has 192.168.8.250/24. Recorded: 192.168.8.250/24.", Read("2"), StringComparison.Ordinal);
        Assert.Contains(
            "Disagrees eth0 has 192.168.8.250/24. Recorded: one of 192.168.8.20 to 192.168.8.199 /24 from Loft router.",
            Read("32"),
            StringComparison.Ordinal
        );
        Assert.Contains("Agrees    Its gateway is 192.168.8.1 (Loft router).", Read("32"), StringComparison.Ordinal);
        Assert.Equal(ExitCode.BadInput, Run(text, "read", "-", "--home", home, "--acts", acts, "--step", "66").Status);
        Assert.Equal(ExitCode.BadInput, Run(text, "read", "-", "--home", home, "--acts", home).Status);
        var odd = Run(text, "read", "-", "--home", home, "--acts", acts, "--step", "two");
        Assert.Equal((ExitCode.BadInput, "altrin: --step is the number of an act, not 'two'."), (odd.Status, odd.Errors.Split('\n')[0]));
        Assert.All(
            new[]
            {
                (string[])["--home", home, "--step", "2"],
                ["--acts", acts],
                ["--home", home, "--acts", acts, "--at", "printer"],
                ["--home", home, "--acts", acts, "--set-up", "found"],
            },
            words => Assert.Equal(ExitCode.BadInput, Run(text, ["read", "-", .. words]).Status)
        );
        var both = Run(null, "look", home, "--at", "hall-gateway/lan4+hall-gateway/r5", "--to", "192.168.8.1").Output;
        Assert.Contains("At the laptop, by cable and Wi-Fi", both, StringComparison.Ordinal);
        Assert.Contains("Ping 192.168.8.1: by luck: The laptop has two ways to 192.168.8.1", both, StringComparison.Ordinal);
    }

    [Fact]
    public void What_is_refused_or_broken_on_an_evening_is_said_and_gives_a_status()
    {
        const string acts = """
            { "format": "altrin-acts", "formatVersion": 1, "acts": [
              { "act": "openPage", "box": "hall-gateway" },
              { "act": "powerOn", "id": "upstairs-router" },
              { "act": "patch", "a": "hall-gateway/lan1", "b": "upstairs-router/lan1" },
              { "act": "wait", "seconds": 300 }
            ] }
            """;
        var (status, output, _) = Run(acts, "play", Sample("t01-access-point-by-hand.json"), "-");
        Assert.Equal(ExitCode.Findings, status);
        Assert.Contains(
            "refused: The page of Hall gateway does not open at 192.168.8.1: The laptop is in its bag.",
            output,
            StringComparison.Ordinal
        );
        Assert.Contains("BREAKS 4 one-router-per-address: Two DHCP servers answer", output, StringComparison.Ordinal);
        Assert.Contains("BREAKS 12 passwords", output, StringComparison.Ordinal);
        Assert.Contains("Not as planned: ", output, StringComparison.Ordinal);
        Assert.Contains("1 act was refused, ", output, StringComparison.Ordinal);
        Assert.Equal(ExitCode.BadInput, Run("{}", "play", Sample("t01-access-point-by-hand.json"), "-").Status);
        var elsewhere = acts.Replace("\"acts\"", "\"from\": \"nowhere\", \"acts\"", StringComparison.Ordinal);
        Assert.Equal(ExitCode.BadInput, Run(elsewhere, "play", Sample("t01-access-point-by-hand.json"), "-").Status);
        var (_, told, _) = Run(
            acts.Replace("\"acts\"", "\"ways\": { \"touchesDevices\": false }, \"acts\"", StringComparison.Ordinal)
                .Replace(
                    "\"wait\", \"seconds\": 300",
                    "\"deviceJoins\", \"device\": \"family-phone\", \"wifi\": { \"box\": \"upstairs-router\", \"name\": \"x\", \"password\": null }",
                    StringComparison.Ordinal
                ),
            "play",
            Sample("t01-access-point-by-hand.json"),
            "-"
        );
        Assert.Contains(
            "not your way: Family phone is touched, which the customer's devices should not be.",
            told,
            StringComparison.Ordinal
        );
        Assert.Equal(ExitCode.BadInput, Run(null, "play", Sample("t01-access-point-by-hand.json"), "nothing.json").Status);
    }

    [Fact]
    public void A_reading_is_read_and_held_against_a_home()
    {
        var text = "192.168.8.1 dev eth0 lladdr 00:00:5e:00:53:01 REACHABLE\nthe kettle is on\n";
        var (status, output, errors) = Run(
            text,
            "read",
            "-",
            "--home",
            Sample("pottery-house.json"),
            "--at",
            "hall-gateway/lan4",
            "--set-up",
            "found"
        );
        Assert.Equal((ExitCode.Sound, ""), (status, errors));
        Assert.Contains("Agrees    00:00:5e:00:53:01 at 192.168.8.1: Hall gateway.", output, StringComparison.Ordinal);
        Assert.Contains("unread    2: the kettle is on", output, StringComparison.Ordinal);
        using var json = JsonDocument.Parse(Run(text, "read", "-", "--json").Output);
        Assert.Equal(
            "192.168.8.1",
            json.RootElement.GetProperty("reading").GetProperty("neighbours")[0].GetProperty("address").GetString()
        );
        var file = Path.Combine(_folder, "cut.pcap");
        File.WriteAllBytes(file, [0xD4, 0xC3, 0xB2, 0xA1, 2, 0]);
        var cut = Run(null, "read", file);
        Assert.Equal(ExitCode.BadInput, cut.Status);
        Assert.StartsWith("0 lines: nothing understood", cut.Output, StringComparison.Ordinal);
        var other = Run("Dear Sir\n", "read", "-");
        Assert.Equal(ExitCode.BadInput, other.Status);
        Assert.Contains("unread    1: Dear Sir", other.Output, StringComparison.Ordinal);
        Assert.StartsWith("altrin: nothing of standard input is understood.", other.Errors, StringComparison.Ordinal);
        Assert.Equal(ExitCode.BadInput, Run(null, "read", Path.Combine(_folder, "none")).Status);
        Assert.Equal(ExitCode.BadInput, Run(new('x', 1_000_001), "read", "-").Status);
    }

    [Fact]
    public void Speed_runs_are_judged_by_place_medium_and_other_end()
    {
        var runs = string.Concat(Enumerable.Repeat(",hall,cable,,30,,141.5,,\n", 3).Append(",hall,cable,,30,,93,91,printer\n"));
        var output = Run(
            $"time,place,by,tool,seconds,megabytes,down,up,to\n{runs}",
            "read",
            "-",
            "--home",
            Sample("pottery-house.json"),
            "--at",
            "hall-gateway/lan4"
        ).Output;
        Assert.Contains(
            "Speed     Hall, by cable: 141.5 (141.5 to 141.5) Mb/s down, 3 of 3 runs count.\n",
            output,
            StringComparison.Ordinal
        );
        Assert.Contains("          The service stops it: 150 Mb/s were sold.", output, StringComparison.Ordinal);
        Assert.Contains(
            "Speed     Hall, by cable, to Printer: 93 (93 to 93) Mb/s down, 91 (91 to 91) Mb/s up, 1 of 1 run counts.\n",
            output,
            StringComparison.Ordinal
        );
        Assert.Contains("          Less than arrives over port 4 of Hall gateway, 940 Mb/s", output, StringComparison.Ordinal);
    }

    [Fact]
    public void Whose_word_it_is_that_a_finding_may_stay_is_printed()
    {
        var home = File.ReadAllText(Sample("t03-cascade.json"))
            .Replace(
                "\"name\": \"planned\",",
                "\"name\": \"planned\", \"accepted\": [{ \"finding\": \"double-nat(lodger-router)\", \"severe\": false, \"reason\": \"The lodger wants it.\", \"by\": \"A. Installer\" }],",
                StringComparison.Ordinal
            );
        var (_, output, errors) = Run(home, "prove", "-");
        Assert.Empty(errors);
        Assert.Contains("accepted by A. Installer: The lodger wants it.", output, StringComparison.Ordinal);
    }

    [Fact]
    public void Standard_input_and_JSON_give_the_same_proof()
    {
        using var piped = JsonDocument.Parse(
            Run(File.ReadAllText(Sample("pottery-house.json")), "prove", "-", "--json", "--set-up", "found").Output
        );
        Assert.Equal(
            ("altrin-proof", "found", "willNotWork"),
            (
                piped.RootElement.GetProperty("format").GetString(),
                piped.RootElement.GetProperty("setUp").GetString(),
                piped.RootElement.GetProperty("verdict").GetProperty("kind").GetString()
            )
        );
    }

    [Fact]
    public void What_is_off_is_taken_to_be_off() =>
        Assert.Contains(
            "3 of 3 devices have no internet",
            Run(null, "prove", Sample("t02-access-point-mode.json"), "--off", "hall-gateway").Output,
            StringComparison.Ordinal
        );

    [Theory]
    [InlineData("there is no set-up 'else'; there is found, planned", "--set-up", "else")]
    [InlineData("no box, device or cable 'else'", "--off", "else")]
    [InlineData("--else", "--else")]
    public void Bad_words_are_told_on_standard_error(string says, params string[] words)
    {
        var (status, output, errors) = Run(null, ["prove", Sample("t02-access-point-mode.json"), .. words]);
        Assert.Equal((ExitCode.BadInput, ""), (status, output));
        Assert.Contains(says, errors, StringComparison.Ordinal);
    }

    [Fact]
    public void A_bad_file_is_told_place_by_place()
    {
        var (status, output, errors) = Run("{\"format\":\"altrin-design\",\"formatVersion\":1,\"setUps\":[]}", "prove", "-");
        Assert.Equal((ExitCode.BadInput, ""), (status, output));
        Assert.Contains("'site' is required", errors, StringComparison.Ordinal);
        Assert.Equal(ExitCode.BadInput, Run(null, "prove", Path.Combine(_folder, "missing.json")).Status);
        Assert.Equal(ExitCode.BadInput, Run(null, "prove").Status);
    }

    [Theory]
    [InlineData("is a folder; a file is expected", "prove", "FOLDER")]
    [InlineData("is a folder; a file is expected", "read", "FOLDER")]
    [InlineData("there is no file", "read", "FOLDER/missing")]
    [InlineData("the name of a file is expected", "prove", "")]
    [InlineData("there is no file", "restore", "FOLDER/missing")]
    [InlineData("there is no file", "restore", "FOLDER")]
    [InlineData("is a folder; give the name of a file", "backup", "FOLDER", "--data", "DATA")]
    [InlineData("Nothing can be made there", "backup", "FOLDER/missing/b.zip", "--data", "DATA")]
    [InlineData("needs a path", "restore", "DATA/altrin.db", "--data", "")]
    [InlineData("it is damaged, or no zip file", "restore", "DATA/altrin.db", "--data", "FOLDER")]
    [InlineData("Required command was not provided")]
    [InlineData("Unrecognized command", "toast")]
    public void Whatever_cannot_be_taken_has_the_status_of_bad_input(string says, params string[] args)
    {
        var data = Directory.CreateDirectory(Path.Combine(_folder, "data")).FullName;
        File.WriteAllText(Path.Combine(data, "altrin.db"), "no database");
        var folder = Directory.CreateDirectory(Path.Combine(_folder, "folder")).FullName;
        var (status, _, errors) = Run(
            null,
            [.. args.Select(a => a.Replace("FOLDER", folder, StringComparison.Ordinal).Replace("DATA", data, StringComparison.Ordinal))]
        );
        Assert.Equal(ExitCode.BadInput, status);
        Assert.Contains(says, errors, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", errors, StringComparison.Ordinal);
    }

    [Fact]
    public void A_fault_of_ours_has_a_status_of_its_own()
    {
        using var broken = new BrokenStream();
        using var errors = new StringWriter();
        Assert.Equal(ExitCode.Fault, Terminal.Run(["prove", "-"], broken, TextWriter.Null, errors, plain: true));
        Assert.Contains("a fault of the program", errors.ToString(), StringComparison.Ordinal);
    }

    [Fact]
    public void Backups_are_written_and_refused_in_words()
    {
        Assert.Contains("no database", Run(null, "backup", "--data", _folder).Errors, StringComparison.Ordinal);
        Assert.Equal(ExitCode.BadInput, Run(null, "backup", "--data", Path.Combine(_folder, "missing")).Status);
        using (var database = new SqliteConnection($"Data Source={Path.Combine(_folder, "altrin.db")}"))
        {
            database.Open();
            using var command = database.CreateCommand();
            command.CommandText = "CREATE TABLE kept (x); INSERT INTO kept VALUES (7)";
            command.ExecuteNonQuery();
        }
        var file = Path.Combine(_folder, "b.zip");
        Assert.Equal(ExitCode.Sound, Run(null, "backup", file, "--data", _folder).Status);
        SqliteConnection.ClearAllPools();
        var fresh = Path.Combine(_folder, "fresh");
        var refused = Run(null, "restore", file, "--data", fresh);
        Assert.Equal(ExitCode.BadInput, refused.Status);
        Assert.Contains("holds no jobs of Altrin. Nothing was changed.", refused.Errors, StringComparison.Ordinal);
        Assert.False(File.Exists(Path.Combine(fresh, "altrin.db")));
    }

    private sealed class BrokenStream : MemoryStream
    {
        public override int Read(byte[] buffer, int offset, int count) => throw new InvalidOperationException("broken");
    }
}
