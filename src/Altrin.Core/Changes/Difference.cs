using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>What has to be done to make one set-up of a site into another.</summary>
/// <param name="Changes">The changes, in an order in which they can be made, each touching only what differs.</param>
/// <param name="Unreachable">
/// What no page takes, in sentences, and so cannot be reached by hand: a design that was read from a file may hold it. Empty where the
/// changes lead all the way.
/// </param>
public sealed record SetUpDifference(IReadOnlyList<Change> Changes, IReadOnlyList<string> Unreachable)
{
    /// <summary>Whether the changes lead all the way: applied to the first set-up they give the second.</summary>
    public bool Whole => Unreachable.Count == 0;
}

/// <summary>Compares two set-ups of a site.</summary>
public static class Difference
{
    /// <summary>
    /// The changes from one set-up to the other; none where they are alike. Names of set-ups and the order of lists that have none do not
    /// count. Where the difference is whole, applying it to the first gives a set-up that is written as the second is.
    /// </summary>
    public static SetUpDifference Between(Site site, SetUp from, SetUp to)
    {
        var steps = new Steps(new(site, from));
        foreach (
            var gone in from
                .Boxes.Select(b => b.Box)
                .Except(to.Boxes.Select(b => b.Box))
                .Concat(from.Devices.Select(d => d.Device).Except(to.Devices.Select(d => d.Device)))
                .Order(StringComparer.Ordinal)
        )
        {
            steps.Do(new TakeOutOfUse(gone));
        }
        foreach (
            var cable in steps
                .SetUp.Cables.Where(c => !to.Cables.Any(t => IsSame(c, t)))
                .OrderBy(c => c.Id, StringComparer.Ordinal)
                .ToList()
        )
        {
            steps.Do(new Unpatch(cable.Id));
        }
        foreach (var box in to.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal))
        {
            steps.Unless(steps.Design.Mode(box.Box)?.Kind == box.Mode.Kind, new SetMode(box.Box, box.Mode.Kind));
            if (steps.SetUp.Boxes.FirstOrDefault(b => b.Box == box.Box) is { } now && now.Mode.Kind == box.Mode.Kind)
            {
                ModeDifference.Of(steps, box.Box, now.Mode, box.Mode);
                steps.Unless(now.Place == box.Place, new PlaceBox(box.Box, box.Place));
                steps.Unless(now.Password == box.Password, new SetPagePassword(box.Box, box.Password));
            }
        }
        foreach (var device in to.Devices.OrderBy(d => d.Device, StringComparer.Ordinal))
        {
            var now = steps.SetUp.Devices.FirstOrDefault(d => d.Device == device.Device);
            steps.Unless(
                now is not null && HostAddress.Same(now.Address, device.Address),
                new SetDeviceAddress(device.Device, device.Address)
            );
            steps.Unless(now?.Wifi == device.Wifi, new JoinWifi(device.Device, device.Wifi));
        }
        Cables(steps, to);
        foreach (
            var accepted in from
                .Accepted.Where(a => to.Accepted.All(t => t.Finding != a.Finding))
                .OrderBy(a => a.Finding, StringComparer.Ordinal)
        )
        {
            steps.Do(new TakeBackAcceptance(accepted.Finding));
        }
        foreach (var accepted in to.Accepted.Except(from.Accepted).OrderBy(a => a.Finding, StringComparer.Ordinal))
        {
            steps.Do(new AcceptFinding(accepted.Finding, accepted.Severe, accepted.Reason, accepted.By));
        }
        return new(steps.Done, steps.Refused);
    }

    private static bool IsSame(Cable a, Cable b) => a.Id == b.Id && a.SameEnds(b);

    private static void Cables(Steps steps, SetUp to)
    {
        // A run in the walls is let go before another cable takes it.
        foreach (
            var cable in steps
                .SetUp.Cables.Where(c => c.Run is not null && to.Cables.First(t => IsSame(c, t)).Run != c.Run)
                .OrderBy(c => c.Id, StringComparer.Ordinal)
                .ToList()
        )
        {
            steps.Do(new SetCable(cable.Id, Partial<CableFacts>.With(c => c.Run, null)));
        }
        foreach (var cable in to.Cables.OrderBy(c => c.Id, StringComparer.Ordinal))
        {
            if (steps.SetUp.Cables.FirstOrDefault(c => c.Id == cable.Id) is not { } there)
            {
                steps.Do(new Patch(cable.A, cable.B, cable.Known) { Id = cable.Id });
            }
            else
            {
                steps.Unless(there.Known == cable.Known, new SetCable(cable.Id, Partial<CableFacts>.Between(there.Known, cable.Known)));
            }
        }
    }
}

/// <summary>Changes made one after another, each on what the ones before left.</summary>
internal sealed class Steps(Design design)
{
    private readonly List<Change> _done = [];
    private readonly List<string> _refused = [];

    public Design Design { get; private set; } = design;

    public SetUp SetUp => Design.SetUp;

    public IReadOnlyList<Change> Done => _done;

    /// <summary>What was refused on the way: where, and why.</summary>
    public IReadOnlyList<string> Refused => _refused;

    public void Unless(bool alike, Change change)
    {
        if (!alike)
        {
            Do(change);
        }
    }

    public void Refuse(string why) => _refused.Add(why);

    public void Do(Change change)
    {
        var applied = change.ApplyTo(Design);
        if (!applied.Ok)
        {
            Refuse($"{change.Describe(Design)}: {applied.Error}");
            return;
        }
        _done.Add(change);
        Design = Design with { SetUp = applied.Value };
    }
}
