using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Planning;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Planning;

/// <summary>
/// The first option held against every set-up that hands could make: none meets all the needs that it meets and one more, and none meets
/// the same with fewer findings that mean that something will not work. Three homes here, thirty with ALTRIN_RAW_HOMES=30.
/// </summary>
public sealed class RawSetUpTests(ITestOutputHelper output)
{
    private const int Seed = 22_001;
    private const int Port = 8443;

    private static int Homes =>
        int.TryParse(Environment.GetEnvironmentVariable("ALTRIN_RAW_HOMES"), System.Globalization.CultureInfo.InvariantCulture, out var n)
            ? n
            : 3;

    [Fact]
    public void No_set_up_by_hand_is_better_than_the_first_option()
    {
        for (var i = 0; i < Homes; i++)
        {
            var (seed, cancel) = (Seed + i, TestContext.Current.CancellationToken);
            var found = House(new Random(seed), boxes: i % 3 == 2 ? 2 : 1);
            var first = Judged(found, Planner.Plan(new(found), stop: cancel).Options[0].SetUp);
            var raw = RawSetUps.Of(found, Port).Take(RawSetUps.Most).ToList();
            var judged = raw.AsParallel().WithCancellation(cancel).Select(s => (SetUp: s, Judged: Judged(found, s))).ToList();
            var better = judged.FirstOrDefault(r =>
                r.Judged.Met.IsProperSupersetOf(first.Met) || (r.Judged.Met.SetEquals(first.Met) && r.Judged.Wrong < first.Wrong)
            );
            output.WriteLine($"Seed {seed}: {raw.Count} set-ups; the first option meets {string.Join(' ', first.Met.Order())}.");
            Assert.True(
                better.SetUp is null,
                better.SetUp is null
                    ? ""
                    : $"Seed {seed}: {string.Join(' ', better.Judged.Met.Order())} with {better.Judged.Wrong} wrong, by\n"
                        + string.Join('\n', better.SetUp.Boxes.Select(b => $"{b}").Concat(better.SetUp.Cables.Select(c => c.Id)))
            );
            // The comparison would notice: among what hands could make are worse set-ups, and such as meet as much.
            Assert.Contains(judged, r => r.Judged.Met.IsProperSubsetOf(first.Met));
            Assert.Contains(judged, r => r.Judged.Met.SetEquals(first.Met));
        }
    }

    /// <summary>Needs that are met, devices that get to the internet, and how much will not work.</summary>
    private static (HashSet<string> Met, int Wrong) Judged(Design found, SetUp setUp)
    {
        var proof = Judging.Judge(Observer.Observe(Compiler.Compile(new(found.Site, setUp), Situation.Settled)), withRemedies: false);
        var sheet = proof.Observation.Sheet;
        return (
            [
                .. sheet.Needs.Where(n => n.Answer.Kind == AnswerKind.Yes).Select(n => n.Need),
                .. sheet.Internet.Where(d => d.Answer.Kind == AnswerKind.Yes).Select(d => d.Device),
            ],
            proof.Findings.Count(f => f.Severity == Severity.WillNotWork)
        );
    }

    /// <summary>A home as it may be found: a gateway, further boxes of any sort in use or not, a wired and a Wi-Fi device, needs.</summary>
    private static Design House(Random dice, int boxes)
    {
        var home = Home.New().Gateway().Cable("street", "gw/wan").Wifi("phone", "gw").Wired("pc", "gw/lan4");
        var spare = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < boxes; i++)
        {
            var id = $"box{i}";
            switch (dice.Next(4))
            {
                case 0:
                    home = home.Router(id, dice.Next(2) == 0 ? "192.168.8.1/24" : "192.168.20.1/24");
                    home = dice.Next(2) == 0 ? home.Cable($"gw/lan{i + 1}", $"{id}/wan") : home.Cable($"gw/lan{i + 1}", $"{id}/lan1");
                    break;
                case 1:
                    home = home.Point(id).Cable($"gw/lan{i + 1}", $"{id}/wan");
                    break;
                case 2:
                    home = home.Repeater(id, "gw");
                    break;
                default:
                    home = home.Router(id);
                    spare.Add(id);
                    break;
            }
        }
        home = dice.Next(2) == 0 ? home.Reach("pc", Port) : home;
        home = dice.Next(2) == 0 ? home.Found("pc") : home.Found("phone");
        var design = home.Design;
        return design with { SetUp = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Where(b => !spare.Contains(b.Box))] } };
    }
}
