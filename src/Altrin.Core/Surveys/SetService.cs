using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Says something of what the provider delivers; what is not given stays.</summary>
public sealed record SetService(Partial<ServiceFacts> Service) : Correction
{
    /// <summary>What makes one service into another.</summary>
    public static SetService Between(Service from, Service to) =>
        new(Partial<ServiceFacts>.Between(ServiceFacts.Of(from), ServiceFacts.Of(to)));

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var facts = Service.On(ServiceFacts.Of(home.Site.Service));
        // A tag, or a MAC address, of a line that asks for none was meant and would be lost.
        return
            (
                Service.Gives(nameof(ServiceFacts.Tag)) && facts is { Tagged: not Known.Yes, Tag: not null }
                    ? "Only a line that asks for a tag has one."
                : Service.Gives(nameof(ServiceFacts.LockedTo)) && facts is { Locked: not Known.Yes, LockedTo: not null }
                    ? "Only a locked line is locked to a MAC address."
                : null
            )
                is { } meant
            ? Parsed<HomeFile>.Fail(meant)
            : facts.Whole().Then<HomeFile>(s => Edit.Unless(Wrong(home.Site, s), home.With(home.Site with { Service = s })));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        Service.On(ServiceFacts.Of(home.Site.Service)).Whole() is { Ok: true } whole
            ? $"The internet service is noted: {ServiceWords.Of(whole.Value)}"
            : "The internet service is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            .. Service
                .Given.Concat(
                    Service.Gives(nameof(ServiceFacts.Kind))
                        ?
                        [
                            nameof(ServiceFacts.Address),
                            nameof(ServiceFacts.Gateway),
                            nameof(ServiceFacts.DnsServers),
                            nameof(ServiceFacts.Inside),
                        ]
                        : []
                )
                .Concat(Service.Gives(nameof(ServiceFacts.Tagged)) ? [nameof(ServiceFacts.Tag)] : [])
                .Concat(Service.Gives(nameof(ServiceFacts.Locked)) ? [nameof(ServiceFacts.LockedTo)] : [])
                .Distinct()
                .Select(m => new Touch(Setting.Service, "", m)),
        ];

    private static string? Wrong(Site site, Service service) =>
        service.DownMbps is < 1 or > Limits.RateMbps || service.UpMbps is < 1 or > Limits.RateMbps
            ? $"A rate is 1 to {Limits.RateMbps:#,0} Mb/s."
        : service.Leases is < 1 or > Limits.ProviderLeases ? $"A provider gives 1 to {Limits.ProviderLeases} addresses at a time."
        : PageChecks.WrongTag(service.Line.Tag)
            ?? PageChecks.WrongKeyReference(service.Line.Password)
            ?? (service.Line.Account is { } account ? Given.WrongName(account) : null)
            ?? (service.HandOff is { } box && site.Boxes.All(b => b.Id != box) ? $"There is no box '{Ipv4Address.Shown(box)}'." : null)
            ?? (
                service is PublicFixed given
                    ? PageChecks.WrongOwnAddress(given.Address)
                        ?? PageChecks.WrongHost(given.Gateway)
                        ?? (
                            given.Address.Subnet.IsHost(given.Gateway)
                                ? null
                                : $"The provider's side {given.Gateway} lies outside {given.Address.Subnet}."
                        )
                    : null
            )
            ?? (service is PublicFixed letter ? PageChecks.TooMany(letter.DnsServers) : null)
            ?? (service is CarrierNat { Inside: { PrefixLength: < 8 or > 28 } } ? "A provider's block is /8 to /28." : null);
}
