using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A design in a situation.</summary>
public sealed record Moment(Design Design, Situation Situation)
{
    /// <summary>Everything on for the first time, with every address asked for.</summary>
    public static Moment Morning(Design design) => new(design, Situation.Morning(design));

    /// <summary>The moments after one event after another; or the first that cannot happen, and why.</summary>
    public Parsed<Moment> After(params IReadOnlyList<Event> events)
    {
        Parsed<Moment> now = this;
        foreach (var next in events)
        {
            now = now.Then(next.From);
        }
        return now;
    }

    /// <summary>
    /// What cannot be seen on the boxes and a settled home does not have, as named stickiness: none means that waiting has told all.
    /// </summary>
    public IReadOnlyList<Stickiness> Sticks => Stickiness.Of(this);
}

/// <summary>Something that happens or is done: a pure function from one moment to the next.</summary>
public abstract record Event
{
    /// <summary>The next moment, or why it cannot happen.</summary>
    public abstract Parsed<Moment> From(Moment now);

    private protected static Moment Settled(Moment now) => now with { Situation = Living.Settle(now.Design, now.Situation) };

    private protected static Memory MemoryOf(Moment now) => now.Situation.Memory ?? Memory.Blank;

    /// <summary>
    /// A box starts: what is plugged into it notices, and its DHCP server begins with an empty list (common practice: it is kept in
    /// memory).
    /// </summary>
    private protected static Moment Started(Moment now, string box)
    {
        var memory = MemoryOf(now);
        var boots = new SortedDictionary<string, int>(memory.Boots.ToDictionary(), StringComparer.Ordinal)
        {
            [box] = memory.Boots.GetValueOrDefault(box) + 1,
        };
        // The box at the line is what binds the provider to one MAC address (common practice).
        var atLine = now.Design.SetUp.Cables.Any(c =>
            (c.A == PortRef.AtStreet && c.B.Owner == box) || (c.B == PortRef.AtStreet && c.A.Owner == box)
        );
        now = Forgotten(now, box);
        return now with
        {
            Situation = now.Situation with
            {
                Memory = memory with
                {
                    Boots = boots,
                    Bindings =
                    [
                        .. memory.Bindings.Where(b =>
                            b.Server != box && b.Server != GuestId.Of(box) && !(atLine && b.Server == PortRef.Street)
                        ),
                    ],
                },
            },
        };
    }

    /// <summary>Nothing is typed into a box any more.</summary>
    private protected static Moment Forgotten(Moment now, string box) =>
        now with
        {
            Situation = now.Situation with { Typed = [.. now.Situation.Typed.Where(t => t.Box != box)] },
        };
}

/// <summary>Power or a cable is taken away. What was typed and not saved is lost.</summary>
/// <param name="Id">Box, device or cable.</param>
public sealed record TakeAway(string Id) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now) =>
        Situation
            .Without(now.Design, [.. now.Situation.Off, Id])
            .Then<Moment>(off =>
                Settled(
                    now with
                    {
                        Situation = now.Situation with
                        {
                            Off = off.Off,
                            Typed = [.. now.Situation.Typed.Where(t => t.Box != Id)],
                            Busy = [.. now.Situation.Busy.Where(b => b.Box != Id)],
                        },
                    }
                )
            );
}

/// <summary>Power or a cable is given back.</summary>
/// <param name="Id">Box, device or cable.</param>
public sealed record GiveBack(string Id) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now) =>
        !now.Situation.Off.Contains(Id)
            ? Parsed<Moment>.Fail($"'{Ipv4Address.Shown(Id)}' is not off.")
            : Settled(Start(now with { Situation = now.Situation with { Off = [.. now.Situation.Off.Where(o => o != Id)] } }));

    private Moment Start(Moment now) => now.Design.SetUp.Cables.Any(c => c.Id == Id) ? now : Started(now, Id);
}

