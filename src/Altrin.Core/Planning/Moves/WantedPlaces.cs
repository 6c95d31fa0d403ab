using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>Where Wi-Fi may be wanted.</summary>
internal static class WantedPlaces
{
    /// <summary>Every room, and any other place where a device or a need is.</summary>
    public static bool Has(Site site, Place place) =>
        place.Kind == PlaceKind.Room || site.Devices.Any(d => d.Place == place.Id) || site.Needs.Any(n => n.About == place.Id);
}
