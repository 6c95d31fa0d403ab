using System.Text;
using Altrin.Core.Findings;
using Altrin.Core.Planning;
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
            text.Append($"\n# Home {seed}\n");
            Tell(text, SurveyGaps.Of(design));
            Tell(text, CableCheck.Of(proof));
        }
        Snapshot.Match(text.ToString(), "Planning");
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
