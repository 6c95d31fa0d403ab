using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Findings;

/// <summary>Spare injectors, and switches that give power, for boxes that live on power from the cable.</summary>
internal static class Injecting
{
    /// <summary>
    /// Plugs two ports together by a spare injector, or a switch that gives power, beside the first; null where the second one's box takes
    /// no power from the cable, gets it there already, or nothing spare gives what it needs.
    /// </summary>
    /// <param name="design">The home, both ports empty.</param>
    /// <param name="from">The port towards the internet.</param>
    /// <param name="to">The port of the box.</param>
    /// <param name="known">The cable between them.</param>
    public static IReadOnlyList<Change>? Changes(Design design, PortRef from, PortRef to, CableFacts known)
    {
        if (design.Box(to.Owner)?.Profile.Traits.Power is not { Takes: not null, OwnPlug: not Known.Yes } power)
        {
            return null;
        }
        return Feeds.At(design, from) is { } source && Suits(power, source.Kind)
            ? null
            : design
                .Site.Boxes.Where(b => b.Profile.Kind is BoxKind.Injector or BoxKind.Switch && design.Mode(b.Id) is null)
                .OrderBy(b => b.ToBuy)
                .ThenBy(b => b.Profile.Kind == BoxKind.Switch)
                .ThenBy(b => b.Id, StringComparer.Ordinal)
                .Select(b => (Box: b, Ports: Ports(design, b)))
                .Where(b => b.Ports is var (_, given) && Suits(power, given.Kind))
                .Select(b =>
                    (IReadOnlyList<Change>)
                        [
                            new SetMode(b.Box.Id, ModeKind.Switch),
                            new PlaceBox(b.Box.Id, PlaceOf(design, from.Owner)),
                            new Patch(from, b.Ports!.Value.In, CableFacts.Lead),
                            new Patch(b.Ports.Value.Out.At, to, known),
                        ]
                )
                .FirstOrDefault();
    }

    /// <summary>Where nothing feeds a box: a spare injector in its cable.</summary>
    public static IEnumerable<Remedy> Remedies(Evidence e, string box)
    {
        var design = e.Design;
        foreach (var cable in design.SetUp.Cables.Where(c => c.Ends(box)).OrderBy(c => c.Id, StringComparer.Ordinal).Take(1))
        {
            var to = cable.A.Owner == box ? cable.A : cable.B;
            if (
                new Unpatch(cable.Id).ApplyTo(design) is { Ok: true } pulled
                && Changes(design with { SetUp = pulled.Value }, cable.OtherEnd(to), to, cable.Known) is { } changes
                && changes.OfType<SetMode>().Single().Box is var injector
            )
            {
                yield return Cures.Hopeful($"Put {e.Name(injector)} into the cable of {e.Name(box)}", [new Unpatch(cable.Id), .. changes]);
            }
        }
    }

    private static (PortRef In, (PortRef At, PowerKind Kind) Out)? Ports(Design design, Box injector)
    {
        var ports = injector.Profile.Ports.Select(p => new PortRef(injector.Id, p.Id)).ToList();
        var given = ports.Select(p => (At: p, Source: Feeds.At(design, p))).FirstOrDefault(p => p.Source is not null);
        return given.Source is { } source && ports.Exists(p => p != given.At)
            ? (ports.First(p => p != given.At), (given.At, source.Kind))
            : null;
    }

    /// <summary>Passive power is for what takes passive power, and nothing else.</summary>
    private static bool Suits(PowerFacts taken, PowerKind given) =>
        taken.Takes == PowerKind.Passive || given == PowerKind.Passive
            ? taken.Takes == given
            : taken.NeedsWatts is not { } watts || watts <= PowerFacts.AtDeviceWatts(given);

    private static string? PlaceOf(Design design, string owner) => design.Setting(owner)?.Place;
}
