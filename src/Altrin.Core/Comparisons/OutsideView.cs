using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Comparisons;

/// <summary>
/// What follows when the address that the outside sees is held against the WAN address of the outermost box of one's own.
/// </summary>
/// <param name="Beyond">Whether something further out than that box does NAT.</param>
/// <param name="Translations">How many translations lie between the home and the internet, in words.</param>
/// <param name="Inbound">What that means for connections from outside.</param>
/// <param name="Unproven">What it leaves unproven, and how it would be settled.</param>
public sealed record OutsideView(Known Beyond, string Translations, string Inbound, IReadOnlyList<string> Unproven)
{
    private const string TryIt =
        "Only a connection opened from outside proves that one arrives: try it from another network, such as a telephone's own.";

    /// <summary>Judges by the two addresses alone.</summary>
    /// <param name="seen">What the outside sees; null where it saw an IPv6 address.</param>
    /// <param name="wan">The WAN address on the page of the box.</param>
    /// <param name="inside">How many routers of one's own translate on the way there; null where that is not known.</param>
    public static OutsideView Of(Ipv4Address? seen, Ipv4Address? wan, int? inside)
    {
        var own = inside is { } count ? $"{Counted(count)} in the home" : "NAT in the home";
        if (seen is { } shown && SpecialBlock.UseOf(shown) is not (AddressUse.Public or AddressUse.Documentation))
        {
            return new(
                Known.Unknown,
                "Nothing follows.",
                "Nothing follows.",
                [
                    $"{shown} is no address of the internet ({SpecialBlock.Of(shown)!.Name}, {SpecialBlock.Of(shown)!.Source}): an outside service cannot have seen it. It was read off a page of the home.",
                ]
            );
        }
        var use = wan is { } address ? SpecialBlock.UseOf(address) : (AddressUse?)null;
        if (use is AddressUse.CarrierShared)
        {
            return new(
                Known.Yes,
                $"{Capital(own)}, and the provider's.",
                "Nothing can be opened from outside over IPv4: carrier-grade NAT (RFC 6598, RFC 7335).",
                ["Ask the provider for a public address or for IPv6, or use a tunnel that is opened from inside."]
            );
        }
        if (use is AddressUse.Private)
        {
            return new(
                Known.Yes,
                $"{Capital(own)}, and at least one further out.",
                "Nothing can be opened from outside unless the NAT further out forwards it.",
                [
                    $"Whose NAT it is, is not known: a box further out in the home, the building, or the provider, many of whom use 10.0.0.0/8. The page of that box names its WAN gateway: where a page answers at that address, it is a box of the home or the building.",
                ]
            );
        }
        if (use is AddressUse.LinkLocal or AddressUse.NotForHosts)
        {
            return new(
                Known.Unknown,
                "Nothing follows.",
                "Nothing follows.",
                [$"{wan} is no address that a provider gives: the box has none at its WAN side. Look at its cable and its login."]
            );
        }
        if (seen is null)
        {
            return new(
                Known.Unknown,
                "Not known.",
                "Not known.",
                ["The outside saw an IPv6 address. Ask a service that answers over IPv4 only."]
            );
        }
        if (wan is null)
        {
            return new(
                Known.Unknown,
                "Not known.",
                "Not known.",
                ["Read the WAN address on the page of the outermost box, and hold it against this one."]
            );
        }
        return seen == wan
            ? new(
                Known.No,
                $"{Capital(own)}; none further out that changes the address.",
                "Connections from outside can arrive where that box forwards them.",
                [TryIt, "Some providers share one public address by ports: then the addresses are equal, and only some ports arrive."]
            )
            : new(
                Known.Yes,
                $"{Capital(own)}, and at least one further out: the addresses differ.",
                "Nothing can be opened from outside to the address of that box as it stands.",
                [
                    "Or the outside was asked another way: over a tunnel, a company's network, a telephone's own line, or a second internet service. Switch these off and ask again.",
                    TryIt,
                ]
            );
    }

    /// <summary>The same with the routers counted that translate between a seat and the street, as a statement.</summary>
    internal static (OutsideView View, Statement Statement) Of(Design design, SeatView? at, OutsideRead read)
    {
        var inside =
            at is null || at.Sides.Count == 0 ? (int?)null : at.Seen.Tracer.ToInternet(at.Sides[0]).NatBy.Count(t => t != PortRef.Street);
        var view = Of(read.Seen, read.Wan, inside);
        var service = design.Site.Service;
        var expected = service switch
        {
            CarrierNat => Known.Yes,
            PublicDynamic or PublicFixed => Known.No,
            _ => Known.Unknown,
        };
        var fixedAddress = service is PublicFixed fix && read.Wan is { } wan && fix.Address.Address != wan;
        var carrier = read.Wan is { } at2 && SpecialBlock.UseOf(at2) == AddressUse.CarrierShared && service is not CarrierNat;
        var agreement =
            view.Beyond == Known.Unknown || expected == Known.Unknown ? Agreement.Unknown
            : view.Beyond == expected && !fixedAddress ? Agreement.Agrees
            : Agreement.Disagrees;
        return (
            view,
            new(
                "outside",
                read.Line,
                $"The outside sees {(read.Seen is { } s ? $"{s}" : "an IPv6 address")}{(read.Wan is { } w ? $", the box has {w}" : "")}. {view.Translations}",
                agreement
            )
            {
                Recorded = $"Recorded: {ServiceWords.Of(service)}.",
                Offer = carrier ? CarrierOffer : null,
                Corrections = carrier ? [Translating] : [],
                Explanations =
                    agreement == Agreement.Disagrees && fixedAddress
                        ? [new("The box does not have the address of the provider's letter.", [])]
                        : [],
            }
        );
    }

    /// <summary>What accepting it writes, in words.</summary>
    internal const string CarrierOffer = "Carrier-grade NAT: several customers share one public address";

    /// <summary>The same service behind carrier-grade NAT.</summary>
    internal static SetService Translating { get; } = new(Partial<ServiceFacts>.With(s => s.Kind, ServiceKind.CarrierNat));

    private static string Counted(int count) =>
        count switch
        {
            0 => "no NAT",
            1 => "one NAT",
            2 => "double NAT",
            _ => $"{count} times NAT",
        };

    private static string Capital(string text) => string.Concat(text[..1].ToUpperInvariant(), text.AsSpan(1));
}
