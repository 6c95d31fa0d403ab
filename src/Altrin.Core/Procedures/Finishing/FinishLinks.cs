using System.Globalization;
using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>What joins the boxes, and what is on the air.</summary>
internal static class FinishLinks
{
    /// <summary>The items of a plan, and of what was there before.</summary>
    public static IEnumerable<CheckItem> Of(Design before, State planned)
    {
        var (design, links) = (planned.Design, planned.Seen().Sheet.Links);
        return
        [
            .. CheckItem.OfEach(
                "cables",
                "Cables",
                "Each cable between boxes has a link light, and the page shows the rate that both ends can:",
                links.Where(l => l.Kind == LinkKind.Cable && AreBoxes(design, l)).Select(l => $"{Ends(design, l)}{Rate(l)}")
            ),
            .. CheckItem.OfEach(
                "radio-links",
                "Radio links",
                "Each radio link is shown by evidence where the box now stands, not by \"enabled\": "
                    + "joined, its level, and a ping across it:",
                links.Where(l => l.Kind == LinkKind.Radio).Select(l => $"{design.NameOf(l.A.Owner)} to {design.NameOf(l.B.Owner)}{Rate(l)}")
            ),
            .. CheckItem.OfEach("names", "Wi-Fi names", "A scan shows of this home:", Names(before, design)),
        ];
    }

    private static bool AreBoxes(Design design, LinkFact link) =>
        design.Box(link.A.Owner) is not null && design.Box(link.B.Owner) is not null;

    private static string Ends(Design design, LinkFact link) => $"{PortWords.Of(design, link.A)} to {PortWords.Of(design, link.B)}";

    private static string Rate(LinkFact link) =>
        link.AtMostMbps is { } most ? string.Create(CultureInfo.InvariantCulture, $", {most} Mb/s at most") : "";

    private static IEnumerable<string> Names(Design before, Design planned)
    {
        var (was, air) = (Air.Of(before), Air.Of(planned));
        foreach (var name in air.GroupBy(a => a.Setting.Name).OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            var from = name.Select(a => planned.NameOf(a.Box)).Distinct().Order(StringComparer.Ordinal);
            var bands = name.Select(a => a.Radio.Band).Distinct().Order().Select(BandWords.Of);
            yield return $"\"{name.Key}\" from {string.Join(", ", from)} ({string.Join(", ", bands)})";
        }
        foreach (
            var gone in was.Select(a => a.Setting.Name).Distinct().Except(air.Select(a => a.Setting.Name)).Order(StringComparer.Ordinal)
        )
        {
            yield return $"\"{gone}\" no more";
        }
        foreach (var silent in was.Select(a => a.Box).Distinct().Except(air.Select(a => a.Box)).Where(b => planned.Mode(b) is not null))
        {
            yield return $"nothing from {planned.NameOf(silent)}";
        }
    }
}
