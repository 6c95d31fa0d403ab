using Altrin.Core.Planning.Moves;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Which cables have to be laid for a set-up: those from one place to another that were not there.</summary>
internal static class WiresLaid
{
    /// <summary>The length of each in metres; null where it is not known.</summary>
    public static IReadOnlyList<double?> Of(Design found, Design design)
    {
        var there = found
            .SetUp.Cables.GroupBy(c => Way(found, c), StringComparer.Ordinal)
            .ToDictionary(g => g.Key, g => g.Count(), StringComparer.Ordinal);
        var laid = new List<double?>();
        foreach (var cable in design.SetUp.Cables.Where(c => !c.Ends(PortRef.Street)).OrderBy(c => c.LengthMetres is null))
        {
            var way = Way(design, cable);
            if (there.GetValueOrDefault(way) is var left and > 0)
            {
                there[way] = left - 1;
            }
            else if (cable.Medium is not (Medium.Powerline or Medium.Coax) && !IsLead(design, cable) && !IsInWalls(design, cable))
            {
                laid.Add(cable.LengthMetres ?? Cabling.Of(design, cable).LengthMetres);
            }
        }
        // The line comes in where it does: a box at it that is carried elsewhere needs a longer lead.
        if (
            GatewayMoves.LineBox(design) is { } line
            && found.Site.Place(found.Setting(line.Id)?.Place) is { } from
            && design.Site.Place(design.Setting(line.Id)?.Place) is { } to
            && from.Id != to.Id
        )
        {
            laid.Add(Cabling.Estimate(design.Site, from, to).Metres);
        }
        return laid;
    }

    /// <summary>Whether both ends are in one place, so that a lead will do.</summary>
    public static bool IsLead(Design design, Cable cable) =>
        Cabling.PlaceOf(design, cable.A) is { } from && Cabling.PlaceOf(design, cable.B) is { } to && from.Id == to.Id;

    /// <summary>Whether it goes through a run from one of its ends to the other.</summary>
    private static bool IsInWalls(Design design, Cable cable)
    {
        if (design.Site.Runs.FirstOrDefault(r => r.Id == cable.Run) is not { } run)
        {
            return false;
        }
        var sockets = new[] { run.A, run.B }.Select(s => design.Site.Sockets.FirstOrDefault(x => x.Id == s)?.Place).ToList();
        var ends = new[] { cable.A, cable.B }.Select(e => Cabling.PlaceOf(design, e)?.Id).ToList();
        return sockets.Contains(null) || ends.Contains(null) || sockets.Order().SequenceEqual(ends.Order());
    }

    /// <summary>From where to where: by places, else by what is plugged in.</summary>
    private static string Way(Design design, Cable cable)
    {
        var ends = new[] { cable.A, cable.B }
            .Select(e => Cabling.PlaceOf(design, e)?.Id is { } place ? $"@{place}" : e.Owner)
            .Order(StringComparer.Ordinal);
        return $"{string.Join('|', ends)}|{cable.Run}";
    }
}
