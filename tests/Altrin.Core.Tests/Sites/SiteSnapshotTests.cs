using System.Text;
using Altrin.Core.Sites;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Sites;

/// <summary>What is reckoned from generated surveys and from the radio homes of the kernel tests, as approved.</summary>
public sealed class SiteSnapshotTests
{
    [Fact]
    public void What_is_reckoned_of_a_site_is_as_approved()
    {
        var text = new StringBuilder();
        var homes = Enumerable
            .Range(1, 30)
            .Select(seed => (Name: $"Home {seed}", Design: SurveyGenerator.Survey(DesignGenerator.Make(seed, 4), seed)))
            .Concat(Families.Of("radio").Select(h => (Name: h.Key, Design: h.Value)));
        foreach (var (name, design) in homes)
        {
            text.Append($"\n# {name}\n{Plain.Of(Air.Of(design))}\n");
            foreach (var cable in design.SetUp.Cables)
            {
                text.Append($"  {cable.Id} {Plain.Of(Cabling.Of(design, cable))}\n");
            }
            foreach (var box in design.Site.Boxes)
            {
                text.Append($"  {box.Id} {Plain.Of(JoinChoices.Of(design, box))} {FactoryNames.Of(box)}\n");
            }
            foreach (var need in design.Site.Needs)
            {
                text.Append($"  {Plain.Of(NeedWords.Of(design, need))} {NeedWords.Said(design, need, "asks for")}\n");
            }
            var far =
                from a in design.Site.Places
                from b in design.Site.Places
                select $"{a.Id} {b.Id} {Plain.Of(Cabling.Estimate(design.Site, a, b))}";
            text.Append($"  {string.Join("; ", far)}\n");
        }
        foreach (var medium in Enum.GetValues<Medium>())
        {
            foreach (var length in new double?[] { null, 30, 55, 90, 100, 101 })
            {
                var rates = new int?[] { null, 100, 1000, 2500, 10_000 }.Select(p => $"{MediumRates.AtMost(medium, length, p)}");
                text.Append(
                    $"{medium} {length}: {string.Join(' ', rates)}; by pairs {MediumRates.ByPairs(medium, 2)} {MediumRates.ByPairs(medium, 4)}\n"
                );
            }
        }
        foreach (var kind in Enum.GetValues<PowerKind>())
        {
            text.Append($"{kind}: {PowerFacts.AtDeviceWatts(kind)} {PowerFacts.AtSourceWatts(kind)}\n");
        }
        Snapshot.Match(text.ToString(), "Sites");
    }
}
