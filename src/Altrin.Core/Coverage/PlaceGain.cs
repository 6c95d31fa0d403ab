using Altrin.Core.Facts;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Coverage;

/// <summary>What a channel plan comes to in a place: what arrives there at the best radio while all are busy.</summary>
/// <param name="Place">The place.</param>
/// <param name="NowMbps">Today, in Mb/s; null where the channels of today are not known.</param>
/// <param name="ThenMbps">In the plan.</param>
public sealed record PlaceGain(string Place, double? NowMbps, double ThenMbps)
{
    internal static IReadOnlyList<PlaceGain> Of(
        Design design,
        PathRates rates,
        IReadOnlyList<PlanRadio> radios,
        ChannelBlock?[] now,
        ChannelBlock?[] then
    )
    {
        // Of a home of which one radio chooses today nothing can be compared.
        var known = Enumerable.Range(0, radios.Count).All(i => now[i] is not null || then[i] is null);
        var usual = new Ability(WifiGeneration.Unknown, null, null);
        return
        [
            .. design
                .Site.Places.Select(p => (Place: p.Id, Now: known ? Best(p, now) : null, Then: Best(p, then)))
                .Where(p => p.Then is not null)
                .Select(p => new PlaceGain(p.Place, p.Now, p.Then!.Value)),
        ];

        double? Best(Place place, ChannelBlock?[] blocks)
        {
            var arrives = new List<double>();
            for (var i = 0; i < radios.Count; i++)
            {
                var air = radios[i].Air;
                if (ChannelPlan.Share(radios, blocks, i) is { } share && rates.Signals.Of(air, place) is { } level)
                {
                    var ability = new Ability(air.Radio.Generation, air.Radio.Streams, blocks[i]!.WidthMhz);
                    arrives.Add(share * AirRates.Of(air.Radio.Band, level, ability, usual).Usual!.Value);
                }
            }
            return arrives.Count == 0 ? null : Math.Round(arrives.Max());
        }
    }
}
