using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Formats.Tests;

public sealed class SurveyTableTests
{
    private static readonly Shelf Shelf = ProfileFile.BuiltIn;

    private static HomeFile Demo => Samples.Home("pottery-house.json");

    private static FileRead<HomeFile> Read(SurveyTable table, string text, HomeFile? home = null) =>
        SurveyTables.Read(table, text, home ?? Demo, Shelf);

    /// <summary>A table that is read into the home that it was written of changes nothing.</summary>
    [Fact]
    public void What_was_written_reads_back_to_the_same_home()
    {
        for (var seed = 1; seed <= 40; seed++)
        {
            var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 8), seed);
            // What is on no shelf has no kind that a table could name.
            var home = new HomeFile(
                design.Site with
                {
                    Boxes = [.. design.Site.Boxes.Select(b => b with { Name = seed % 3 == 0 ? $"=1+{b.Name}, \"quoted\"" : b.Name })],
                },
                [design.SetUp with { Name = "found" }]
            );
            foreach (var table in Enum.GetValues<SurveyTable>())
            {
                var text = SurveyTables.Write(table, home);
                var read = Read(table, text, home);
                Assert.True(read.Value is not null, $"seed {seed}, {table}: {string.Join("; ", read.Errors)}");
                Assert.Equal(DesignFile.Write(home), DesignFile.Write(read.Value));
            }
        }
    }

    /// <summary>All four tables, read into an empty home one after another, say the same again.</summary>
    [Fact]
    public void Tables_carry_a_survey_into_an_empty_home()
    {
        var home = new HomeFile(
            new("Home", Demo.Site.Service with { HandOff = null }, NamingSchool.OneName, [], [], []),
            [new("found", [], [], [])]
        );
        foreach (var table in new[] { SurveyTable.Places, SurveyTable.Gear, SurveyTable.Devices })
        {
            var read = Read(table, SurveyTables.Write(table, Demo), home);
            Assert.True(read.Value is not null, $"{table}: {string.Join("; ", read.Errors)}");
            home = read.Value;
        }
        // The runs in the walls are in no table.
        var cables = SurveyTables.Write(SurveyTable.Cables, Demo).Replace("hall-to-loft", "", StringComparison.Ordinal);
        home = Read(SurveyTable.Cables, cables, home).Value!;
        Assert.Equal(SurveyTables.Write(SurveyTable.Places, Demo), SurveyTables.Write(SurveyTable.Places, home));
        Assert.Equal(Rows(SurveyTables.Write(SurveyTable.Devices, Demo), 8), Rows(SurveyTables.Write(SurveyTable.Devices, home), 8));
        Assert.Equal(Rows(SurveyTables.Write(SurveyTable.Gear, Demo), 3), Rows(SurveyTables.Write(SurveyTable.Gear, home), 3));
        Assert.Equal(Rows(cables, 4), Rows(SurveyTables.Write(SurveyTable.Cables, home), 4));
    }

    /// <summary>The first cells of each row, cables by their ends.</summary>
    private static IEnumerable<string> Rows(string table, int cells) =>
        table
            .Split("\r\n", StringSplitOptions.RemoveEmptyEntries)
            .Select(r => string.Join(',', r.Split(',').Skip(table.StartsWith("id,from", StringComparison.Ordinal) ? 1 : 0).Take(cells)))
            .Order(StringComparer.Ordinal);

    /// <summary>Opened by whatever separator, no cell is a formula; and what was there comes back.</summary>
    [Theory]
    [InlineData("=1+1")]
    [InlineData("'=1+1")]
    [InlineData("''=1+1")]
    [InlineData("Clock;=1+1")]
    [InlineData("Clock,@sum")]
    [InlineData("Clock;'=1+1;-2")]
    [InlineData("Clock|+49|'")]
    [InlineData("'quoted'")]
    [InlineData("-1 \"x\";=\"y\"")]
    public void No_cell_begins_a_formula_behind_any_separator(string name)
    {
        var home = Demo with
        {
            Site = Demo.Site with { Devices = [Demo.Site.Devices[0] with { Name = name }, .. Demo.Site.Devices.Skip(1)] },
        };
        var text = SurveyTables.Write(SurveyTable.Devices, home);
        Assert.DoesNotMatch("(^|[,;|\t\"\r\n])[=@+]", text);
        Assert.Equal(name, Read(SurveyTable.Devices, text, home).Value!.Site.Devices[0].Name);
    }

    [Theory]
    [InlineData(SurveyTable.Places, "name;floor;length m\nLarder;1;2.5\nHall;0;", "Larder", "larder")]
    [InlineData(SurveyTable.Devices, "name\tplace\tbands\nLarder clock\tkitchen\t2.4", "Larder clock", "larder-clock")]
    [InlineData(SurveyTable.Gear, "\uFEFFName,Kind,In use\r\nSpare,desk-switch-5,no\r\n", "Spare", "spare")]
    public void Other_separators_and_missing_columns_are_taken(SurveyTable table, string text, string name, string id)
    {
        var read = Read(table, text);
        Assert.True(read.Value is not null, string.Join("; ", read.Errors));
        Assert.Equal(name, new Design(read.Value.Site, read.Value.Foremost).NameOf(id));
    }

    // Table, text, where the error is, what it says.
    [Theory]
    [InlineData(SurveyTable.Gear, "", "row 1", "a first row with the heads")]
    [InlineData(SurveyTable.Gear, "name,colour\nA,red", "row 1, column 2", "allowed: id, name, kind")]
    [InlineData(SurveyTable.Gear, "kind\ndesk-router", "row 1", "a column 'name' is required")]
    [InlineData(SurveyTable.Gear, "name,name\nA,B", "row 1, column 2", "used once")]
    [InlineData(SurveyTable.Gear, "name,kind\nA,teapot", "row 2, column kind", "an entry of the shelf")]
    [InlineData(SurveyTable.Gear, "name\nA", "row 2, column kind", "required for a new box")]
    [InlineData(SurveyTable.Gear, "name,kind,mac\nA,desk-router,01:00:5e:00:00:01", "row 2, column mac", "group address")]
    [InlineData(SurveyTable.Gear, "name,kind,address\nA,desk-router,192.168.1.1/255.255.255.255.0", "row 2, column address", "5 groups")]
    [InlineData(SurveyTable.Gear, "name,kind,in use\nA,desk-router,perhaps", "row 2, column in use", "yes or no")]
    [InlineData(SurveyTable.Gear, "name,kind,supported until\nA,desk-router,31.3.27", "row 2, column supported until", "2027-03-31")]
    [InlineData(SurveyTable.Gear, "name,kind,place\nA,desk-router,moon", "row 2, column place", "id or name of a place")]
    [InlineData(SurveyTable.Gear, "id,name,kind\nstreet,A,desk-router", "row 2", "not 'street'")]
    [InlineData(SurveyTable.Gear, "id,name,kind\nprinter,A,desk-router", "row 2", "used already")]
    [InlineData(SurveyTable.Places, "name,walls\nLar\"der,brick", "row 2", "RFC 4180")]
    [InlineData(SurveyTable.Devices, "name,link\nKiln controller,wifi", "row 2", "names no Wi-Fi")]
    [InlineData(SurveyTable.Devices, "name,link\nClock,hall-gateway/lan9", "row 2", "no port 'hall-gateway/lan9'")]
    [InlineData(SurveyTable.Places, "name,walls\nA,paper", "row 2, column walls", "unknown, light, brick")]
    [InlineData(SurveyTable.Places, "name,floor\nA,high", "row 2, column floor", "whole number")]
    [InlineData(SurveyTable.Places, "name,length m\nA,wide\nB,-1", "row 2, column length m", "metres such as 4.5")]
    [InlineData(SurveyTable.Places, "name,floor\nA,1,2", "row 2", "at most 2")]
    [InlineData(SurveyTable.Devices, "name,bands\nA,2.4 7", "row 2, column bands", "2.4 5 6")]
    [InlineData(SurveyTable.Cables, "from,to\nhall-gateway/lan9,printer", "row 2", "no port 'hall-gateway/lan9'")]
    [InlineData(SurveyTable.Cables, "from,to,pairs\nhall-gateway/lan4,street,3", "row 2", "2 or 4 pairs")]
    public void Errors_name_row_and_column_and_nothing_is_taken(SurveyTable table, string text, string where, string says)
    {
        var read = Read(table, text);
        Assert.Null(read.Value);
        Assert.Equal(where, read.Errors[0].Pointer);
        Assert.Contains(says, read.Errors[0].Allowed, StringComparison.Ordinal);
    }

    [Fact]
    public void What_a_row_says_of_use_place_and_link_is_done_and_an_empty_cell_leaves_what_is_there()
    {
        var home = Read(
            SurveyTable.Gear,
            "name,in use,place\nOld router from the cellar,no,kitchen\nStudio access point,no,loft-room\nHall gateway,,kitchen"
        ).Value!;
        Assert.Equal(
            ("kitchen", "loft-room", "kitchen"),
            (
                home.Site.Boxes[3].Place,
                home.Site.Boxes[2].Place,
                home.Design("found")!.SetUp.Boxes.First(b => b.Box == "hall-gateway").Place
            )
        );
        Assert.Null(home.Design("found")!.Mode("studio-point"));
        Assert.NotNull(Read(SurveyTable.Gear, "name,in use\nStudio access point,yes", home).Value!.Design("found")!.Mode("studio-point"));
        var moved = Read(SurveyTable.Devices, "name,link\nPrinter,loft-router/lan4\nWall clock,hall-gateway/lan4").Value!.Design("found")!;
        Assert.Equal("printer", moved.CableAt(new("loft-router", "lan4"))!.OtherEnd(new("loft-router", "lan4")).Owner);
        Assert.Equal("wall-clock", moved.CableAt(new("hall-gateway", "lan4"))!.OtherEnd(new("hall-gateway", "lan4")).Owner);
        var cable = Read(SurveyTable.Cables, "from,to,length m\nhall-gateway/lan3,printer,7")
            .Value!.Design("found")!
            .CableAt(PortRef.OfDevice("printer"))!;
        Assert.Equal((Medium.Cat5e, 7.0), (cable.Medium, cable.LengthMetres!.Value));
    }

    /// <summary>Whatever corrections and changes of kind make of a home, its file reads back.</summary>
    [Fact]
    public void A_corrected_home_can_be_written_and_read()
    {
        for (var seed = 1; seed <= 60; seed++)
        {
            var dice = new Random(seed);
            var design = SurveyGenerator.Survey(DesignGenerator.Make(seed, 6), seed);
            var home = new HomeFile(design.Site, [design.SetUp with { Name = "found" }]);
            for (var i = 0; i < 30; i++)
            {
                var correction = CorrectionGenerator.Make(dice, home, Shelf);
                var done = correction.ApplyTo(home, Shelf);
                home = done.Ok ? done.Value : home;
                var errors = done.Ok ? DesignFile.Read(DesignFile.Write(home)).Errors : [];
                Assert.True(errors.Count == 0, $"seed {seed}, {i}, {correction}: {string.Join("; ", errors)}");
            }
        }
    }

    [Fact]
    public void A_row_of_cables_pulls_what_was_in_its_ports()
    {
        var home = Read(SurveyTable.Cables, "from,to,medium\nhall-gateway/lan3,house-laptop,cat6").Value!;
        var found = home.Design("found")!;
        Assert.Null(found.CableAt(PortRef.OfDevice("printer")));
        Assert.Equal("house-laptop", found.CableAt(new("hall-gateway", "lan3"))!.OtherEnd(new("hall-gateway", "lan3")).Owner);
        Assert.NotNull(home.Design("planned")!.CableAt(PortRef.OfDevice("printer")));
    }
}
