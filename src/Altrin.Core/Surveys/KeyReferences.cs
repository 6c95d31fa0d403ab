using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Where a key or password is used.</summary>
/// <param name="Reference">What the home calls it.</param>
/// <param name="Where">In words, such as "Wi-Fi home of Hall gateway".</param>
public sealed record KeyUse(string Reference, string Where);

/// <summary>The references to keys and passwords of a home.</summary>
public static class KeyReferences
{
    /// <summary>Every use, in order of reference.</summary>
    public static IReadOnlyList<KeyUse> Of(HomeFile home)
    {
        var uses = new List<KeyUse>();
        _ = Through(home, (reference, where) =>
        {
            uses.Add(new(reference, where));
            return reference;
        });
        return [.. uses.Distinct().OrderBy(u => u.Reference, StringComparer.Ordinal)];
    }

    /// <summary>The same home with one reference exchanged for another everywhere.</summary>
    public static HomeFile Exchange(HomeFile home, string from, string to) =>
        Through(home, (reference, _) => reference == from ? to : reference);

    private static HomeFile Through(HomeFile home, Func<string, string, string> see)
    {
        var site = home.Site;
        return new(
            site with
            {
                Service = site.Service with
                {
                    Line = site.Service.Line with { Password = See(site.Service.Line.Password, "login of the line") },
                },
                Boxes =
                [
                    .. site.Boxes.Select(b =>
                        b with
                        {
                            Label = b.Label with
                            {
                                Password = See(b.Label.Password, $"label of {b.Name}: password"),
                                WifiPassword = See(b.Label.WifiPassword, $"label of {b.Name}: Wi-Fi password"),
                            },
                            Stored = b.Stored with { WifiPassword = See(b.Stored.WifiPassword, $"Wi-Fi of {b.Name} in its last home") },
                        }
                    ),
                ],
                Needs =
                [
                    .. site.Needs.Select(n =>
                        n is KeepsNameAndPassword keeps
                            ? keeps with
                            {
                                Password = See(keeps.Password, $"Wi-Fi {keeps.Name}, to be kept"),
                            }
                            : n
                    ),
                ],
            },
            [
                .. home.SetUps.Select(s =>
                    s with
                    {
                        Boxes =
                        [
                            .. s.Boxes.Select(b =>
                                b with
                                {
                                    Password = See(b.Password, $"page of {Name(b.Box)}"),
                                    Mode = Mode(b.Mode, Name(b.Box)),
                                }
                            ),
                        ],
                        Devices =
                        [
                            .. s.Devices.Select(d =>
                                d.Wifi is { } wifi
                                    ? d with
                                    {
                                        Wifi = wifi with { Password = See(wifi.Password, $"Wi-Fi {wifi.Name}, known to {Name(d.Device)}") },
                                    }
                                    : d
                            ),
                        ],
                    }
                ),
            ]
        );

        string? See(string? reference, string where) => reference is null ? null : see(reference, where);

        string Name(string id) =>
            site.Boxes.FirstOrDefault(b => b.Id == id)?.Name ?? site.Devices.FirstOrDefault(d => d.Id == id)?.Name ?? id;

        BoxMode Mode(BoxMode mode, string box) =>
            mode switch
            {
                RouterMode router => router with
                {
                    Wifi = Radios(router.Wifi, box),
                    Guest = router.Guest is { } guest
                        ? guest with
                        {
                            Password = See(guest.Password, $"Wi-Fi {guest.Name} of {box}"),
                        }
                        : null,
                    Uplink = Link(router.Uplink, box),
                },
                AccessPointMode point => point with
                {
                    Wifi = Radios(point.Wifi, box),
                    Guest = point.Guest is { } guest ? guest with { Password = See(guest.Password, $"Wi-Fi {guest.Name} of {box}") } : null,
                },
                RepeaterMode repeater => repeater with { Wifi = Radios(repeater.Wifi, box), Link = Link(repeater.Link, box)! },
                WirelessBridgeMode bridge => bridge with { Link = Link(bridge.Link, box)! },
                _ => mode,
            };

        IReadOnlyList<RadioSetting> Radios(IReadOnlyList<RadioSetting> radios, string box) =>
            [
                .. radios.Select(r =>
                    r with
                    {
                        Password = See(r.Password, $"Wi-Fi {r.Name} of {box}"),
                        FurtherNames = [.. r.FurtherNames.Select(n => n with { Password = See(n.Password, $"Wi-Fi {n.Name} of {box}") })],
                    }
                ),
            ];

        Uplink? Link(Uplink? link, string box) =>
            link is null ? null : link with { Password = See(link.Password, $"Wi-Fi {link.Name}, joined by {box}") };
    }
}
