using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>
/// Pairs of set-ups of one home from a seed: a sound plan of a sample, and what may be found in its place, with the faults that people
/// make. Knows nothing of how an order is looked for.
/// </summary>
internal static class PairGenerator
{
    /// <summary>A pair.</summary>
    /// <param name="From">The home as it is found.</param>
    /// <param name="To">The plan.</param>
    /// <param name="Traits">What it is made of, such as "renumbered".</param>
    public sealed record Pair(Design From, SetUp To, IReadOnlyList<string> Traits);

    public static Pair Make(int seed)
    {
        var dice = new Random(seed);
        var names = Samples.Evenings.ToList();
        var name = names[dice.Next(names.Count)];
        var (home, acts) = (Samples.Home(name), ActsFile.Read(Samples.Evening(name)).Value!);
        var (found, planned) = (home.Design(acts.Begins)!, home.Design(acts.Ends)!);
        var traits = new List<string> { name };
        if (dice.Next(8) == 0)
        {
            traits.Add("habits unknown");
            var site = planned.Site with
            {
                Boxes =
                [
                    .. planned.Site.Boxes.Select(b =>
                        b with
                        {
                            Profile = b.Profile with { Traits = Known(b.Profile), Habits = BoxHabits.NotKnown },
                        }
                    ),
                ],
            };
            (found, planned) = (found with { Site = site }, planned with { Site = site });
        }
        if (seed % 25 == 0)
        {
            return Leased(seed);
        }
        var from = dice.Next(4) == 0 ? found : planned;
        if (from == planned)
        {
            var faults = dice.Next(1, 4);
            for (var i = 0; i < faults; i++)
            {
                from = Fault(dice, from, traits);
            }
        }
        if (dice.Next(5) == 0)
        {
            from = Renumbered(dice, from, traits);
        }
        if (dice.Next(2) == 0)
        {
            from = Swapped(from, planned, traits);
        }
        if (planned.SetUp.Boxes.Any(b => b.Mode.Joins is not null || b.Mode is SatelliteMode))
        {
            traits.Add("radio only");
        }
        return new(from, planned.SetUp, traits);
    }

    /// <summary>
    /// A second DHCP server whose leases lie in the pool of the first: whatever comes first, the first hands out what is in use, unless the
    /// lease time was shortened at an earlier visit.
    /// </summary>
    private static Pair Leased(int seed)
    {
        const string Name = "t01-access-point-by-hand.json";
        var planned = Samples.Home(Name).Design("planned")!;
        var from = Changed(planned, new SwitchDhcpServer("upstairs-router", true));
        from = seed % 2 == 0 ? from : Named(from, "upstairs-router", null, on: false);
        return new(from, planned.SetUp, [Name, "two DHCP servers"]);
    }

    /// <summary>What a box has no page or application for cannot be set whatever one knows: these stay.</summary>
    private static Traits Known(Profile profile) =>
        Traits.NotKnown with
        {
            App = profile.Traits.App,
            Pages = profile.Traits.Pages is { Count: 0 } ? [] : null,
        };

    private static Design Fault(Random dice, Design design, List<string> traits)
    {
        var boxes = design.SetUp.Boxes.Select(b => b.Box).Order(StringComparer.Ordinal).ToList();
        var gateway = design
            .SetUp.Cables.Where(c => c.Ends(PortRef.Street))
            .Select(c => c.A.Owner == PortRef.Street ? c.B.Owner : c.A.Owner)
            .FirstOrDefault();
        var further = boxes.Where(b => b != gateway).ToList();
        if (further.Count == 0)
        {
            return design;
        }
        var box = further[dice.Next(further.Count)];
        var what = dice.Next(10);
        var (said, after) = what switch
        {
            0 => ("reset", design with { SetUp = BoxReset.Of(design, box, []) }),
            1 or 2 => ("away", Changed(design, new TakeOutOfUse(box))),
            3 => ("DHCP turned", Changed(design, new SwitchDhcpServer(box, design.Mode(box) is RouterMode { Server.On: false }))),
            4 => ("other name", Named(design, box, dice.Next(2) == 0 ? "other" : null)),
            5 => ("page address", Changed(design, new SetPageAddress(box, new Automatic()))),
            6 => ("cable out", Pulled(dice, design)),
            7 => (
                "another mode",
                Changed(design, new SetMode(box, design.Box(box)!.Profile.Modes[dice.Next(design.Box(box)!.Profile.Modes.Count)]))
            ),
            8 => ("device typed", Typed(dice, design)),
            _ => ("radio off", Named(design, box, null, on: false)),
        };
        traits.Add(said);
        return after;
    }

    private static Design Changed(Design design, Change change) =>
        change.ApplyTo(design) is { Ok: true, Value: var set } ? design with { SetUp = set } : design;

    private static Design Named(Design design, string box, string? name, bool on = true) =>
        design with
        {
            SetUp = design.SetUp with
            {
                Boxes =
                [
                    .. design.SetUp.Boxes.Select(b =>
                        b.Box == box
                            ? b with
                            {
                                Mode = b.Mode.WithRadios([.. b.Mode.Radios.Select(r => r with { On = on, Name = name ?? r.Name })]),
                            }
                            : b
                    ),
                ],
            },
        };

    private static Design Pulled(Random dice, Design design)
    {
        var cables = design.SetUp.Cables.Where(c => !c.Ends(PortRef.Street)).OrderBy(c => c.Id, StringComparer.Ordinal).ToList();
        return cables.Count == 0 ? design : Changed(design, new Unpatch(cables[dice.Next(cables.Count)].Id));
    }

    private static Design Typed(Random dice, Design design)
    {
        var devices = design.SetUp.Devices.Select(d => d.Device).Order(StringComparer.Ordinal).ToList();
        return devices.Count == 0
            ? design
            : Changed(
                design,
                new SetDeviceAddress(
                    devices[dice.Next(devices.Count)],
                    new Fixed(InterfaceAddress.Parse($"192.168.8.{dice.Next(5, 250)}/24").Value, Ipv4Address.From(192, 168, 8, 1), [])
                )
            );
    }

    private static Design Renumbered(Random dice, Design design, List<string> traits)
    {
        var router = design.SetUp.Boxes.FirstOrDefault(b => b.Mode is RouterMode { Server.On: true });
        if (router is null)
        {
            return design;
        }
        traits.Add("renumbered");
        return Changed(design, new SetLanAddress(router.Box, InterfaceAddress.Parse($"192.168.{dice.Next(30, 90)}.1/24").Value));
    }

    /// <summary>Another router at the line, one that is not part of the plan or stands behind the gateway there.</summary>
    private static Design Swapped(Design design, Design planned, List<string> traits)
    {
        var line = design.SetUp.Cables.FirstOrDefault(c => c.Ends(PortRef.Street));
        var other = design.SetUp.Boxes.FirstOrDefault(b =>
            b.Mode is RouterMode && line?.Ends(b.Box) == false && design.Box(b.Box)!.Profile.Ports.Any(p => p.Role == PortRole.Wan)
        );
        if (line is null || other is null)
        {
            return design;
        }
        traits.Add("gateway swapped");
        var wan = new PortRef(other.Box, design.Box(other.Box)!.Profile.Ports.First(p => p.Role == PortRole.Wan).Id);
        var bare = design.SetUp.Cables.Where(c => c.Id != line.Id && c.A != wan && c.B != wan);
        return design with { SetUp = design.SetUp with { Cables = [.. bare, new Cable(line.Id, PortRef.AtStreet, wan, line.Known)] } };
    }
}
