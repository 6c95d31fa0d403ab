using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Formats.Tests;

/// <summary>
/// Whether a derived order costs least: a uniform-cost search (Dijkstra 1959, from memory) over all acts that can be done, one by
/// one, with no precedence and no groups. It shares acts and what they lead to with the derivation, and none of its search.
/// </summary>
public sealed class LeastCostTests(ITestOutputHelper output)
{
    /// <summary>How many states are looked at for a pair at most.</summary>
    private const int MostStates = 200_000;

    /// <summary>
    /// Homes with a gateway and one box to change, or two: the plan of a sample, and what is otherwise as found. With ALTRIN_LEAST all
    /// samples that can be found so.
    /// </summary>
    public static TheoryData<string, string> Pairs =>
        Environment.GetEnvironmentVariable("ALTRIN_LEAST") is not null
            ? [.. Samples.Evenings.SelectMany(name => Faults.Where(f => IsThere(name, f)).Select(f => (name, f)))]
            : new()
            {
                { "t01-access-point-by-hand.json", "radios" },
                { "t01-access-point-by-hand.json", "cable" },
                { "t01-access-point-by-hand.json", "typed" },
                { "t01-access-point-by-hand.json", "cable name" },
                { "t02-access-point-mode.json", "radios" },
                { "t02-access-point-mode.json", "cable name" },
                { "t09-behind-bridge.json", "name" },
                { "t17-injector.json", "name" },
            };

    private static string[] Faults { get; } = ["radios", "name", "cable", "typed", "cable name", "cable radios"];

    [Theory]
    [MemberData(nameof(Pairs))]
    public void No_other_order_of_acts_costs_less(string name, string otherwise)
    {
        var planned = Planned(name);
        var found = otherwise.Split(' ').Aggregate(planned, Otherwise);
        var cancel = TestContext.Current.CancellationToken;
        var sheet = RunSheet.Derive(State.Morning(found), planned.SetUp, Ways.Usual, cancel);
        Assert.True(sheet.IsSafe);
        // What is asked before the first change and seen after the last is the same whatever the order.
        var work = sheet.Order.Work.Where(w => w.Kind is not (WorkKind.Baseline or WorkKind.Finish)).SelectMany(w => w.Steps).ToList();
        var meter = new Meter(sheet);
        var derived = work.Aggregate(Spent.Nothing, meter.After);
        var (better, states) = Cheaper(work[0].Before, sheet, meter, derived, cancel);
        var told = better is { Spent: var least } ? $"{derived.Seconds - least.Seconds} s less with waits filled" : "equal";
        output.WriteLine($"{name}, {otherwise}: {work.Count} acts, {derived}; {states} states; {told}");
        // A wait may be filled by the next act; a sheet waits it out, so that no box is left half set.
        Assert.True(better is not { } cheap || cheap.Spent.IsButEarlier(derived, Meter.Waits(work)), $"{better}");
        // All of them were looked at: a search that was cut short would say nothing.
        Assert.InRange(states, 1, MostStates - 1);
    }

    private static Design Planned(string name) => Samples.Home(name).Design(ActsFile.Read(Samples.Evening(name)).Value!.Ends)!;

    /// <summary>Whether a home has what is to be otherwise, and the sheet for it is safe.</summary>
    private static bool IsThere(string name, string otherwise)
    {
        var planned = Planned(name);
        return (BoxOf(planned) is not null || otherwise is "cable" or "typed")
            && (DeviceOf(planned) is not null || otherwise is "radios" or "name")
            && RunSheet.Derive(State.Morning(otherwise.Split(' ').Aggregate(planned, Otherwise)), planned.SetUp, Ways.Usual).IsSafe;
    }

    private static BoxSetting? BoxOf(Design design)
    {
        var gateway = design.SetUp.Cables.Single(c => c.Ends(PortRef.Street)) is var line && line.A == PortRef.AtStreet ? line.B : line.A;
        return design.SetUp.Boxes.FirstOrDefault(b => b.Box != gateway.Owner && b.Mode.Radios.Count > 0);
    }

    private static DeviceSetting? DeviceOf(Design design) =>
        design.SetUp.Devices.FirstOrDefault(d => d.Address is Automatic && d.Wifi is null);

