using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Formats;

/// <summary>
/// A survey as tables, both ways. Reading changes what is there by id, or by name where a row has no id, and adds the rest; nothing is
/// taken away by a row, a column or a cell that is missing. Keys and passwords are in none of them.
/// </summary>
public static class SurveyTables
{
    /// <summary>How many rows are read.</summary>
    public const int MostRows = 2000;

    /// <summary>The word for a device that is on Wi-Fi.</summary>
    private const string Wifi = "wifi";

    /// <summary>The heads of a table, in the order in which they are written.</summary>
    public static IReadOnlyList<string> Heads(SurveyTable table) =>
        table switch
        {
            SurveyTable.Gear =>
            [
                "id",
                "name",
                "kind",
                "mac",
                "wan mac",
                "radio mac",
                "place",
                "in use",
                "to buy",
                "address",
                "login",
                "wifi name",
                "firmware",
                "supported",
                "supported until",
                "holds",
            ],
            SurveyTable.Places => ["id", "name", "sort", "building", "floor", "length m", "width m", "walls", "east m", "north m"],
            SurveyTable.Devices => ["id", "name", "sort", "mac", "place", "bands", "socket", "address", "link"],
            _ => ["id", "from", "to", "medium", "pairs", "length m", "run", "estimated m"],
        };

    /// <summary>One table of a home, with what was found in it.</summary>
    public static string Write(SurveyTable table, HomeFile home)
    {
        var found = home.AsFound();
        return CsvTable.Write(
            Heads(table),
            table switch
            {
                SurveyTable.Gear => home.Site.Boxes.Select(b =>
                    (IReadOnlyList<string?>)
                        [
                            b.Id,
                            b.Name,
                            b.Profile.ShelfId,
                            $"{b.Mac}",
                            $"{b.WanMac}",
                            $"{b.Label.RadioMac}",
                            found.SetUp.Boxes.FirstOrDefault(s => s.Box == b.Id) is { } used ? used.Place : b.Place,
                            found.Mode(b.Id) is null ? "no" : "yes",
                            b.ToBuy ? "yes" : "no",
                            $"{b.Label.Address}",
                            b.Label.Login,
                            b.Label.WifiName,
                            b.Label.Firmware,
                            Word(b.Label.Supported),
                            b.Label.SupportedUntil?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                            string.Join(' ', b.Holds.Select(CsvWords.Of)),
                        ]
                ),
                SurveyTable.Places => home.Site.Places.Select(p =>
                    (IReadOnlyList<string?>)
                        [
                            p.Id,
                            p.Name,
                            CsvWords.Of(p.Kind),
                            p.Building,
                            $"{p.Floor}",
                            Number(p.LengthMetres),
                            Number(p.WidthMetres),
                            CsvWords.Of(p.Walls),
                            Number(p.EastMetres),
                            Number(p.NorthMetres),
                        ]
                ),
                SurveyTable.Devices => home.Site.Devices.Select(d =>
                    (IReadOnlyList<string?>)
                        [
                            d.Id,
                            d.Name,
                            CsvWords.Of(d.Kind),
                            $"{d.Mac}",
                            d.Place,
                            string.Join(' ', d.Bands.Select(Band)),
                            Word(d.HasSocket),
                            found.SetUp.Devices.FirstOrDefault(s => s.Device == d.Id)?.Address switch
                            {
                                Fixed typed => $"{typed.Address}",
                                Automatic => "automatic",
                                _ => null,
                            },
                            Link(found, d.Id),
                        ]
                ),
                _ => found.SetUp.Cables.Select(c =>
                    (IReadOnlyList<string?>)
                        [
                            c.Id,
                            $"{c.A}",
                            $"{c.B}",
                            CsvWords.Of(c.Medium),
                            $"{c.Pairs}",
                            Number(c.LengthMetres),
                            c.Run,
                            Cabling.Of(found, c) is { Estimated: true } fact ? Number(fact.LengthMetres) : null,
                        ]
                ),
            }
        );
    }