/// <summary>A setting is typed into the page of a box; it is not in force until it is saved.</summary>
/// <param name="Box">Into which.</param>
/// <param name="Change">What.</param>
public sealed record TypeIn(string Box, Change Change) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now)
    {
        if (now.Situation.Off.Contains(Box) || now.Design.Mode(Box) is null)
        {
            return Parsed<Moment>.Fail($"{now.Design.NameOf(Box)} is not on.");
        }
        if (now.Situation.BusyNow().Any(b => b.Box == Box && b.Kind != BusyKind.Radios))
        {
            return Parsed<Moment>.Fail($"{now.Design.NameOf(Box)} is busy; its page does not answer.");
        }
        // Cables, devices and the shelf are nothing that a page can set.
        if (Change is Patch or Unpatch or SetCable or TakeOutOfUse || !Change.Subjects().Contains(Box))
        {
            return Parsed<Moment>.Fail($"That is not set in {now.Design.NameOf(Box)}.");
        }
        // The page refuses at once what it would refuse when it is saved.
        return ChangeList
            .Apply(now.Design, [.. now.Situation.Typed.Where(t => t.Box == Box).Select(t => t.Change), Change])
            .Then<Moment>(_ => now with { Situation = now.Situation with { Typed = [.. now.Situation.Typed, new(Box, Change)] } });
    }
}

/// <summary>What was typed into a box comes into force.</summary>
/// <param name="Box">Which.</param>
/// <param name="Restarts">Whether the box starts anew with it, as most do (common practice).</param>
public sealed record Save(string Box, bool Restarts = true) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now)
    {
        Change[] typed = [.. now.Situation.Typed.Where(t => t.Box == Box).Select(t => t.Change)];
        return typed.Length == 0
            ? Parsed<Moment>.Fail($"Nothing was typed into {now.Design.NameOf(Box)}.")
            : ChangeList
                .Apply(now.Design, typed)
                .Then<Moment>(design =>
                    Settled(Restarts ? Started(now with { Design = design }, Box) : Forgotten(now with { Design = design }, Box))
                );
    }
}

/// <summary>Time passes.</summary>
/// <param name="Time">How much, in whole seconds: a second to ten years.</param>
public sealed record Wait(TimeSpan Time) : Event
{
    /// <summary>The longest wait: ten years.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromDays(3650);

    /// <summary>Longer than any lease that a server can be set to.</summary>
    public static TimeSpan LongEnough { get; } = TimeSpan.FromDays(730);

    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now) =>
        Time < TimeSpan.FromSeconds(1) || Time > Longest || Time.Ticks % TimeSpan.TicksPerSecond != 0
            ? Parsed<Moment>.Fail("A wait is a second to ten years, in whole seconds.")
            : now with
            {
                Situation = Living.Wait(now.Design, now.Situation, Time),
            };
}

/// <summary>The installer's laptop is plugged in, joins a Wi-Fi, does both, or goes back into its bag.</summary>
/// <param name="Laptop">Where it is then; null for its bag.</param>
public sealed record MoveLaptop(Laptop? Laptop) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now)
    {
        if (Laptop?.Cable?.Port is { } port)
        {
            if (now.Design.Box(port.Owner)?.Profile.Port(port.Port) is null)
            {
                return Parsed<Moment>.Fail(Missing.Port(now.Design, port));
            }
            if (now.Design.CableAt(port) is not null)
            {
                return Parsed<Moment>.Fail($"There is a cable in {PortWords.Of(now.Design, port)}.");
            }
        }
        if (Laptop?.Wifi?.Join is { } wifi && now.Design.Mode(wifi.Box) is null)
        {
            return Parsed<Moment>.Fail($"There is no box '{Ipv4Address.Shown(wifi.Box)}' in use.");
        }
        var (was, memory) = (now.Situation.Laptop, MemoryOf(now));
        return Settled(
            now with
            {
                Situation = now.Situation with
                {
                    Laptop = Laptop,
                    Memory = memory with
                    {
                        // What stays as it was asks for nothing anew.
                        Held =
                        [
                            .. memory.Held.Where(h =>
                                h.Owner switch
                                {
                                    Networks.Laptop.CableId => Laptop?.Cable is { } there && there == was?.Cable,
                                    Networks.Laptop.WifiId => Laptop?.Wifi is { } there && there == was?.Wifi,
                                    _ => true,
                                }
                            ),
                        ],
                    },
                },
            }
        );
    }
}
