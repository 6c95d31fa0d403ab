using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>An evening walked on the kernel, act by act.</summary>
internal static class Walk
{
    /// <summary>Fails where anything differs; the differences are the message.</summary>
    public static void None(IEnumerable<string> differences)
    {
        var all = differences.ToList();
        Assert.True(all.Count == 0, string.Join('\n', all));
    }

    /// <summary>Goes through an evening and looks wherever something may be seen that was not so before.</summary>
    public static async Task<IReadOnlyList<(int Act, Compared Compared)>> Of(
        KernelEvening evening,
        Play play,
        IReadOnlyList<Foreseen> foreseen
    )
    {
        using var home = new LiveHome(evening.Found);
        var before = State.Morning(evening.Found).Moment;
        home.Become(before);
        var looks = new List<(int, Compared)>();
        for (var i = 0; i < play.Steps.Count; i++)
        {
            var now = play.Steps[i].After.Moment;
            home.Become(now);
            if (
                play.Steps[i].Act is WaitFor
                || LiveHome.Differ(before, now)
                || LiveHome.Differ(foreseen[Math.Max(0, i - 1)].Moment, foreseen[i].Moment)
            )
            {
                var sight = now.Situation.Laptop is { } laptop ? new LaptopSight(home, laptop) : null;
                looks.Add((i, await new Look(home, evening.Home, foreseen[i]).Compare(sight)));
            }
            before = now;
        }
        return looks;
    }
}