    /// <summary>The home after a table was read into it, or up to twenty errors by row and column; then nothing of it is taken.</summary>
    public static FileRead<HomeFile> Read(SurveyTable table, string text, HomeFile home, Shelf shelf)
    {
        string[] needed = table switch
        {
            SurveyTable.Gear => ["name"],
            SurveyTable.Cables => ["from", "to"],
            _ => ["name"],
        };
        var rows = CsvTable.Read(text, Heads(table), needed, MostRows);
        if (rows.Value is null)
        {
            return new(null, rows.Errors);
        }
        var errors = new ReadErrors();
        var at = home;
        foreach (var row in rows.Value)
        {
            var reader = new SurveyRow(row, errors);
            var done = table switch
            {
                SurveyTable.Gear => Gear(at, shelf, row, reader),
                SurveyTable.Places => Place(at, shelf, row, reader),
                SurveyTable.Devices => Device(at, shelf, row, reader),
                _ => Cable(at, row, reader),
            };
            if (done is { Ok: true })
            {
                at = done.Value.Value;
            }
            else if (done is { Ok: false } failed)
            {
                errors.Add($"row {row.Number}", "a row that cannot be taken", failed.Error);
            }
        }
        return errors.All.Count > 0 ? new(null, errors.All) : new(at, []);
    }

    private static Parsed<HomeFile>? Gear(HomeFile home, Shelf shelf, CsvRow row, SurveyRow reader)
    {
        var there = reader.There(home.Site.Boxes, b => b.Id, b => b.Name);
        var label = (there?.Label ?? LabelFacts.Empty) with
        {
            Address = reader.Value("address", InterfaceAddress.Parse) ?? there?.Label.Address,
            Login = row["login"] ?? there?.Label.Login,
            WifiName = row["wifi name"] ?? there?.Label.WifiName,
            RadioMac = reader.Value("radio mac", MacAddress.Parse) ?? there?.Label.RadioMac,
            Firmware = row["firmware"] ?? there?.Label.Firmware,
            Supported = reader.Known("supported", there?.Label.Supported ?? Known.Unknown),
            SupportedUntil = reader.Date("supported until") ?? there?.Label.SupportedUntil,
        };
        var holds = row["holds"] is { } said
            ? said.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(w => reader.Word<LineService>("holds", w))
                .OfType<LineService>()
                .ToList()
            : there?.Holds ?? [];
        var (mac, wan) = (reader.Value("mac", MacAddress.Parse) ?? there?.Mac, reader.Value("wan mac", MacAddress.Parse) ?? there?.WanMac);
        var place = reader.Id("place", home.Site.Places, p => p.Id, p => p.Name);
        var use = reader.Yes("in use");
        var toBuy = reader.Yes("to buy");
        if (there is null && row["kind"] is null)
        {
            reader.Fail("kind", "a kind of the shelf is required for a new box");
        }
        else if (row["kind"] is { } kind && there?.Profile.ShelfId != kind && shelf.Find(kind) is null)
        {
            reader.Fail("kind", "the id of an entry of the shelf is expected");
        }
        if (!reader.Sound)
        {
            return null;
        }
        if (there is null)
        {
            return new AddBox(row["name"]!, row["kind"]!)
            {
                Id = row["id"] ?? "",
                Mac = mac,
                WanMac = wan,
                Place = place,
                Holds = holds,
                Label = label,
                InUse = use,
                ToBuy = toBuy ?? false,
            }.ApplyTo(home, shelf);
        }
        var used = home.AsFound().Mode(there.Id) is not null;
        var known = new BoxFacts(
            row["name"]!,
            mac,
            wan,
            [.. holds],
            (use ?? used) ? there.Place : place ?? there.Place,
            toBuy ?? there.ToBuy
        );
        var noted = new SetBox(there.Id, Partial<BoxFacts>.Between(BoxFacts.Of(there), known))
            .ApplyTo(home, shelf)
            .Then(h => new SetLabel(there.Id, Partial<LabelFacts>.Between(there.Label, label)).ApplyTo(h, shelf));
        if (row["kind"] is { } other && other != there.Profile.ShelfId)
        {
            noted = noted.Then(h => new TakeProfile(there.Id, other).ApplyTo(h, shelf));
        }
        if (use is { } wanted && wanted != used)
        {
            noted = noted.Then(h =>
                InFound(
                    h,
                    wanted ? new SetMode(there.Id, h.Site.Boxes.First(b => b.Id == there.Id).Profile.Modes[0]) : new TakeOutOfUse(there.Id)
                )
            );
        }
        return noted.Then(h => place is null || h.AsFound().Mode(there.Id) is null ? h : InFound(h, new PlaceBox(there.Id, place)));
    }

