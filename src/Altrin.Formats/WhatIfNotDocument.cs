using Altrin.Core.Procedures;

namespace Altrin.Formats;

/// <summary>What is seen after an act that is not as it should be, and which slips would explain it.</summary>
/// <param name="Shows">What is then seen otherwise; empty where nothing shows here.</param>
/// <param name="Slips">What may have gone wrong, and what is done about it.</param>
/// <param name="ShownBy">The number of the act that will show what shows nothing here; left out where none does, or it shows here.</param>
/// <param name="Unseen">That nothing shows here, and which step shows it, as a sentence; left out where it shows.</param>
/// <param name="Tests">How its slips are told apart; left out where what is seen tells.</param>
public sealed record WhatIfNotDocument(
    IReadOnlyList<SeenItem> Shows,
    IReadOnlyList<SlipDocument> Slips,
    int? ShownBy,
    string? Unseen,
    string? Tests
)
{
    /// <summary>What may go wrong at an act of an evening, by its number.</summary>
    /// <param name="play">The evening.</param>
    /// <param name="number">The number, from 1.</param>
    /// <param name="cancel">Gives it up.</param>
    /// <exception cref="ArgumentOutOfRangeException">There is no such act.</exception>
    /// <exception cref="OperationCanceledException">It was given up.</exception>
    public static IReadOnlyList<WhatIfNotDocument> Of(Play play, int number, CancellationToken cancel = default) =>
        [.. WhatIfNot.Of(play, number, cancel).Select(g => Of(g, number))];

    /// <summary>The document of one group of a step, by its number.</summary>
    public static WhatIfNotDocument Of(WhatIfNot group, int number) =>
        new(
            group.Shows,
            [.. group.Slips.Select(s => new SlipDocument(s.Says, s.WayOut))],
            group.ShownBy,
            group.Unseen(number),
            group.Tests
        );
}

/// <summary>Something that went wrong at an act.</summary>
/// <param name="Says">What, as a sentence.</param>
/// <param name="WayOut">What is done about it, as a sentence.</param>
public sealed record SlipDocument(string Says, string WayOut);
