using Altrin.Core.Addressing;
using Altrin.Core.Networks;

namespace Altrin.Core.Packets;

/// <summary>
/// What luck decides on one way. A way is followed again and again, each time with one more of its choices made, until every
/// outcome is known; a choice that the way never meets is never made.
/// </summary>
internal sealed class Choices(IReadOnlyList<int> made)
{
    /// <summary>More ways than this are not followed; the answer is then luck, whatever the first ones gave.</summary>
    private const int MostWays = 24;

    private readonly List<(ChoiceKey Key, int Pick)> _taken = [];

    /// <summary>The first choice that was not made beforehand; null where all were.</summary>
    private Fork? Open { get; set; }

    /// <summary>Which of several ways comes to pass; the same for the same key as long as one way is followed.</summary>
    public int Pick(ChoiceKey key, Func<Fork> fork)
    {
        foreach (var (known, pick) in _taken)
        {
            if (known == key)
            {
                return pick;
            }
        }
        if (_taken.Count >= made.Count)
        {
            Open ??= fork();
        }
        var taken = _taken.Count < made.Count ? made[_taken.Count] : 0;
        _taken.Add((key, taken));
        return taken;
    }

    /// <summary>Follows a way with every outcome of its choices: the answer over all of them, and what the best of them gave.</summary>
    /// <param name="way">Follows it once.</param>
    /// <param name="alike">Whether two outcomes are the same in what is told of them.</param>
    public static Followed<T> Follow<T>(Func<Choices, (Answer Answer, T Result)> way, Func<T, T, bool>? alike = null)
    {
        var left = MostWays;
        return Resolve([]);

        Followed<T> Resolve(int[] made)
        {
            var choices = new Choices(made);
            var (answer, result) = way(choices);
            if (choices.Open is not { } fork)
            {
                return new(answer, answer.Kind, result, true);
            }
            if ((left -= fork.Ways.Count) < 0)
            {
                return new(Answer.ByLuck([.. fork.Causes, .. answer.Causes]), answer.Kind, result, false);
            }
            Followed<T>[] all = [.. fork.Ways.Select((_, i) => Resolve([.. made, i]))];
            var best = all.MinBy(a => Rank(a.Best))!;
            var sure =
                alike is not null
                && all.All(a => a.Sure && (ReferenceEquals(a, best) || a.Best == AnswerKind.No || alike(a.Result, best.Result)));
            return best with { Sure = sure, Answer = Answer.OneOf([.. all.Select((a, i) => (fork.Ways[i], a.Answer))], fork.Causes) };
        }
    }

    private static int Rank(AnswerKind kind) =>
        kind switch
        {
            AnswerKind.Yes => 0,
            AnswerKind.Luck => 1,
            AnswerKind.Unknown => 2,
            _ => 3,
        };
}

/// <summary>What is chosen.</summary>
/// <param name="What">The kind of choice.</param>
/// <param name="Where">Owner or segment.</param>
/// <param name="Side">Which side of an owner.</param>
/// <param name="Address">Which address.</param>
internal readonly record struct ChoiceKey(string What, string Where, Side Side = default, Ipv4Address Address = default);

/// <summary>A choice that luck makes.</summary>
/// <param name="Ways">What may come to pass, at least two.</param>
/// <param name="Causes">Why it is not known which.</param>
internal sealed record Fork(IReadOnlyList<string> Ways, IReadOnlyList<Cause> Causes);

/// <summary>What came of following a way.</summary>
/// <param name="Answer">Over all outcomes.</param>
/// <param name="Best">How well it went in the best of them.</param>
/// <param name="Result">What that one gave.</param>
/// <param name="Sure">Whether every outcome that gets there gave the same.</param>
internal sealed record Followed<T>(Answer Answer, AnswerKind Best, T Result, bool Sure);