    private static Parsed<HomeFile>? Place(HomeFile home, Shelf shelf, CsvRow row, SurveyRow reader)
    {
        var there = reader.There(home.Site.Places, p => p.Id, p => p.Name);
        if (!reader.Sound)
        {
            return null;
        }
        var place = (there ?? new Place(row["id"] ?? "", row["name"]!)) with
        {
            Name = row["name"]!,
            Kind = reader.Word<PlaceKind>("sort") ?? there?.Kind ?? PlaceKind.Room,
            Building = reader.Id("building", home.Site.Buildings, b => b.Id, b => b.Name) ?? there?.Building,
            Floor = reader.Whole("floor") ?? there?.Floor ?? 0,
            LengthMetres = reader.Metres("length m") ?? there?.LengthMetres,
            WidthMetres = reader.Metres("width m") ?? there?.WidthMetres,
            Walls = reader.Word<WallKind>("walls") ?? there?.Walls ?? WallKind.Unknown,
            EastMetres = reader.Metres("east m") ?? there?.EastMetres,
            NorthMetres = reader.Metres("north m") ?? there?.NorthMetres,
        };
        if (!reader.Sound)
        {
            return null;
        }
        // A row may bring an id of its own for a place that is new.
        return there is not null
            ? new SetPlace(there.Id, Partial<Place>.Between(there, place)).ApplyTo(home, shelf)
            : new SetPlace("", Partial<Place>.All(place)) { NewId = place.Id }.ApplyTo(home, shelf);
    }

    private static Parsed<HomeFile>? Device(HomeFile home, Shelf shelf, CsvRow row, SurveyRow reader)
    {
        var there = reader.There(home.Site.Devices, d => d.Id, d => d.Name);
        if (!reader.Sound)
        {
            return null;
        }
        var device = (there ?? new Device(row["id"] ?? "", row["name"]!, DeviceKind.Other, null)) with
        {
            Name = row["name"]!,
            Kind = reader.Word<DeviceKind>("sort") ?? there?.Kind ?? QuickDevice.KindOf(row["name"]!),
            Mac = reader.Value("mac", MacAddress.Parse) ?? there?.Mac,
            Place = reader.Id("place", home.Site.Places, p => p.Id, p => p.Name) ?? there?.Place,
            Bands = reader.Bands("bands") ?? there?.Bands ?? [],
            HasSocket = reader.Known("socket", there?.HasSocket ?? Known.Unknown),
        };
        var address = row["address"] is null or "automatic" ? null : reader.Value("address", InterfaceAddress.Parse);
        if (!reader.Sound)
        {
            return null;
        }
        HostAddress setting = address is { } own ? QuickDevice.Typed(home, own) : new Automatic();
        if (there is null)
        {
            var added = new AddDevice(device, setting, LinkSaid(row["link"])).ApplyTo(home, shelf);
            return added.Then(h => Linked(h, h.Site.Devices[^1].Id, row["link"]));
        }
        var corrected = new SetDevice(there.Id, Partial<Device>.Between(there, device))
            .ApplyTo(home, shelf)
            .Then(h =>
                row["address"] is null
                || h.AsFound().SetUp.Devices.FirstOrDefault(d => d.Device == device.Id)?.Address is Fixed typed && typed.Address == address
                    ? h
                    : InFound(h, new SetDeviceAddress(device.Id, setting))
            );
        return corrected.Then(h => Linked(h, device.Id, row["link"]));
    }

