using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Something that the survey does not say yet.</summary>
/// <param name="Subject">Id of the box, device or place; "street" for the service.</param>
/// <param name="What">What is missing, in a line.</param>
/// <param name="How">How to find it out.</param>
public sealed record SurveyGap(string Subject, string What, string How);

/// <summary>Looks for what a survey leaves open.</summary>
public static class SurveyGaps
{
    /// <summary>What is missing, the most important first.</summary>
    public static IReadOnlyList<SurveyGap> Of(Design found)
    {
        var (site, service) = (found.Site, found.Site.Service);
        var gaps = new List<SurveyGap>();
        if (site.Boxes.Count == 0)
        {
            gaps.Add(new(PortRef.Street, "No gear is noted.", "Begin with the box at which the internet comes in."));
            return gaps;
        }
        if (service.HandOff is null)
        {
            gaps.Add(
                new(
                    PortRef.Street,
                    "The box at the internet line is not noted.",
                    "Follow the cable from where the internet line comes into the house."
                )
            );
        }
        if (service is UnknownService)
        {
            gaps.Add(
                new(
                    PortRef.Street,
                    "Whether the home gets a public address is not known.",
                    "Compare the WAN address on the gateway's page with the address that an outside service sees. 100.64 to 100.127, 10, 172.16 to 172.31 or 192.168 on the outside means that something further out does NAT; then ask the provider."
                )
            );
        }
        if (service.DownMbps is null)
        {
            gaps.Add(new(PortRef.Street, "The rate that is sold is not known.", "It stands on the bill or in the customer's account."));
        }
        if (
            site.Boxes.Any(b => b.Profile.Kind == BoxKind.Router)
            && new[] { service.Line.Login, service.Line.Tagged, service.Line.Locked }.Contains(Known.Unknown)
        )
        {
            gaps.Add(
                new(
                    PortRef.Street,
                    "What the internet line asks of a box is not known: login, VLAN tag, lock.",
                    "Ask the provider, or read the WAN side on the gateway's page, before another router is connected to it."
                )
            );
        }
        gaps.AddRange(Unconnected(found));
        gaps.AddRange(Assumed(found));
        gaps.AddRange(
            Together(
                [.. site.Boxes.Where(b => !b.ToBuy && b.Mac is null && b.Profile.Modes.Any(m => m != ModeKind.Switch))],
                one => $"The MAC address of {one} is not read.",
                all => $"The MAC addresses of {all} are not read.",
                "It stands on the label; the box is found again by it after a change of mode."
            )
        );
        gaps.AddRange(
            Together(
                [.. site.Boxes.Where(b => !b.ToBuy && b.FactoryAddress is null && b.Profile.Modes.Contains(ModeKind.Router))],
                one => $"The address of {one} after a reset is not known.",
                all => $"The addresses of {all} after a reset are not known.",
                "It stands on the label."
            )
        );
        if (site.Country is null && site.Boxes.Any(b => b.Profile.Radios.Count > 0))
        {
            gaps.Add(
                new(
                    PortRef.Street,
                    "The country is not noted.",
                    "Channels and power of radios, and cabling, are a matter of its law; note it below, under 'This home'."
                )
            );
        }
        if (site.Places.Count == 0)
        {
            gaps.Add(new(PortRef.Street, "No room is noted.", "A name and a rough size of each is enough."));
        }
        else
        {
            gaps.AddRange(
                found
                    .SetUp.Boxes.Where(b => b.Place is null)
                    .Select(b => new SurveyGap(
                        b.Box,
                        $"Where {found.NameOf(b.Box)} stands is not noted.",
                        "Cable lengths and weak rooms follow from it."
                    ))
            );
        }
        if (site.Needs.Count == 0 && site.Devices.Count > 0)
        {
            gaps.Add(
                new(
                    PortRef.Street,
                    "What must work beyond browsing is not noted.",
                    "Cameras watched from away, printers, games, calls, guests, telephone, alarm."
                )
            );
        }
        return gaps;
    }

    /// <summary>One gap for all boxes that lack the same; it leads to the first of them.</summary>
    private static IEnumerable<SurveyGap> Together(
        IReadOnlyList<Box> boxes,
        Func<string, string> one,
        Func<string, string> all,
        string how
    ) =>
        boxes switch
        {
            [] => [],
            [var alone] => [new(alone.Id, one(alone.Name), how)],
            _ => [new(boxes[0].Id, all($"{string.Join(", ", boxes.SkipLast(1).Select(b => b.Name))} and {boxes[^1].Name}"), how)],
        };

    /// <summary>How boxes in use are set as far as it was not read on their pages.</summary>
    private static IEnumerable<SurveyGap> Assumed(Design found)
    {
        foreach (var setting in found.SetUp.Boxes)
        {
            var (box, mode) = (found.Box(setting.Box)!, setting.Mode);
            var assumed = box.Assumed.In(mode);
            var router = mode as RouterMode;
            List<string> parts =
            [
                .. assumed.LanAddress is { } lan ? [$"its address {lan}"] : Array.Empty<string>(),
                .. assumed.DhcpServer is { } on ? [on ? "its DHCP server on" : "its DHCP server off"] : Array.Empty<string>(),
                .. assumed.Pool is { } pool && router?.Server.On == true ? [$"its pool {pool}"] : Array.Empty<string>(),
                .. assumed.WifiName is { } name && mode.Radios.Any(r => r.On) ? [$"its Wi-Fi name \"{name}\""] : Array.Empty<string>(),
            ];
            if (parts.Count > 0)
            {
                yield return new(
                    box.Id,
                    $"How {box.Name} is set is assumed: {string.Join(", ", parts)}.",
                    "Read it on its page; what is typed reaches the plan where the plan still holds what was assumed."
                );
            }
        }
        foreach (
            var gap in Together(
                [
                    .. found
                        .SetUp.Boxes.Where(b =>
                            b.Mode.Radios.Any(r => r is { On: true, Password: null } && r.Security != WifiSecurity.Open)
                        )
                        .Select(b => found.Box(b.Box)!),
                ],
                one => $"The Wi-Fi password of {one} is not recorded.",
                all => $"The Wi-Fi passwords of {all} are not recorded.",
                "They stand on labels, or on their pages under Wi-Fi; one for the whole house is typed beside its name."
            )
        )
        {
            yield return gap;
        }
    }

    /// <summary>What is in use and joins nothing: it is not said yet how it is connected.</summary>
    private static IEnumerable<SurveyGap> Unconnected(Design found)
    {
        var wired = found.SetUp.Cables.SelectMany(c => new[] { c.A.Owner, c.B.Owner }).ToHashSet(StringComparer.Ordinal);
        var boxes = found
            .SetUp.Boxes.Where(b =>
                b.Mode switch
                {
                    SatelliteMode node => node.Main == b.Box,
                    { Joins: { } link } => link.Box == b.Box,
                    _ => true,
                }
            )
            .Select(b => b.Box);
        var devices = found.SetUp.Devices.Where(d => d.Wifi is null).Select(d => d.Device);
        return boxes
            .Concat(devices)
            .Where(id => !wired.Contains(id))
            .Select(id => new SurveyGap(
                id,
                $"How {found.NameOf(id)} is connected is not noted.",
                "Follow its cable, or read on its page which Wi-Fi it joins."
            ));
    }
}
