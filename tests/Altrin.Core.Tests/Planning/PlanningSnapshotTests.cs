using System.Text;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Planning;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Planning;

/// <summary>What is said of generated surveys before a plan is made, as approved.</summary>
public sealed class PlanningSnapshotTests
{
    [Fact]
    public void What_is_said_of_surveys_is_as_approved()
    {
        var text = new StringBuilder();
        for (var seed = 1; seed <= 40; seed++)
        {
            // Homes with a fault now and then, of one building now and then, so that every kind of answer comes up.
            var design = SurveyGenerator.Survey(seed % 2 == 0 ? DesignGenerator.Make(seed, 4) : House(seed), seed);
            if (seed % 3 == 0)
            {
                design = design with
                {
                    Site = design.Site with { Places = [.. design.Site.Places.Select(p => p with { Building = null })] },
                };
            }
            var proof = Judging.Prove(design);
            text.Append($"\n# Home {seed}\n{Plain.Of(FirstAnswer.Of(design, proof))}\n");
            Tell(text, SurveyGaps.Of(design));
            Tell(text, CableCheck.Of(proof));
            foreach (var box in design.Site.Boxes)
            {
                Tell(text, GatewayWays.Of(box));
                foreach (DateOnly? day in new DateOnly?[] { null, new(2024, 1, 31), new(2030, 1, 31) })
                {
                    text.Append($"  {box.Id}, {day:yyyy-MM-dd}: {Plain.Of(SpareVerdict.Of(box, design.Site.Service, day))}\n");
                }
            }
            var signals = new Signals(design);
            var served = from a in design.Site.Places from b in design.Site.Places select $"{a.Id} {b.Id} {signals.Serves(a, b)}";
            text.Append($"  {string.Join("; ", served)}\n");
        }
        Snapshot.Match(text.ToString(), "Planning");
    }

    [Fact]
    public void A_first_answer_to_rooms_near_and_far_is_as_approved()
    {
        var text = new StringBuilder();
        var cases =
            from rooms in new[] { 0, 1, 2, 3, 8 }
            from apart in new[] { 4.0, 9, 14 }
            from second in new[] { false, true }
            from asked in new[] { "", "device", "need" }
            from stands in new[] { true, false }
            select (rooms, apart, second, asked, stands);
        foreach (var (rooms, apart, second, asked, stands) in cases)
        {
            var home = Home.WithGateway().Service(new PublicDynamic(300, 50) { HandOff = "gw", Line = Home.Asked }).Wifi("phone", "gw");
            for (var i = 0; i < rooms; i++)
            {
                var (floor, east) = (i % 3, i * apart);
                home.Place($"room-{i}", p =>
                    p with
                    {
                        EastMetres = east,
                        NorthMetres = 0,
                        Floor = floor,
                        LengthMetres = 4 + i,
                        WidthMetres = 4,
                    }
                );
            }
            if (stands && rooms > 0)
            {
                home.Stands("gw", "room-0");
            }
            if (second)
            {
                home.Point("point").Cable("gw/lan1", "point/wan");
                _ = rooms > 1 ? home.Stands("point", "room-1") : home;
            }
            if (rooms > 0 && asked == "device")
            {
                home.Wired("tv", "gw/lan2").Stands("tv", $"room-{rooms - 1}");
            }
            if (rooms > 0 && asked == "need")
            {
                home.Need(new CallsInPlace("calls", $"room-{rooms - 1}"));
            }
            text.Append($"\n# {rooms} rooms {apart} m apart{(second ? ", access point" : "")}, {asked}{(stands ? "" : ", not placed")}\n");
            text.Append($"{Plain.Of(FirstAnswer.Of(home.Design, Judging.Prove(home.Design)))}\n");
            Tell(text, SurveyGaps.Of(home.Design));
        }
        Snapshot.Match(text.ToString(), "FirstAnswers");
    }

    [Fact]
    public void What_is_said_of_spare_boxes_of_every_kind_is_as_approved()
    {
        var text = new StringBuilder();
        BoxRadio Sends(RadioBand band, WifiGeneration generation, WifiSecurity? newest) =>
            new($"{band}", band) { Generation = generation, NewestSecurity = newest };
        BoxRadio[][] radios =
        [
            [],
            [Sends(RadioBand.Ghz2, WifiGeneration.G, WifiSecurity.WpaTkip)],
            [Sends(RadioBand.Ghz2, WifiGeneration.G, WifiSecurity.Wpa2)],
            [Sends(RadioBand.Ghz2, WifiGeneration.N, WifiSecurity.Wpa2)],
            [Sends(RadioBand.Ghz2, WifiGeneration.G, null), Sends(RadioBand.Ghz5, WifiGeneration.Ac, WifiSecurity.Wpa2)],
            [Sends(RadioBand.Ghz2, WifiGeneration.N, WifiSecurity.WpaTkip), Sends(RadioBand.Ghz5, WifiGeneration.Ac, WifiSecurity.Wpa3)],
        ];
        var design = Home.WithGateway().Router("spare").Switch("switch").Design;
        var cases =
            from spare in new[] { "spare", "switch", "gw" }
            from sends in radios
            from mbps in new int?[] { null, 100, 1000 }
            from power in new[] { false, true }
            select (spare, sends, mbps, power);
        foreach (var (spare, sends, mbps, power) in cases)
        {
            var box = design.Box(spare)!;
            var profile = box.Profile with
            {
                Radios = sends,
                Ports = [.. box.Profile.Ports.Select((p, i) => p with { SpeedMbps = i == 0 && mbps == 1000 ? 100 : mbps })],
                Traits = power ? box.Profile.Traits with { Power = new() { Takes = PowerKind.Passive } } : box.Profile.Traits,
            };
            box = box with { Profile = profile, Label = box.Label with { SupportedUntil = new(2027, 3, 31), Supported = Known.Yes } };
            text.Append($"\n# {spare}, {sends.Length} radios of {string.Join(' ', sends.Select(r => r.Generation))}, {mbps}, {power}\n");
            foreach (var sold in new int?[] { null, 25, 50, 94, 95, 300 })
            {
                text.Append($"  {sold}: {Plain.Of(SpareVerdict.Of(box, new PublicDynamic(sold, null), new(2027, 3, 31)))}\n");
            }
            text.Append($"  day after: {Plain.Of(SpareVerdict.Of(box, new PublicDynamic(25, null), new(2027, 4, 1)))}\n");
        }
        Snapshot.Match(text.ToString(), "Spares");
    }

    private static Design House(int seed)
    {
        var home = Home.WithGateway().Wired("a", "gw/lan1").Wifi("b", "gw");
        foreach (var (room, i) in new[] { "hall", "kitchen", "loft" }.Take(1 + (seed % 3)).Select((r, i) => (r, i)))
        {
            home.Place(room, p =>
                p with
                {
                    EastMetres = i * seed,
                    NorthMetres = 0,
                    Floor = i * (seed % 2),
                    LengthMetres = 4,
                    WidthMetres = 4,
                }
            );
        }
        return home.Stands("gw", "hall").Design;
    }

    private static void Tell<T>(StringBuilder text, IEnumerable<T> list)
    {
        foreach (var one in list)
        {
            text.Append($"  {Plain.Of(one)}\n");
        }
    }
}
