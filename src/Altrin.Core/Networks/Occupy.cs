using Altrin.Core.Addressing;

namespace Altrin.Core.Networks;

/// <summary>
/// A box begins to be busy with itself. What makes it so, such as a save, happens in the same second and comes after this.
/// </summary>
/// <param name="Box">Which.</param>
/// <param name="Kind">With what.</param>
/// <param name="Time">For how long, in whole seconds: 1 s to a day.</param>
public sealed record Occupy(string Box, BusyKind Kind, TimeSpan Time) : Event
{
    /// <inheritdoc/>
    public override Parsed<Moment> From(Moment now)
    {
        if (now.Design.Mode(Box) is null)
        {
            return Parsed<Moment>.Fail($"There is no box '{Ipv4Address.Shown(Box)}' in use.");
        }
        if (Time < TimeSpan.FromSeconds(1) || Time > TimeSpan.FromDays(1) || Time.Ticks % TimeSpan.TicksPerSecond != 0)
        {
            return Parsed<Moment>.Fail("A box is busy for a second to a day, in whole seconds.");
        }
        var memory = MemoryOf(now);
        return Settled(
            now with
            {
                Situation = now.Situation with
                {
                    Memory = memory,
                    Busy = [.. now.Situation.Busy, new(Box, Kind, memory.Second + (long)Time.TotalSeconds)],
                },
            }
        );
    }
}
