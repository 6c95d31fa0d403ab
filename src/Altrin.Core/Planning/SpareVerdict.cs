using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>What a box is good for in a home.</summary>
public enum Worth
{
    /// <summary>It serves in the first option.</summary>
    Good,

    /// <summary>The first option does without it; with it, no need is missed more.</summary>
    NotNeeded,

    /// <summary>It does more harm than good: with it, more is missed or will not work.</summary>
    Leave,
}

/// <summary>The verdict on one box, told from the options.</summary>
/// <param name="Box">Its id.</param>
/// <param name="Worth">Whether to use it.</param>
/// <param name="For">As what: in the first option, or in the best option that has it in use; empty where none has.</param>
/// <param name="Reasons">What speaks against it there, a sentence each.</param>
public sealed record SpareVerdict(string Box, Worth Worth, string For, IReadOnlyList<string> Reasons)
{
    /// <summary>How many reasons are given at most.</summary>
    private const int MostReasons = 5;

    /// <summary>The verdict on each box that is not at the internet line.</summary>
    public static IReadOnlyList<SpareVerdict> Of(Design found, PlanAnswer answer) =>
        [
            .. found
                .Site.Boxes.Where(b => !b.ToBuy && b.Id != Moves.GatewayMoves.LineBox(found)?.Id)
                .Select(b => Of(b, answer.Options[0], answer.With.GetValueOrDefault(b.Id))),
        ];

    private static SpareVerdict Of(Box box, PlanOption first, PlanOption? with)
    {
        if (first.SetUp.Boxes.Any(b => b.Box == box.Id))
        {
            return new(box.Id, Worth.Good, Becomes(first, box.Id), []);
        }
        if (with is null)
        {
            return new(box.Id, Worth.NotNeeded, "", ["Nothing in this home asks for it."]);
        }
        var worse = with.Score.Missed > first.Score.Missed || with.Score.WillNotWork > first.Score.WillNotWork;
        var about = with
            .Proof.Findings.Where(f => f.Accepted is null && f.Subjects.Any(s => PortRef.Read(s).Owner == box.Id))
            .OrderBy(f => f.CausedBy.Count)
            .Select(f => $"{f.What}.")
            .Distinct()
            .ToList();
        return new(
            box.Id,
            worse ? Worth.Leave : Worth.NotNeeded,
            Becomes(with, box.Id),
            [
                .. about.Take(MostReasons - 1),
                $"With it in use, the best option has {Math.Round(with.Points - first.Points, 1):0.#} points more than the first.",
            ]
        );
    }

    private static string Becomes(PlanOption option, string box) =>
        RoleWords.Of(new(option.Site, option.SetUp), option.Roles.First(r => r.Box == box));
}
