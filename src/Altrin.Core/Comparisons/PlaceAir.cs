using Altrin.Core.Addressing;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>A network that was heard in a place, and whose it is.</summary>
/// <param name="Network">The network.</param>
/// <param name="Box">The box of the home that sends it, by the MAC address of the radio; null where none is known to.</param>
/// <param name="Own">Whether it is one of the home's: a box of it sends it, or it has one of the home's names.</param>
public sealed record PlaceAirRow(HeardNetwork Network, string? Box, bool Own);

/// <summary>What is noted of the air in a place.</summary>
/// <param name="Place">The id of the place.</param>
/// <param name="At">When it was heard; null where not known.</param>
/// <param name="Rows">The networks, the strongest first.</param>
/// <param name="Says">How the neighbours' lie on the channels, in a sentence.</param>
public sealed record PlaceAir(string Place, string? At, IReadOnlyList<PlaceAirRow> Rows, string Says)
{
    /// <summary>Every place of which something is noted, in the order of the survey.</summary>
    /// <param name="design">The home, in the set-up whose names count as its own.</param>
    public static IReadOnlyList<PlaceAir> Of(Design design)
    {
        var scanned = design.Site.Places.Where(p => p.Air is not null).ToList();
        if (scanned.Count == 0)
        {
            return [];
        }
        var names = design.SetUp.Boxes.SelectMany(b => Air.Of(design, b.Box)).Select(a => a.Setting.Name).ToHashSet(StringComparer.Ordinal);
        // One radio is heard in many places.
        var owners = scanned
            .SelectMany(p => p.Air!.Networks)
            .Select(n => n.Radio)
            .OfType<MacAddress>()
            .Distinct()
            .ToDictionary(r => r, r => MacKin.Owner(design.Site, r)?.Box.Id);
        return
        [
            .. scanned.Select(p =>
            {
                List<PlaceAirRow> rows =
                [
                    .. p.Air!.Networks.Select(n => (Network: n, Box: n.Radio is { } radio ? owners[radio] : null))
                        .Select(n => new PlaceAirRow(n.Network, n.Box, n.Box is not null || names.Contains(n.Network.Name))),
                ];
                List<HeardNetwork> others = [.. rows.Where(r => !r.Own).Select(r => r.Network)];
                return new PlaceAir(
                    p.Id,
                    p.Air.At,
                    rows,
                    others.Count == 0 ? "No network of neighbours is heard." : $"Of neighbours: {Channels(others)}."
                );
            }),
        ];
    }

    /// <summary>How networks lie on the channels: how many on each, and how strong the strongest is.</summary>
    internal static string Channels(IReadOnlyCollection<HeardNetwork> networks) =>
        string.Join(
            "; ",
            [
                .. networks
                    .Where(n => n.Channel is not null)
                    .GroupBy(n => (n.Band, n.Channel))
                    .OrderBy(g => g.Key)
                    .Select(g =>
                        $"{(g.Key.Band is { } band ? $"{BandWords.Of(band)} " : "")}channel {g.Key.Channel}: {g.Count()}{(g.Max(n => n.LevelDbm) is { } strongest ? $", strongest {strongest:0.#} dBm" : "")}"
                    ),
                .. networks.Count(n => n.Channel is null) is var rest and > 0 ? new[] { $"on channels that were not told: {rest}" } : [],
            ]
        );
}
