using System.Text.Json;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>
/// A home of namespaces that goes from one moment of an evening to the next in place: what an act touches is touched, and all else stays
/// as the kernel and its servers have it. Which boxes are on, how they are set and what is plugged in comes from the moment; who holds
/// which address, who answers and what is written into tables is never taken from it.
/// </summary>
internal sealed class LiveHome : IDisposable
{
    private readonly Dictionary<string, string> _set = [];
    private readonly Dictionary<Seat, string> _typed = [];
    private readonly Services _services;
    private IReadOnlyDictionary<string, int> _starts = new Dictionary<string, int>();
    private int _passers;
    private Moment? _last;

    /// <summary>Everything is there, dark and unplugged.</summary>
    public LiveHome(Design design)
    {
        Lab = new(design with { SetUp = new("dark", [], [], []) }, new() { InPlace = true });
        Leases = new(Lab);
        _services = new(Lab);
    }

    public Lab Lab { get; }

    public LiveLeases Leases { get; }

    /// <summary>Goes on to a moment.</summary>
    public void Become(Moment now)
    {
        var memory = now.Situation.Memory!;
        Leases.Pass(memory.Second);
        if (_last is { } last && !Differ(last, now))
        {
            Finish(new HashSet<string>(), Leases.Tend(memory.Second, _ => false, new HashSet<string>()));
            return;
        }
        _last = now;
        var (design, wiring) = Of(now);
        var started = memory.Boots.Where(b => _starts.GetValueOrDefault(b.Key) != b.Value).Select(b => b.Key).ToHashSet();
        _starts = memory.Boots;
        foreach (
            var joint in Lab
                .Plugged.Where(j => !wiring.Joints.Contains(j) || started.Contains(j.A.Owner) || started.Contains(j.B.Owner))
                .ToList()
        )
        {
            Lab.Unplug(joint);
        }
        var on = design.SetUp.Boxes.ToDictionary(b => b.Box, b => Set(b.Mode));
        foreach (var box in _set.Keys.Where(b => started.Contains(b) || !on.ContainsKey(b)).ToList())
        {
            Forget(box, true);
        }
        foreach (var box in _set.Where(s => on[s.Key] != s.Value).Select(s => s.Key).ToList())
        {
            Forget(box, false);
        }
        var fresh = Lab.Become(design, wiring).SelectMany(j => new[] { j.A, j.B }).ToHashSet();
        if (Lab.Guests.Count > 0 || design.SetUp.Boxes.Any(b => b.Mode is AccessPointMode && Lab.Does(b.Box, h => h.ServesWhenAlone)))
        {
            throw new NotSupportedException("guests of access points, and DHCP servers that wake when alone, are not built in place");
        }
        var told = on.Keys.Where(b => !_set.ContainsKey(b)).ToHashSet();
        foreach (var box in told)
        {
            _set[box] = on[box];
            if (Lab.Router(box) is { } router)
            {
                Lab.Routers.Lay(box, router);
            }
        }
        var atLine = started.Any(b => wiring.Joints.Any(j => j.A.Owner == PortRef.Street && j.B.Owner == b));
        if (atLine || wiring.Passers != _passers)
        {
            Lab.Routers.ServeLine(atLine);
        }
        _passers = wiring.Passers;
        Type(fresh, told);
        Finish(told, Leases.Tend(memory.Second, fresh.Contains, told));
    }

    public void Dispose()
    {
        _services.Dispose();
        Lab.Dispose();
    }

    /// <summary>
    /// What follows once addresses are known: at boxes that were told something, and where a WAN side has another address.
    /// </summary>
    private void Finish(HashSet<string> told, IReadOnlyList<Seat> got)
    {
        foreach (var box in told.Concat(got.Where(s => s.Device == "wan").Select(s => s.Owner)).Distinct())
        {
            if (Lab.Router(box) is { } router)
            {
                Lab.Routers.Finish(box, router, Leases.Held);
            }
        }
        Lab.Routers.AtStreet(Leases.Held);
    }

    /// <summary>Whether anything differs between two moments that can be built; leases and tables are the kernel's own.</summary>
    public static bool Differ(Moment a, Moment b) =>
        !ReferenceEquals(a.Design.SetUp, b.Design.SetUp)
        || !a.Situation.Down().SequenceEqual(b.Situation.Down())
        || !a.Situation.Silent().SequenceEqual(b.Situation.Silent())
        || a.Situation.Laptop != b.Situation.Laptop
        || !a.Situation.Memory!.Boots.OrderBy(s => s.Key).SequenceEqual(b.Situation.Memory!.Boots.OrderBy(s => s.Key));

    /// <summary>What is built of a moment: what is off or starts is not there, and a radio that is silent joins no one.</summary>
    private static (Design Design, Wiring Wiring) Of(Moment now)
    {
        var inForce = Compiler.Compile(now.Design, now.Situation).InForce;
        var down = now.Situation.Down().ToHashSet();
        var design = now.Situation.Laptop is { } laptop ? WithLaptop.Of(inForce, laptop) : inForce;
        design = design with
        {
            SetUp = design.SetUp with
            {
                Boxes = [.. design.SetUp.Boxes.Where(b => !down.Contains(b.Box))],
                Devices = [.. design.SetUp.Devices.Where(d => !down.Contains(d.Device))],
                Cables =
                [
                    .. design.SetUp.Cables.Where(c => !down.Contains(c.Id) && !down.Contains(c.A.Owner) && !down.Contains(c.B.Owner)),
                ],
            },
        };
        return (design, new(design, [.. now.Situation.Silent()]));
    }

    private void Forget(string box, bool started)
    {
        _set.Remove(box);
        Lab.Routers.Clear(box, started);
        Leases.LetGo(box);
        foreach (var seat in _typed.Keys.Where(s => s.Owner == box).ToList())
        {
            _typed.Remove(seat);
        }
    }

    /// <summary>Typed addresses: of devices and the laptop, of pages, and of WAN sides.</summary>
    private void Type(HashSet<Seat> fresh, HashSet<string> told)
    {
        var now = Lab.Hosts().Where(h => Lab.Wiring.Linked(h.Seat) || told.Contains(h.Seat.Owner)).ToList();
        foreach (var seat in _typed.Keys.Where(s => fresh.Contains(s) || now.All(h => h.Seat != s || h.Setting is not Fixed)).ToList())
        {
            // One that is told to ask instead drops the typed address; the interface of a device that is unplugged is gone with it.
            if (_typed.Remove(seat) && Lab.Wiring.Linked(seat) && !fresh.Contains(seat))
            {
                Lab.Routers.Unset(seat);
            }
        }
        foreach (var (seat, setting) in now)
        {
            if (setting is not Fixed typed || (Lab.Router(seat.Owner) is not null && seat.Device != "wan"))
            {
                continue;
            }
            var text = JsonSerializer.Serialize<HostAddress>(typed, AltrinJson.Options);
            if (_typed.GetValueOrDefault(seat) == text)
            {
                continue;
            }
            _typed[seat] = text;
            Leases.Stop(seat);
            Lab.Routers.Unset(seat);
            Lab.Routers.Configure(seat, typed);
        }
    }

    /// <summary>How a box is set, as text, so that two settings can be told apart; its radios are the wires' affair.</summary>
    private static string Set(BoxMode mode) => JsonSerializer.Serialize<object>(mode.WithRadios([]), AltrinJson.Options);
}
