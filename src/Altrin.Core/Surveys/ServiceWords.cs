using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Services in words.</summary>
public static class ServiceWords
{
    /// <summary>Such as "fibre, 300 Mb/s down, 30 up, a public address that changes".</summary>
    public static string Of(Service service)
    {
        string?[] parts =
        [
            service.Access == AccessKind.Unknown ? null : Of(service.Access),
            service.DownMbps is { } down ? $"{down} Mb/s down" : null,
            service.UpMbps is { } up ? $"{up} up" : null,
            service switch
            {
                PublicDynamic { Leases: > 1 } several => $"{several.Leases} public addresses that change",
                PublicDynamic => "a public address that changes",
                PublicFixed given => $"the public address {given.Address}",
                CarrierNat => "carrier-grade NAT (CGNAT)",
                _ => "its address not asked",
            },
        ];
        return string.Join(", ", parts.OfType<string>());
    }

    /// <summary>By what it comes in.</summary>
    public static string Of(AccessKind access) =>
        access switch
        {
            AccessKind.Fibre => "fibre",
            AccessKind.TelephoneLine => "telephone line",
            AccessKind.TelevisionCable => "television cable",
            AccessKind.Mobile => "mobile network",
            AccessKind.FixedRadio => "radio link to a mast",
            AccessKind.Satellite => "satellite",
            AccessKind.BuildingNetwork => "the building's own network",
            _ => "not asked",
        };
}
