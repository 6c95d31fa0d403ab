using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>Every step from one set-up of a home to others that may be better.</summary>
internal static class PlanMoves
{
    /// <summary>In how many places a further box is tried: the rooms with the weakest Wi-Fi first.</summary>
    private const int MostPlaces = 8;

    /// <summary>What is received so much stronger than wanted is strong enough, in dB: about the spread of what is computed.</summary>
    private const double SureDb = 8;

    /// <summary>How many addresses at the end of a subnet a pool leaves for what keeps its own, the subnet's own one counted.</summary>
    internal const uint KeptFree = 10;

    /// <summary>The set-ups one step on.</summary>
    /// <param name="proof">What is proven of the home, with the remedies that the rules propose.</param>
    /// <param name="task">What options are asked for.</param>
    public static IEnumerable<Design> Of(Proof proof, PlanTask task)
    {
        var (design, name) = (proof.Observation.Network.Design, task.Name);
        var e = new Evidence(proof.Observation, withRemedies: false);
        return Remedied(proof)
            .Concat(Carved(e).SelectMany(d => Remedied(Judged(d))))
            .Concat(DeviceMoves.Of(design, name))
            .Concat(PointMoves.Of(e, task, Weak(proof)))
            .Concat(Again(e, task))
            .Concat(Fewer(design))
            .Concat(Radios(design, name))
            .Concat(Carried(design))
            .Concat(DnsMoves.Of(design, task.Ways) is { } asking ? [asking] : [])
            .Concat(UpnpMoves.Of(design, () => BoxRole.Of(e.Seen), task.Ways) is { } quiet ? [quiet] : [])
            .Concat(ManagementPages.Moved(e, task.Ways.Address) is { } addressed ? [addressed] : [])
            .Select(d => DeviceMoves.Settled(d, task));
    }

    /// <summary>The home after each remedy of a finding that can be applied.</summary>
    private static IEnumerable<Design> Remedied(Proof proof) =>
        proof
            .Findings.SelectMany(f => f.Remedies)
            .Select(r => ChangeList.Apply(proof.Observation.Network.Design, r.Changes))
            .Where(r => r.Ok)
            .Select(r => r.Value);

    private static Proof Judged(Design design) => Judging.Judge(Observer.Observe(Compiler.Compile(design, Situation.Settled)));

    /// <summary>
    /// Where a pool leaves no address for what must keep its own: the home with a pool that begins at the tenth (common practice), from
    /// which remedies can go on.
    /// </summary>
    private static IEnumerable<Design> Carved(Evidence e) =>
        from router in e.Routers
        where router.Mode.Server.On && IsFull(e, router.Box.Id)
        let first = new Ipv4Address(router.Mode.Lan.Subnet.Network.Bits + KeptFree)
        where router.Mode.Server.Pool.First < first && first < router.Mode.Server.Pool.Last
        let carved = new Draft(e.Design).Do(new MovePool(router.Box.Id) { First = first }).Made
        where carved is not null
        select carved;

    private static bool IsFull(Evidence e, string router) =>
        e.SegmentOf(router, Side.Lan) is { } lan && e.PlanOf(lan) is { Plan: var plan } && plan.FirstFree() is null;

    /// <summary>Places that lack Wi-Fi, the weakest first, and places beside them; one that is not noted where none is.</summary>
    private static List<string?> Weak(Proof proof)
    {
        var (design, rates) = (proof.Observation.Network.Design, proof.Observation.Rates);
        if (design.Site.Places.Count == 0)
        {
            return [null];
        }
        var heard = design
            .Site.Places.Where(p => p.Kind != PlaceKind.Outdoors || WantedPlaces.Has(design.Site, p))
            .Select(p => (Place: p, Best: rates.Serving.Select(a => rates.Signals.Of(a, p)?.Dbm).Max()))
            .OrderBy(p => p.Best ?? double.MinValue)
            .ToList();
        var lacking = heard.Where(p => p.Best is null || p.Best < SignalLevel.ForCallsDbm + SureDb).ToList();
        return lacking.Count == 0 ? [] : [.. heard.Take(MostPlaces).Select(p => p.Place.Id)];
    }

    /// <summary>A box that was taken out of use, where it was, as something else.</summary>
    private static IEnumerable<Design> Again(Evidence e, PlanTask task) =>
        from setting in task.Found.SetUp.Boxes
        where e.Design.Setting(setting.Box) is null && e.Design.Box(setting.Box)!.Profile.Radios.Count > 0
        from made in PointMoves.Of(e, task, e.Design.Box(setting.Box)!, setting.Place)
        select made;

    /// <summary>A box less, or a gateway that passes on no more.</summary>
    public static IEnumerable<Design> Fewer(Design design)
    {
        var line = GatewayMoves.LineBox(design)?.Id;
        return design
            .SetUp.Boxes.Where(b => b.Box != line)
            .Select(b => new Draft(design).Do(new TakeOutOfUse(b.Box)))
            .Concat(
                design
                    .SetUp.Boxes.Where(b => b.Mode is RouterMode { Dmz: not null })
                    .Select(b => new Draft(design).Do(new SetDmz(b.Box, null)))
            )
            .Concat(
                design
                    .SetUp.Boxes.Where(b => b.Mode is RouterMode { Passing: not null })
                    .Select(b => new Draft(design).Do(new SetPassing(b.Box, null)))
            )
            .Select(d => d.Made)
            .OfType<Design>();
    }

    /// <summary>Boxes that send the home's name, all of them or one; boxes whose Wi-Fi goes off.</summary>
    private static IEnumerable<Design> Radios(Design design, HomeName? name)
    {
        var senders = design.SetUp.Boxes.Where(b => b.Mode.Radios.Count > 0).Select(b => b.Box).ToList();
        if (name is not null)
        {
            yield return senders.Aggregate(new Draft(design), (d, b) => d.Name(b, name)).Design;
        }
        foreach (var box in senders)
        {
            yield return new Draft(design).Set(box, m => m.WithRadios([.. m.Radios.Select(r => r with { On = false })])).Design;
            if (name is not null)
            {
                yield return new Draft(design).Name(box, name).Design;
            }
        }
    }

    /// <summary>A box with no cable to it but the line's, or none at all, in another room of its building.</summary>
    private static IEnumerable<Design> Carried(Design design) =>
        from box in design.SetUp.Boxes
        where design.SetUp.Cables.All(c => !c.Ends(box.Box) || c.Ends(PortRef.Street)) && design.Box(box.Box)!.Profile.Radios.Count > 0
        let stands = design.Site.Place(box.Place)
        where stands is not null
        from place in design.Site.Places
        where place.Kind == PlaceKind.Room && place.Id != stands.Id && place.Building == stands.Building
        select new Draft(design).Do(new PlaceBox(box.Box, place.Id)).Made;
}