    private static Design Otherwise(Design design, string what)
    {
        var (box, device) = (BoxOf(design)!, DeviceOf(design)!);
        return design with
        {
            SetUp = what switch
            {
                "radios" => With(box with { Mode = box.Mode.WithRadios([.. box.Mode.Radios.Select(r => r with { On = false })]) }),
                "name" => With(box with { Mode = box.Mode.WithRadios([.. box.Mode.Radios.Select(r => r with { Name = "other" })]) }),
                "cable" => design.SetUp with { Cables = [.. design.SetUp.Cables.Where(c => !c.Ends(device.Device))] },
                "typed" => design.SetUp with
                {
                    Devices =
                    [
                        .. design.SetUp.Devices.Select(d =>
                            d == device
                                ? d with
                                {
                                    Address = Fixed.Behind(
                                        InterfaceAddress.Parse("192.168.8.1/24").Value,
                                        Ipv4Address.From(192, 168, 8, 9)
                                    ),
                                }
                                : d
                        ),
                    ],
                },
                _ => throw new ArgumentOutOfRangeException(nameof(what)),
            },
        };

        SetUp With(BoxSetting changed) =>
            design.SetUp with
            {
                Boxes = [.. design.SetUp.Boxes.Select(b => b.Box == changed.Box ? changed : b)],
            };
    }

    /// <summary>The acts of an order that costs less; null where there is none.</summary>
    private static ((Spent Spent, string Acts)? Better, int States) Cheaper(
        State start,
        RunSheet sheet,
        Meter meter,
        Spent derived,
        CancellationToken cancel
    )
    {
        var open = new PriorityQueue<(State Now, Spent Spent, string Acts), (Spent, int)>();
        var best = new Dictionary<string, Spent>(StringComparer.Ordinal);
        var states = 0;
        open.Enqueue((start, Spent.Nothing, ""), (Spent.Nothing, 0));
        while (open.TryDequeue(out var node, out _) && states < MostStates)
        {
            cancel.ThrowIfCancellationRequested();
            if (best.TryGetValue(Key(node.Now, sheet), out var known) && known.CompareTo(node.Spent) <= 0)
            {
                continue;
            }
            best[Key(node.Now, sheet)] = node.Spent;
            states++;
            if (meter.IsEnd(node.Now))
            {
                return ((node.Spent, node.Acts), states);
            }
            foreach (var act in Acts(node.Now, sheet))
            {
                var step = PlayedStep.Of(node.Now, act, Ways.Usual);
                if (step.Refused is not null)
                {
                    continue;
                }
                var spent = meter.After(node.Spent, step);
                // What costs as much already leads to nothing cheaper.
                if (spent.CompareTo(derived) < 0)
                {
                    open.Enqueue((step.After, spent, $"{node.Acts}{step.Says}; "), (spent, states));
                }
            }
        }
        return (null, states);
    }

    /// <summary>Everything that hands can do: laptop, pages, cables, plugs, devices.</summary>
    private static IEnumerable<Act> Acts(State now, RunSheet sheet)
    {
        var (design, target) = (now.Design, sheet.Aim.Target);
        var left = now.Left(target);
        var running = design.SetUp.Boxes.Select(b => b.Box).Except(now.Moment.Situation.Off).ToList();
        if (now.Laptop?.Cable is not null)
        {
            yield return new LaptopOutOfPort();
        }
        var free = running.SelectMany(b =>
            design
                .Box(b)!
                .Profile.Ports.Where(p => p.Role == PortRole.Lan && design.CableAt(new(b, p.Id)) is null)
                .TakeLast(1)
                .Select(p => new PortRef(b, p.Id))
        );
        foreach (var port in free)
        {
            yield return new LaptopToPort(port);
        }
        yield return new LaptopAddress(new Automatic());
        yield return new LaptopAddress(Fixed.Behind(InterfaceAddress.Parse("192.168.8.1/24").Value, Ipv4Address.From(192, 168, 8, 250)));
        yield return new ClearTable();
        foreach (var box in running)
        {
            yield return new WaitUntilReady(box);
            // Where a page was leased its address is not known until it is found.
            yield return Blank.Of(now).Any(b => b.Kind == BlankKind.PageAddress && b.Box == box) ? new FindPage(box) : new OpenPage(box);
            yield return new TryLogin(box);
            yield return new PowerOff(box);
            var own = left.Where(c => c is not (Patch or Unpatch or SetCable) && c.Subjects().Contains(box)).ToList();
            foreach (var some in own.Select(c => new List<Change> { c }).Append(own).Where(c => c.Count > 0))
            {
                yield return new SavePage(box, some);
            }
        }
        foreach (var off in now.Moment.Situation.Off)
        {
            yield return new PowerOn(off);
        }
        foreach (var patch in left.OfType<Patch>())
        {
            yield return new PatchCable(patch.A, patch.B, patch.Id, patch.Known);
        }
        foreach (var pull in left.OfType<Unpatch>())
        {
            yield return new UnpatchCable(pull.Cable);
        }
        foreach (var join in left.OfType<JoinWifi>().Where(j => j.Wifi is not null))
        {
            yield return new DeviceJoins(join.Device, join.Wifi!);
        }
        foreach (var takes in left.OfType<SetDeviceAddress>())
        {
            yield return new DeviceTakesAddress(takes.Device, takes.Address);
        }
        foreach (var device in design.SetUp.Devices.Select(d => d.Device))
        {
            yield return new NewLink(device);
        }
    }

