using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Tests.Surveys;

public sealed class QuickEntryTests
{
    private static readonly HomeFile Empty = new(
        new("Home", new UnknownService(null, null), NamingSchool.OneName, [], [], []),
        [new("found", [], [], [])]
    );

    /// <summary>A gateway in the hall, with two rooms.</summary>
    internal static HomeFile Begun =>
        Read(Read(Empty, QuickList.Places, "Hall, 2x4\nStudy, 3x3, floor 1"), QuickList.Gear, "Hall gateway, gateway, hall, wifi Lantern");

    internal static Shelf Shelf { get; } =
        new([
            Of("gateway", BoxKind.Gateway, ModeKind.Router),
            Of("old-router", BoxKind.Router, ModeKind.Router),
            Of("new-router", BoxKind.Router, ModeKind.AccessPoint),
        ]);

    private static Profile Of(string id, BoxKind kind, ModeKind mode) =>
        Home.WithGateway().Design.Box("gw")!.Profile with
        {
            ShelfId = id,
            Name = $"{char.ToUpperInvariant(id[0])}{id[1..].Replace('-', ' ')}",
            Kind = kind,
            Modes = [mode],
            FactoryAddress = Home.Own("192.168.8.1/24"),
        };

    private static HomeFile Read(HomeFile home, QuickList list, string text)
    {
        var read = QuickEntry.Read(home, Shelf, list, text);
        Assert.True(read.Home is not null, string.Join("; ", read.Lines.Select(l => $"{l.Line}: {l.Error}")));
        return read.Home;
    }

    /// <summary>What the line asks of a box: said, denied, and left alone.</summary>
    [Theory]
    [InlineData("login", "Yes Unknown Yes")]
    [InlineData("no login", "No Unknown Yes")]
    [InlineData("locked", "Unknown Unknown Yes 02:00:5e:00:53:31")]
    [InlineData("not locked", "Unknown Unknown No")]
    [InlineData("tag 7", "Unknown Yes Yes 02:00:5e:00:53:31")]
    [InlineData("no tag", "Unknown No Yes 02:00:5e:00:53:31")]
    public void What_the_line_asks_is_said_or_denied(string text, string says)
    {
        var begun = Empty with
        {
            Site = Empty.Site with
            {
                Service = Empty.Site.Service with
                {
                    Line = new() { Locked = Known.Yes, LockedTo = new(0x02005E005331) },
                },
            },
        };
        var line = Read(begun, QuickList.Service, text).Site.Service.Line;
        Assert.StartsWith(says, $"{line.Login} {line.Tagged} {line.Locked} {line.LockedTo}", StringComparison.Ordinal);
        Assert.Equal(text == "not locked", line.LockedTo is null);
    }

    /// <summary>A place is meant by its name, its id, or the beginning of one name alone.</summary>
    [Theory]
    [InlineData("study", "study")]
    [InlineData("Hall", "hall")]
    [InlineData("st", "study")]
    [InlineData("s", null)]
    [InlineData("hal", "hall")]
    [InlineData("attic", null)]
    public void A_place_is_meant_by_how_it_begins(string text, string? place)
    {
        var read = QuickEntry.Read(Begun, Shelf, QuickList.Devices, $"Printer, printer, {text}");
        Assert.Equal(place, read.Home?.Site.Devices.Single().Place);
        Assert.Equal(place is null, read.Home is null);
    }

    /// <summary>Each line is told by its number, blank ones left out, and nothing is taken where one is wrong.</summary>
    [Fact]
    public void A_line_is_told_by_its_number()
    {
        var read = QuickEntry.Read(Empty, Shelf, QuickList.Places, "\nHall, 2x4\n\nStudy, nothing like it");
        Assert.Equal([2, 4], read.Lines.Select(l => l.Line));
        Assert.Equal((null, true), (read.Lines[0].Error, read.Lines[1].Error is not null));
        Assert.Equal((null, 0), (read.Home, read.Corrections.Count));
        var two = QuickEntry.Read(Empty, Shelf, QuickList.Places, "Hall, 2x4\nStudy, 3x3");
        Assert.Equal(["hall", "study"], two.Home!.Site.Places.Select(p => p.Id));
        Assert.Equal(["hall", "study"], CorrectionList.Apply(Empty, Shelf, two.Corrections).Value.Site.Places.Select(p => p.Id));
    }

    [Theory]
    [InlineData("fibre, 300/30, public", "fibre, 300 Mb/s down, 30 up, a public address that changes")]
    [InlineData("DSL, 16 Mb/s, shared", "telephone line, 16 Mb/s down, carrier-grade NAT (CGNAT)")]
    [InlineData(
        "cable, 500/50, fixed, 203.0.113.40/24, gateway 203.0.113.1",
        "television cable, 500 Mb/s down, 50 up, the public address 203.0.113.40/24"
    )]
    [InlineData("fibre, public, 2 addresses", "fibre, 2 public addresses that change")]
    [InlineData("5g", "mobile network, its address not asked")]
    public void A_service_is_read(string text, string words) =>
        Assert.Equal(words, ServiceWords.Of(Read(Empty, QuickList.Service, text).Site.Service));

