using System.Globalization;
using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>"Fibre, 300/30, public, login".</summary>
internal static partial class QuickService
{
    private static readonly (string Word, AccessKind Kind)[] Accesses =
    [
        ("fibre", AccessKind.Fibre),
        ("telephone line", AccessKind.TelephoneLine),
        ("phone line", AccessKind.TelephoneLine),
        ("dsl", AccessKind.TelephoneLine),
        ("television cable", AccessKind.TelevisionCable),
        ("tv cable", AccessKind.TelevisionCable),
        ("cable", AccessKind.TelevisionCable),
        ("mobile", AccessKind.Mobile),
        ("4g", AccessKind.Mobile),
        ("5g", AccessKind.Mobile),
        ("mast", AccessKind.FixedRadio),
        ("radio", AccessKind.FixedRadio),
        ("satellite", AccessKind.Satellite),
        ("building", AccessKind.BuildingNetwork),
    ];

    public static IReadOnlyList<Correction>? Read(HomeFile home, QuickWords words)
    {
        var service = home.Site.Service;
        InterfaceAddress? address = null;
        Ipv4Address? gateway = null;
        words.Rest(
            "fibre or another way in, a rate such as 300/30, public, fixed with its address and gateway, shared or unknown, 2 addresses, login, tag 7 or locked may stand here",
            text =>
                Accesses.FirstOrDefault(a => QuickWords.Is(text, a.Word)) is { Word: not null } access
                    ? QuickGear.Then(() => service = service with { Access = access.Kind }, ServiceWords.Of(access.Kind))
                    : null,
            text =>
                Rates().Match(text) is { Success: true } m
                    ? QuickGear.Then(
                        () =>
                            service = service with
                            {
                                DownMbps = Number(m.Groups[1]),
                                UpMbps = m.Groups[2].Success ? Number(m.Groups[2]) : service.UpMbps,
                            },
                        m.Groups[2].Success ? "Mb/s down and up" : "Mb/s down"
                    )
                    : null,
            text =>
                QuickWords.Is(text, "public")
                    ? QuickGear.Then(
                        () =>
                            service = new PublicDynamic(service.DownMbps, service.UpMbps)
                            {
                                Leases = service.Leases,
                                Line = service.Line,
                                Access = service.Access,
                                HandOff = service.HandOff,
                            },
                        "a public address that changes"
                    )
                    : null,
            text =>
                QuickWords.Is(text, "shared", "carrier", "translated")
                    ? QuickGear.Then(
                        () =>
                            service = new CarrierNat(service.DownMbps, service.UpMbps)
                            {
                                Leases = service.Leases,
                                Line = service.Line,
                                Access = service.Access,
                                HandOff = service.HandOff,
                            },
                        "carrier-grade NAT"
                    )
                    : null,
            text =>
                QuickWords.Is(text, "unknown")
                    ? QuickGear.Then(
                        () =>
                            service = new UnknownService(service.DownMbps, service.UpMbps)
                            {
                                Leases = service.Leases,
                                Line = service.Line,
                                Access = service.Access,
                                HandOff = service.HandOff,
                            },
                        "its address not asked"
                    )
                    : null,
            text => QuickWords.Is(text, "fixed") ? QuickWords.Means("a public address that stays") : null,
            text =>
                text.Contains('/', StringComparison.Ordinal) && QuickGear.Address(text) is { } read
                    ? !read.Ok
                        ? Parsed<string>.Fail(read.Error)
                        : QuickGear.Then(() => address = read.Value, "the public address")
                    : null,
            text =>
                text.StartsWith("gateway ", StringComparison.OrdinalIgnoreCase)
                    ? Ipv4Address.Parse(text[8..].Trim()) is { Ok: true } side
                        ? QuickGear.Then(() => gateway = side.Value, "the provider's side")
                        : Parsed<string>.Fail("The provider's side is an address such as 203.0.113.1.")
                    : null,
            text =>
                QuickWords.Is(text, "login", "no login")
                    ? QuickGear.Then(
                        () =>
                            service = service with
                            {
                                Line = service.Line with { Login = QuickWords.Is(text, "login") ? Known.Yes : Known.No },
                            },
                        "whether the line asks for a login"
                    )
                    : null,
            text =>
                Tags().Match(text) is { Success: true } m
                    ? QuickGear.Then(
                        () => service = service with { Line = service.Line with { Tagged = Known.Yes, Tag = Number(m.Groups[1]) } },
                        "VLAN tag"
                    )
                    : null,
            text =>
                Counts().Match(text) is { Success: true } m
                    ? QuickGear.Then(() => service = service with { Leases = Number(m.Groups[1]) }, "how many addresses it gives")
                    : null,
            text =>
                QuickWords.Is(text, "no tag")
                    ? QuickGear.Then(
                        () => service = service with { Line = service.Line with { Tagged = Known.No, Tag = null } },
                        "no VLAN tag"
                    )
                    : null,
            text =>
                QuickWords.Is(text, "locked", "not locked")
                    ? QuickGear.Then(
                        () =>
                            service = service with
                            {
                                Line = service.Line with
                                {
                                    Locked = QuickWords.Is(text, "locked") ? Known.Yes : Known.No,
                                    LockedTo = QuickWords.Is(text, "locked") ? service.Line.LockedTo : null,
                                },
                            },
                        "whether it lets one MAC address on"
                    )
                    : null
        );
        if (address is { } own && gateway is { } to)
        {
            service = new PublicFixed(own, to, service.DownMbps, service.UpMbps)
            {
                Leases = service.Leases,
                Line = service.Line,
                Access = service.Access,
                HandOff = service.HandOff,
            };
        }
        else if (address is not null || gateway is not null)
        {
            words.Fail("A fixed address needs both, such as 203.0.113.40/24, gateway 203.0.113.1.", 1);
        }
        return words.Error is not null ? null : [SetService.Between(home.Site.Service, service)];
    }

    private static int Number(Group group) => int.Parse(group.ValueSpan, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^(\d{1,6})\s*(?:/\s*(\d{1,6}))?\s*(?:mb/s|mbps|m)?$", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex Rates();

    [GeneratedRegex(@"^(\d{1,2})\s*(?:public\s+)?addresses$", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex Counts();

    [GeneratedRegex(@"^(?:tag|vlan)\s*(\d{1,4})$", RegexOptions.NonBacktracking | RegexOptions.IgnoreCase)]
    private static partial Regex Tags();
}