    private static string Key(State now, RunSheet sheet)
    {
        var key = new StringBuilder();
        key.AppendJoin('\n', now.Left(sheet.Aim.Target).Concat(now.Left(sheet.Start.Design.SetUp)).Select(c => c.ToString()));
        var (at, known) = (now.Moment.Situation, now.Ledger);
        key.Append('|')
            .Append(now.Laptop)
            .Append('|')
            .AppendJoin(',', at.Off)
            .Append('|')
            .AppendJoin(',', at.BusyNow().Select(b => $"{b.Box} {b.Kind}"));
        key.Append('|')
            .AppendJoin(',', known.Logins.Order(StringComparer.Ordinal))
            .Append('|')
            .AppendJoin(',', known.Opened.Select(o => $"{o}").Order(StringComparer.Ordinal));
        key.Append('|')
            .AppendJoin(',', known.Found.Select(o => $"{o}").Order(StringComparer.Ordinal))
            .Append('|')
            .Append(known.TypedOnCable);
        key.Append('|')
            .AppendJoin(
                ',',
                (at.Memory?.Held ?? []).Select(h =>
                    $"{h.Owner} {h.Side} {string.Join(' ', h.Leases.Select(l => $"{l.Server} {l.Address}"))}"
                )
            );
        return key.Append('|').AppendJoin(',', (at.Memory?.Bindings ?? []).Select(b => $"{b.Server} {b.Client} {b.Address}")).ToString();
    }

    /// <summary>What is spent, compared part by part.</summary>
    private sealed record Spent(int Broken, long Down, long? First, long? Last, int Touched, int Walks, long Seconds) : IComparable<Spent>
    {
        public static Spent Nothing { get; } = new(0, 0, null, null, 0, 0, 0);

        public int CompareTo(Spent? other) => other is null ? 1 : Parts().CompareTo(other.Parts());

        /// <summary>Whether it differs in the whole time only, and by no more than what is waited.</summary>
        public bool IsButEarlier(Spent other, long waits) =>
            (this with { Seconds = other.Seconds }).CompareTo(other) == 0 && other.Seconds - Seconds <= waits;

        // Differences below two minutes are equal.
        private (int, long, long, int, int, long) Parts() => (Broken, Down / 120, (Last - First ?? 0) / 120, Touched, Walks, Seconds);
    }

    /// <summary>Counts what acts cost, and knows when the work is done.</summary>
    private sealed class Meter(RunSheet sheet)
    {
        private readonly List<string> _online =
        [
            .. Online(State.Morning(sheet.Start.Design))
                .Intersect(Online(State.Morning(sheet.Start.Design with { SetUp = sheet.Aim.Target }))),
        ];

        public bool IsEnd(State now) =>
            now.Left(sheet.Aim.Target).Count == 0 && !now.Moment.Situation.BusyNow().Any() && !_online.Except(Online(now)).Any();

        public Spent After(Spent before, PlayedStep step)
        {
            var (from, until) = ((long)step.Before.Time.TotalSeconds, (long)step.After.Time.TotalSeconds);
            var off = until > from ? _online.Except(Online(step.Before)).Count() : 0;
            return new(
                before.Broken + step.Broken.Count(b => !sheet.Aim.IsPlanned(b)),
                before.Down + (off * (until - from)),
                off > 0 ? before.First ?? from : before.First,
                off > 0 ? until : before.Last,
                step.After.Ledger.Touched.Count,
                before.Walks + (step.Act is CarryBox or LaptopToPort ? 1 : 0),
                before.Seconds + until - from
            );
        }

        public static long Waits(IEnumerable<PlayedStep> steps) =>
            steps.Where(s => s.Act is WaitUntilReady).Sum(s => (long)(s.After.Time - s.Before.Time).TotalSeconds);

        private static IEnumerable<string> Online(State now) => now.Seen().Internet.Where(i => i.Answer.IsYes).Select(i => i.Device);
    }
}