    /// <summary>What a row says of how a new device is connected: its port is looked at once it is noted.</summary>
    private static Connection LinkSaid(string? link) =>
        link is null ? Connection.NotSaid : Connection.Only(link == Wifi ? ConnectedBy.Radio : ConnectedBy.Cable);

    /// <summary>A device plugged into the port that its row names; which Wi-Fi it joins is chosen on the page.</summary>
    private static Parsed<HomeFile> Linked(HomeFile home, string device, string? link)
    {
        var found = home.AsFound();
        if (link is null || link == Link(found, device))
        {
            return home;
        }
        if (link == Wifi)
        {
            return Parsed<HomeFile>.Fail("'wifi' names no Wi-Fi: plug the device out, or let it join one, on the page");
        }
        var (port, own) = (PortRef.Read(link), PortRef.OfDevice(device));
        return InFound(home, [.. Unplugged(found, port, own), new Patch(port, own, CableFacts.NotLookedAt)]);
    }

    /// <summary>What has to be unplugged before a cable can go into two ports.</summary>
    private static IEnumerable<Change> Unplugged(Design found, params IEnumerable<PortRef> ports) =>
        ports.Select(e => found.CableAt(e)?.Id).OfType<string>().Distinct().Select(id => new Unpatch(id));

    private static Parsed<HomeFile>? Cable(HomeFile home, CsvRow row, SurveyRow reader)
    {
        var (from, to) = (PortRef.Read(row["from"] ?? ""), PortRef.Read(row["to"] ?? ""));
        var (medium, pairs, length) = (reader.Word<Medium>("medium"), reader.Whole("pairs"), reader.Metres("length m"));
        if (!reader.Sound)
        {
            return null;
        }
        var found = home.AsFound();
        if (found.SetUp.Cables.FirstOrDefault(c => (c.A == from && c.B == to) || (c.A == to && c.B == from)) is { } there)
        {
            return InFound(
                home,
                new SetCable(
                    there.Id,
                    Partial<CableFacts>.Between(
                        there.Known,
                        new(medium ?? there.Medium, length ?? there.LengthMetres, pairs ?? there.Pairs, row["run"] ?? there.Run)
                    )
                )
            );
        }
        return InFound(
            home,
            [.. Unplugged(found, from, to), new Patch(from, to, new(medium ?? Medium.Unknown, length, pairs, row["run"]))]
        );
    }

    private static Parsed<HomeFile> InFound(HomeFile home, params IReadOnlyList<Change> changes) =>
        ChangeList.Apply(home.AsFound(), changes).Then<HomeFile>(d => home.With(d.SetUp));

    private static string? Link(Design found, string device) =>
        found.CableAt(PortRef.OfDevice(device)) is { } cable ? $"{cable.OtherEnd(PortRef.OfDevice(device))}"
        : found.SetUp.Devices.FirstOrDefault(d => d.Device == device)?.Wifi is null ? null
        : Wifi;

    private static string? Word(Known known) =>
        known switch
        {
            Known.Yes => "yes",
            Known.No => "no",
            _ => null,
        };

    private static string? Number(double? number) => number?.ToString("0.##", CultureInfo.InvariantCulture);

    private static string Band(RadioBand band) =>
        band switch
        {
            RadioBand.Ghz2 => "2.4",
            RadioBand.Ghz5 => "5",
            _ => "6",
        };
}
