using Altrin.Core.Changes;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>
/// Looks for what would explain a reading that disagrees: small slips are made on the recorded home one at a time, and the simulated
/// network is asked whether the machine would then have printed what it did.
/// </summary>
internal static class Slips
{
    /// <summary>How many slips are tried in a home of usual size.</summary>
    public const int MostTried = 120;

    /// <summary>How many explanations are given.</summary>
    public const int MostGiven = 4;

    private sealed record Slip(string Text, Design Design, string Seat);

    /// <summary>Slips after which a reading would be as it is, the likeliest kind first.</summary>
    /// <param name="home">The home.</param>
    /// <param name="design">The set-up that it was taken in.</param>
    /// <param name="seat">Where it was taken.</param>
    /// <param name="at">The same on its simulated network; what is tried is given up with it.</param>
    /// <param name="fits">Whether a place would print what was printed.</param>
    public static IReadOnlyList<Explanation> That(HomeFile home, Design design, string seat, SeatView at, Func<SeatView, bool> fits)
    {
        var found = new List<Explanation>();
        var places = new List<string>();
        HashSet<string>? known = null;
        // Each costs a look at the whole network: the larger it is, the fewer are tried.
        var tried = Math.Clamp(6000 / Math.Max(1, design.SetUp.Boxes.Count + design.SetUp.Devices.Count), 6, MostTried);
        foreach (var slip in All(home, design, seat).Take(tried))
        {
            if (SeatView.At(slip.Design, slip.Seat, at.Seen.Network.Work.Again()) is not { } there || !fits(there))
            {
                continue;
            }
            if (ReferenceEquals(slip.Design, design))
            {
                places.Add(slip.Text);
                continue;
            }
            known ??= Judging.Judge(at.Seen, withRemedies: false).Findings.Select(f => f.Identity).ToHashSet(StringComparer.Ordinal);
            found.Add(
                new(
                    slip.Text,
                    [
                        .. Judging
                            .Judge(there.Seen)
                            .Findings.Where(f => !known.Contains(f.Identity))
                            .OrderByDescending(f => f.Severity)
                            .Take(2)
                            .Select(f => f.What),
                    ]
                )
            );
            if (found.Count == MostGiven)
            {
                break;
            }
        }
        if (places.Count > 0)
        {
            found.Insert(
                0,
                new(
                    $"It was taken elsewhere: it would be right at {string.Join(", or at ", places.Take(3))}{(places.Count > 3 ? $", or at {places.Count - 3} more" : "")}.",
                    []
                )
            );
        }
        return [.. found.Take(MostGiven)];
    }

    private static IEnumerable<Slip> All(HomeFile home, Design design, string seat)
    {
        foreach (var other in Seats.Of(design).Where(s => s.Id != seat && s.Kind is SeatKind.Port or SeatKind.Wifi).Take(MostTried / 2))
        {
            yield return new(other.Name, design, other.Id);
        }
        foreach (var setUp in home.SetUps.Where(s => s.Name != design.SetUp.Name))
        {
            yield return new($"The home is already set as in \"{setUp.Name}\".", new(design.Site, setUp), seat);
        }
        foreach (var setting in design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal))
        {
            var box = design.Box(setting.Box)!;
            var acts = new List<(string Text, Change Change)>();
            if (setting.Mode is RouterMode router)
            {
                acts.Add(
                    (
                        router.Server.On ? $"The DHCP server of {box.Name} is off." : $"The DHCP server of {box.Name} is on.",
                        new SwitchDhcpServer(box.Id, !router.Server.On)
                    )
                );
                if (box.FactoryAddress is { } factory && factory != router.Lan)
                {
                    acts.Add(($"{box.Name} is at its factory address {factory.Address}.", new SetLanAddress(box.Id, factory)));
                }
            }
            foreach (var (text, change) in acts)
            {
                if (change.ApplyTo(design) is { Ok: true, Value: var made })
                {
                    yield return new(text, design with { SetUp = made }, seat);
                }
            }
            foreach (var mode in box.Profile.Modes.Where(m => m is ModeKind.Router or ModeKind.AccessPoint or ModeKind.Bridge))
            {
                if (mode == setting.Mode.Kind)
                {
                    continue;
                }
                if (mode == box.Profile.Modes[0])
                {
                    var reset = BoxReset.Of(design, box.Id, BoxReset.Kept(box.Profile)[0]);
                    yield return new($"{box.Name} is in {ModeWords.Of(mode)} mode, as after a reset.", design with { SetUp = reset }, seat);
                }
                else if (ModeEffects.Of(box.Profile, mode)[0].Apply(design, box.Id, mode) is { Ok: true, Value: var made })
                {
                    yield return new($"{box.Name} is in {ModeWords.Of(mode)} mode.", design with { SetUp = made }, seat);
                }
            }
        }
        foreach (var cable in design.SetUp.Cables)
        {
            foreach (var end in new[] { cable.A, cable.B })
            {
                // The lead is in a port of the other side of its router.
                if (
                    design.Box(end.Owner) is not { } box
                    || design.Mode(end.Owner) is not RouterMode
                    || box.Profile.Port(end.Port) is not { } port
                    || box.Profile.Ports.FirstOrDefault(p =>
                        p.Role != port.Role && design.CableAt(new(box.Id, p.Id)) is null && new PortRef(box.Id, p.Id).ToString() != seat
                    )
                        is not { } free
                )
                {
                    continue;
                }
                var moved = cable.A == end ? cable with { A = new(box.Id, free.Id) } : cable with { B = new(box.Id, free.Id) };
                yield return new(
                    $"The cable from {PortWords.Of(design, cable.OtherEnd(end))} is in port {free.Label} of {box.Name} instead of port {port.Label}.",
                    design with
                    {
                        SetUp = design.SetUp with { Cables = [.. design.SetUp.Cables.Select(c => c.Id == cable.Id ? moved : c)] },
                    },
                    seat
                );
            }
        }
    }
}
