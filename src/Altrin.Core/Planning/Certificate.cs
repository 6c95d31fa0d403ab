using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Why something cannot be had.</summary>
public enum CertificateKind
{
    /// <summary>The provider shares one public address: nothing from outside gets in over IPv4.</summary>
    CarrierNat,

    /// <summary>A device has no socket, and no box of the home has a radio on a band that it knows.</summary>
    NoBand,

    /// <summary>No box of the home has a radio; a device that needs one has no socket.</summary>
    NoRadio,
}

/// <summary>
/// Why a need cannot be met, or a device cannot get to the internet, however the boxes of a home are set up: told by what stands in the
/// survey alone, so that it can be looked up there.
/// </summary>
/// <param name="About">The need, or the device.</param>
/// <param name="What">What cannot be had, in words.</param>
/// <param name="Kind">Which reason.</param>
/// <param name="Says">The same in a sentence.</param>
public sealed record Certificate(string About, string What, CertificateKind Kind, string Says)
{
    /// <summary>Every need that cannot be met and every device in use that cannot get to the internet.</summary>
    public static IReadOnlyList<Certificate> Of(Design found)
    {
        var site = found.Site;
        var bands = site.Boxes.SelectMany(b => b.Profile.Radios).Select(r => r.Band).ToHashSet();
        var devices = found
            .SetUp.Devices.Where(d => !found.SetUp.Cables.Any(c => c.Ends(d.Device)))
            .Select(d => site.Devices.First(o => o.Id == d.Device))
            .Where(d => d.HasSocket == Known.No && !(d.Bands.Count == 0 ? bands.Count > 0 : d.Bands.Any(bands.Contains)))
            .Select(Cut)
            .ToList();
        return [.. devices, .. site.Needs.Select(n => OfNeed(n)).OfType<Certificate>()];

        Certificate? OfNeed(Need need) =>
            need switch
            {
                ReachFromOutside when site.Service is CarrierNat => new(
                    need.Id,
                    Asked(need),
                    CertificateKind.CarrierNat,
                    "The provider translates too (carrier-grade NAT): nothing from outside gets in over IPv4."
                ),
                DeviceNeed about when devices.Find(d => d.About == about.Device) is { } cut => cut with
                {
                    About = need.Id,
                    What = Asked(need),
                },
                // Every other device in use has to find it.
                FoundByOthers when devices.Count > 0 => devices[0] with { About = need.Id, What = Asked(need) },
                CallsInPlace or GuestsKeptApart or KeepsNameAndPassword when bands.Count == 0 => new(
                    need.Id,
                    Asked(need),
                    CertificateKind.NoRadio,
                    "No box of the home has a radio."
                ),
                _ => null,
            };

        string Asked(Need need) => NeedWords.Of(found, need) is var (subject, asked) ? $"{subject} {asked}" : "";
    }

    private static Certificate Cut(Device device)
    {
        var (kind, which) =
            device.Bands.Count == 0
                ? (CertificateKind.NoRadio, "")
                : (CertificateKind.NoBand, $" at {string.Join(" or ", device.Bands.Select(BandWords.Of))}");
        return new(
            device.Id,
            $"{device.Name} on the internet",
            kind,
            $"{device.Name} has no socket, and no box of the home has a radio{which}."
        );
    }
}
