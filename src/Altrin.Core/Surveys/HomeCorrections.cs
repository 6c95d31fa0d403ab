using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Names the home, and says how its Wi-Fi is named.</summary>
public sealed record SetHome(string Name, NamingSchool Naming) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Edit.Unless(Given.WrongName(Name), home.With(home.Site with { Name = Name.Trim(), Naming = Naming }));

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"The home is called {Name}";
}

/// <summary>Says what the provider delivers.</summary>
public sealed record SetService(Service Service) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        Edit.Unless(Wrong(home.Site), home.With(home.Site with { Service = Service }));

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"The internet service is noted: {ServiceWords.Of(Service)}";

    private string? Wrong(Site site) =>
        Service.DownMbps is < 1 or > 1_000_000 || Service.UpMbps is < 1 or > 1_000_000 ? "A rate is 1 to 1,000,000 Mb/s."
        : Service.Leases is < 1 or > 16 ? "A provider gives 1 to 16 addresses at a time."
        : PageChecks.WrongTag(Service.Line.Tag)
        ?? PageChecks.WrongKeyReference(Service.Line.Password)
        ?? (Service.Line.Account is { } account ? Given.WrongName(account) : null)
        ?? (Service.Line is { Tagged: not Known.Yes, Tag: not null } ? "Only a line that asks for a tag has one." : null)
        ?? (Service.Line is { Locked: not Known.Yes, LockedTo: not null } ? "Only a locked line is locked to somebody." : null)
        ?? (Service.HandOff is { } box && site.Boxes.All(b => b.Id != box) ? $"There is no box '{Ipv4Address.Shown(box)}'." : null)
        ?? (Service is PublicFixed given ? PageChecks.WrongOwnAddress(given.Address) ?? PageChecks.WrongHost(given.Gateway) ?? (given.Address.Subnet.IsHost(given.Gateway) ? null : $"The provider's side {given.Gateway} lies outside {given.Address.Subnet}.") : null)
        ?? (Service is PublicFixed { NameServers.Count: > 4 } ? "At most 4 name servers are taken." : null)
        ?? (Service is CarrierTranslation { Inside: { PrefixLength: < 8 or > 28 } } ? "A provider's block is /8 to /28." : null);
}

/// <summary>Begins the set-up "planned" as a copy of what was found.</summary>
public sealed record StartPlan : Correction
{
    /// <summary>The set-up that the survey records.</summary>
    public const string Found = "found";

    /// <summary>The set-up that is planned.</summary>
    public const string Planned = "planned";

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        home.SetUps.Any(s => s.Name == Planned) ? Parsed<HomeFile>.Fail("There is a plan already.")
        : home.SetUps.FirstOrDefault(s => s.Name == Found) is not { } found ? Parsed<HomeFile>.Fail("Nothing was found yet: the survey comes first.")
        : home with { SetUps = [.. home.SetUps, found with { Name = Planned, Accepted = [] }] };

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => "The plan begins with what was found";
}

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
                PublicDynamic => "a public address that changes",
                PublicFixed given => $"the public address {given.Address}",
                CarrierTranslation => "the provider translates",
                _ => "its address not asked",
            },
        ];
        return string.Join(", ", parts.OfType<string>());
    }

    /// <summary>By what it comes in.</summary>
    public static string Of(AccessKind access) => access switch
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
