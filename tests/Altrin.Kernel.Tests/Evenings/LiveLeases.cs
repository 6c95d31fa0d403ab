using System.Diagnostics;
using System.Globalization;
using Altrin.Core.Addressing;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>
/// Those who ask for addresses in a home that is changed in place: a real client for each, which stays and renews when it is told to by
/// a signal. The clock is that of the evening: at half of its lease a client is told to renew, at seven eighths to ask everybody (RFC
/// 2131, section 4.4.5), and at its end it begins anew. Waits of an evening are shortened in this way, and in no other.
/// </summary>
internal sealed class LiveLeases(Lab lab)
{
    private readonly Dictionary<Seat, int> _clients = [];
    private readonly Dictionary<Seat, (Got Got, long At)> _held = [];
    private readonly Dictionary<Seat, Ipv4Address> _alone = [];
    private readonly Dictionary<Seat, Ipv4Address> _last = [];

    /// <summary>What is held just now.</summary>
    public IReadOnlyDictionary<Seat, Got> Held => _held.ToDictionary(h => h.Key, h => h.Value.Got);

    /// <summary>The address that a host has that asks: a leased one, or its own choice.</summary>
    public Ipv4Address? Of(Seat seat) =>
        _held.TryGetValue(seat, out var lease) ? lease.Got.Address
        : _alone.TryGetValue(seat, out var alone) ? alone
        : null;

    /// <summary>Time passes before anything changes: leases are renewed, or run out.</summary>
    /// <param name="second">The second of the evening until when it does.</param>
    public void Pass(long second)
    {
        foreach (var (seat, lease) in _held.Where(h => _clients.ContainsKey(h.Key)).ToList())
        {
            var (passed, lasts) = (second - lease.At, lease.Got.LeaseSeconds / lab.Choosing.LeaseStretch);
            var half = Math.Max(1, lasts / 2);
            if (passed < half)
            {
                continue;
            }
            if (Renew(seat) is { } got)
            {
                // It renewed at each half in between, as it would have by itself.
                _held[seat] = (got, lease.At + (passed / half * half));
            }
            else if (passed >= lasts)
            {
                Stop(seat);
                lab.Routers.Unset(seat);
            }
            else if (passed >= lasts * 7 / 8 && lab.Clients.Offers(seat, TimeSpan.FromSeconds(1)).Count > 0)
            {
                Ask(seat, second, 4);
            }
        }
    }

    /// <summary>Everybody who has a link asks where that is new, or where it has no lease.</summary>
    /// <param name="second">The second of the evening.</param>
    /// <param name="fresh">Whether a link is new.</param>
    /// <param name="told">Boxes that start, or were told something new.</param>
    /// <returns>Whose lease is another one than before.</returns>
    public IReadOnlyList<Seat> Tend(long second, Predicate<Seat> fresh, IReadOnlySet<string> told)
    {
        // Outer sides first: who is further in asks a router that is there already.
        var clients = lab
            .Clients.All.OrderBy(s =>
                s.Device == "wan" ? 0
                : s.Device == "lan" ? 1
                : 2
            )
            .ToList();
        foreach (var seat in _clients.Keys.Concat(_held.Keys).Concat(_alone.Keys).Distinct().Except(clients).ToList())
        {
            Stop(seat);
        }
        var changed = new List<Seat>();
        foreach (var seat in clients)
        {
            var before = Of(seat);
            // The page of an access point looks at its own start, and not at its cables (common practice).
            var begins = seat.Device == "lan" ? told.Contains(seat.Owner) : fresh(seat) || told.Contains(seat.Owner);
            if (begins || !_held.ContainsKey(seat))
            {
                Ask(seat, second, begins ? 4 : 1);
            }
            if (Of(seat) != before)
            {
                changed.Add(seat);
            }
        }
        return changed;
    }

    /// <summary>A box that is dark holds nothing.</summary>
    public void LetGo(string box)
    {
        foreach (var seat in _clients.Keys.Concat(_held.Keys).Where(s => s.Owner == box).Distinct().ToList())
        {
            Stop(seat);
        }
    }

    /// <summary>Ends the client of a seat; it gives nothing back, as a pulled cable does not.</summary>
    public void Stop(Seat seat)
    {
        if (_clients.Remove(seat, out var id))
        {
            lab.Spaces.End(id);
        }
        if (_held.Remove(seat, out var lease))
        {
            _last[seat] = lease.Got.Address;
        }
        _alone.Remove(seat);
    }

    private void Ask(Seat seat, long second, int tries)
    {
        Stop(seat);
        string[] wish = _last.TryGetValue(seat, out var last) ? ["-r", $"{last}"] : [];
        if (lab.Clients.Stay(seat, tries, wish) is var (got, id))
        {
            _clients[seat] = id;
            _held[seat] = (got, second);
            return;
        }
        if (seat.Device == "eth0")
        {
            // RFC 3927, section 2.1: an address of one's own choice in 169.254.1.0 to 169.254.254.255.
            _alone[seat] = Ipv4Address.From(169, 254, 7, (byte)(1 + (lab.Mac(seat).Bits & 0x7F)));
            lab.Routers.Unset(seat);
            lab.Routers.Configure(seat, new(new(_alone[seat], 16), null, []));
        }
    }

    /// <summary>
    /// Told by signal; null where its server is not there. It is asked for first: this client takes a signal that is not answered for a
    /// reason to ask everybody, which no client does before seven eighths of its time.
    /// </summary>
    private Got? Renew(Seat seat)
    {
        // On a busy machine an answer may be late, or a question lost: while the server is heard, it is told again.
        for (var tries = 0; tries < 4 && IsThere(seat); tries++)
        {
            var before = lab.Clients.Stamp(seat);
            Namespaces.Run("kill", ["-USR1", _clients[seat].ToString(CultureInfo.InvariantCulture)]);
            var since = Stopwatch.StartNew();
            while (since.Elapsed < TimeSpan.FromSeconds(3))
            {
                if (lab.Clients.Stamp(seat) != before)
                {
                    return lab.Clients.Lease(seat);
                }
                Thread.Yield();
            }
        }
        return null;
    }

    /// <summary>
    /// Whether a server offers addresses of the subnet that a client is in; silence is listened to once more, and longer.
    /// </summary>
    private bool IsThere(Seat seat)
    {
        var had = _held[seat].Got;
        var own = Subnet.Containing(had.Address, had.PrefixLength);
        return new[] { 400, 1500 }.Any(most => lab.Clients.Offers(seat, TimeSpan.FromMilliseconds(most)).Any(o => own.Contains(o.Address)));
    }
}