    [Fact]
    public void What_the_line_asks_is_read_and_the_rest_stays()
    {
        var line = Read(Read(Empty, QuickList.Service, "fibre, login, tag 7"), QuickList.Service, "not locked").Site.Service.Line;
        Assert.Equal((Known.Yes, Known.Yes, 7, Known.No), (line.Login, line.Tagged, line.Tag, line.Locked));
    }

    [Theory]
    [InlineData("Kitchen, 4x3, brick", "kitchen", PlaceKind.Room, 0, 4.0, 3.0, WallKind.Brick)]
    [InlineData("Loft, 8.5 × 4 m, floor 2", "loft", PlaceKind.Loft, 2, 8.5, 4.0, WallKind.Unknown)]
    [InlineData("Stair cupboard, -1", "stair-cupboard", PlaceKind.Hall, -1, null, null, WallKind.Unknown)]
    [InlineData("Back, garden, @-3/12.5", "back", PlaceKind.Outdoors, 0, null, null, WallKind.Unknown)]
    public void A_place_is_read(string text, string id, PlaceKind kind, int floor, double? length, double? width, WallKind walls)
    {
        var place = Assert.Single(Read(Empty, QuickList.Places, text).Site.Places);
        Assert.Equal(
            (id, kind, floor, length, width, walls),
            (place.Id, place.Kind, place.Floor, place.LengthMetres, place.WidthMetres, place.Walls)
        );
    }

    [Fact]
    public void Rooms_go_on_upon_the_floor_of_the_one_before() =>
        Assert.Equal(
            [0, 1, 1, 0, 0],
            Read(Empty, QuickList.Places, "Hall\nBedroom, floor 1\nBath\nGarden shed\n\nCellar room, ground")
                .Site.Places.Select(p => p.Floor)
        );

    [Fact]
    public void The_gateway_comes_into_use_at_the_line_and_a_spare_box_is_not_in_use()
    {
        var home = Read(Begun, QuickList.Gear, "Old one, old router, 00-00-5E-00-53-44, no updates, 192.168.1.1");
        var found = home.Design("found")!;
        Assert.Equal("hall-gateway", home.Site.Service.HandOff);
        Assert.Equal("hall", found.SetUp.Boxes.Single().Place);
        Assert.True(found.Mode("hall-gateway") is RouterMode { Wifi: [{ On: true, Name: "Lantern" }] });
        Assert.Equal("street", found.CableAt(new("hall-gateway", "wan"))!.OtherEnd(new("hall-gateway", "wan")).Owner);
        var spare = found.Box("old-one")!;
        Assert.Null(found.Mode("old-one"));
        Assert.Equal(("00:00:5e:00:53:44", Known.No, "192.168.1.1/24"), ($"{spare.Mac}", spare.Label.Supported, $"{spare.FactoryAddress}"));
    }

    [Fact]
    public void Devices_hang_where_they_usually_do()
    {
        var home = Read(
            Begun,
            QuickList.Devices,
            "Printer, study, cable\nKitchen phone, 5, 0a:00:5e:00:53:09\nHeating control, 192.168.8.250\nPC, wifi"
        );
        var found = home.Design("found")!;
        Assert.Equal(
            [DeviceKind.Printer, DeviceKind.Phone, DeviceKind.Controller, DeviceKind.Computer],
            home.Site.Devices.Select(d => d.Kind)
        );
        Assert.Equal(
            new PortRef("hall-gateway", "lan1"),
            found.CableAt(PortRef.OfDevice("printer"))!.OtherEnd(PortRef.OfDevice("printer"))
        );
        Assert.All(found.SetUp.Devices.Where(d => d.Device != "printer"), d =>
            Assert.Equal(("hall-gateway", "Lantern"), (d.Wifi!.Box, d.Wifi.Name))
        );
        Assert.True(
            found.SetUp.Devices.Single(d => d.Device == "heating-control").Address is Fixed { Gateway: { } gateway }
                && gateway == Home.At("192.168.8.1")
        );
        Assert.True(home.Site.Devices[1] is { Mac.IsLocallyAdministered: true, Bands: [RadioBand.Ghz5] });
    }

    [Fact]
    public void Needs_are_read_in_plain_words()
    {
        var home = Read(Begun, QuickList.Devices, "Recorder, cable");
        var read = Read(
            home,
            QuickList.Needs,
            "recorder, outside 8000, found, server, delay, online\nstudy, calls\nguests\nname\ntelephone"
        );
        var found = read.Design("found")!;
        Assert.Equal(
            [
                "Recorder reached from outside on port 8000",
                "Recorder found by every device",
                "Recorder reached by every device of the home",
                "Recorder served with little delay",
                "Recorder kept online during the work",
                "Study covered for calls over Wi-Fi",
                "A network for guests kept apart",
                "The name \"Lantern\" kept with its password",
                "The telephone kept alive",
            ],
            read.Site.Needs.Select(n => NeedWords.Of(found, n) is var (s, a) ? $"{s} {a}" : "")
        );
    }

    [Theory]
    [InlineData("outside 8000", "port 8000")]
    [InlineData("8000", "port 8000")]
    [InlineData("8000 tcp", "port 8000")]
    [InlineData("outside 3074/udp", "UDP port 3074")]
    [InlineData("udp 3074", "UDP port 3074")]
    [InlineData("port 3074 both", "port 3074", "UDP port 3074")]
    [InlineData("3074 tcp+udp", "port 3074", "UDP port 3074")]
    [InlineData("from outside 3074 UDP and TCP", "port 3074", "UDP port 3074")]
    [InlineData("80->8080", "port 80 (8080 on the device)")]
    [InlineData("outside 80 to 8080 udp", "UDP port 80 (8080 on the device)")]
    [InlineData("80->80", "port 80")]
    public void Ports_are_read_as_they_are_written(string text, params string[] said)
    {
        var needs = Read(Read(Begun, QuickList.Devices, "Console, cable"), QuickList.Needs, $"console, {text}").Site.Needs;
        Assert.Equal(said, needs.Cast<ReachFromOutside>().Select(NeedWords.Ports));
        Assert.Equal(needs.Count, needs.Select(n => n.Id).Distinct().Count());
    }

    [Theory]
    [InlineData(QuickList.Needs, "Study, outside 8000", "'outside 8000' is not understood", 8)]
    [InlineData(QuickList.Gear, "Box, router", "may be \"Old router\" or \"New router\"", 6)]
    [InlineData(QuickList.Gear, "Box, old router, 192.168.8.0", "network address", 1)]
    [InlineData(QuickList.Gear, "Box, old router, 192.168.1.256", "over 255", 18)]
    [InlineData(QuickList.Gear, "Thing", "No kind on the shelf", 1)]
    [InlineData(QuickList.Gear, "Box, old router, 01:00:5e:00:00:01", "group address", 18)]
    [InlineData(QuickList.Places, "Hall", "there already", 1)]
    [InlineData(QuickList.Places, "Room, large", "'large' is not understood", 7)]
    [InlineData(QuickList.Places, "Room, floor 60", "-5 to 50", 1)]
    [InlineData(QuickList.Gear, "Box, old router, at Loft", "No box is called 'Loft'; there is Hall gateway", 18)]
    [InlineData(QuickList.Gear, "Box, old router, at hall gateway, port 9", "has no port '9'; it has", 1)]
    [InlineData(QuickList.Gear, "Box, old router, as a toaster", "'a toaster' is no mode", 18)]
    [InlineData(QuickList.Gear, "Box, old router, as bridge", "cannot be set to bridge", 1)]
    [InlineData(QuickList.Devices, "Thing, at Hall gateway, by radio, 6", "sends no Wi-Fi that Thing can use", 1)]
    [InlineData(QuickList.Devices, "Thing, fixed", "typed as it is", 8)]
    [InlineData(QuickList.Devices, "Thing, cabel", "'cabel' is not understood", 8)]
    [InlineData(QuickList.Needs, "Missing, found", "neither a device nor a place", 1)]
    [InlineData(QuickList.Needs, "guests, apart, please", "nothing more", 9)]
    [InlineData(QuickList.Service, "fixed, 203.0.113.4/24", "needs both", 1)]
    [InlineData(QuickList.Service, "public, 17 addresses", "1 to 16 addresses", 1)]
    [InlineData(QuickList.Service, "fixed, 203.0.113.4/24, gateway 198.51.100.1", "outside 203.0.113.0/24", 1)]
    public void What_is_not_understood_is_said_where_it_stands(QuickList list, string text, string says, int column)
    {
        var read = QuickEntry.Read(Begun, Shelf, list, text);
        var line = Assert.Single(read.Lines);
        Assert.Contains(says, line.Error, StringComparison.Ordinal);
        Assert.Equal(column, line.Column);
        Assert.Null(read.Home);
        Assert.Empty(read.Corrections);
    }

    /// <summary>Whom a need may be meant of is offered, and a room that is not noted yet is made in the same line.</summary>
    [Theory]
    [InlineData("Recorder box, found", "The recorder, found|Recording room, found")]
    [InlineData("Recordings, calls", "Recording room, calls|The recorder, calls|new Recordings, calls")]
    [InlineData("Attic, calls", "new Attic, calls")]
    [InlineData("Recoder, outside 8000", "The recorder, outside 8000|Recording room, outside 8000")]
    [InlineData("Attic", "new Attic")]
    [InlineData("Attic, found", "")]
    [InlineData("Re, found", "")]
    [InlineData("4x, calls", "")]
    public void A_need_of_something_unknown_offers_what_may_be_meant(string typed, string offers)
    {
        var home = Read(Read(Begun, QuickList.Places, "Recording room"), QuickList.Devices, "The recorder, hall");
        var read = QuickEntry.Read(home, Shelf, QuickList.Needs, typed);
        Assert.Null(read.Home);
        Assert.Equal(offers, string.Join('|', read.Lines[0].Offers.Select(o => o.Line)));
    }

    /// <summary>A comma that was left out is offered where all of the line is understood with it, before anything else.</summary>
    [Theory]
    [InlineData(QuickList.Devices, "Store, hall, cable 192.168.1.50", "Store, hall, cable, 192.168.1.50")]
    [InlineData(QuickList.Devices, "Store, hall cable", "Store, hall, cable")]
    [InlineData(QuickList.Gear, "Box, old router 192.168.7.1", "Box, old router, 192.168.7.1")]
    [InlineData(QuickList.Places, "Room, 4x3 brick", "Room, 4x3, brick")]
    [InlineData(QuickList.Service, "fibre public", "fibre, public")]
    [InlineData(QuickList.Devices, "Store, hall, cable and more", null)]
    [InlineData(QuickList.Devices, "Store, cabel", null)]
    public void A_comma_that_was_left_out_is_offered_first(QuickList list, string typed, string? offered)
    {
        var read = QuickEntry.Read(Begun, Shelf, list, typed);
        Assert.Null(read.Home);
        var first = read.Lines[0].Offers.Select(o => o.Line).FirstOrDefault();
        Assert.Equal(offered, offered is null && first?.Contains("new ", StringComparison.Ordinal) == true ? null : first);
        if (offered is not null)
        {
            Assert.NotNull(QuickEntry.Read(Begun, Shelf, list, offered).Home);
        }
    }

    [Theory]
    [InlineData("new Attic, calls", "attic")]
    [InlineData("in Study, calls", "study")]
    [InlineData("new Study, calls", "study")]
    [InlineData("Study, video calls", "study")]
    public void A_need_of_a_room_notes_the_room(string typed, string place)
    {
        var site = Read(Begun, QuickList.Needs, typed).Site;
        Assert.Equal(place, Assert.IsType<CallsInPlace>(Assert.Single(site.Needs)).Place);
        Assert.NotNull(site.Place(place));
    }

    [Fact]
    public void One_wrong_line_takes_none_and_limits_are_kept()
    {
        var read = QuickEntry.Read(Empty, Shelf, QuickList.Places, "Hall\nRoom, large\nStudy");
        Assert.Equal([null, 7, null], read.Lines.Select(l => l.Column));
        Assert.Null(read.Home);
        Assert.Contains(
            "500 characters",
            QuickEntry.Read(Empty, Shelf, QuickList.Places, new string('x', 501)).Lines[0].Error,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "200 lines",
            QuickEntry
                .Read(Empty, Shelf, QuickList.Places, string.Join('\n', Enumerable.Range(0, 201).Select(i => $"Room {i}")))
                .Lines[^1]
                .Error,
            StringComparison.Ordinal
        );
    }

    /// <summary>Any text is answered, and what is taken can be proven.</summary>
    [Fact]
    public void Any_text_is_answered()
    {
        var dice = new Random(11);
        string[] pieces =
        [
            "Hall",
            "gateway",
            "4x3",
            ",",
            ";",
            "\t",
            "\n",
            "192.168.8.1/24",
            "0a:00:5e:00:53:09",
            "floor",
            "1",
            "-9",
            "@3/4",
            "cable",
            "é\u0301",
            "\u0000",
            "outside 80",
            "guests",
            "old router",
            "ghz",
            "/",
            "…",
            "  ",
        ];
        for (var i = 0; i < 3000; i++)
        {
            var text = string.Concat(
                Enumerable.Range(0, dice.Next(1, 14)).Select(_ => pieces[dice.Next(pieces.Length)] + (dice.Next(2) == 0 ? " " : ""))
            );
            var read = QuickEntry.Read(Begun, Shelf, (QuickList)dice.Next(5), text);
            Assert.True(
                read.Home is not null || read.Lines.Count == 0 || read.Lines.Any(l => l.Error is not null),
                $"seed 11, {i}: {text}"
            );
        }
    }
}
