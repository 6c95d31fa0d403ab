using Altrin.Core.Packets;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>One step of a run sheet: one trip to one page, or one act of the hands, with what belongs to it.</summary>
/// <param name="Id">What it is, whatever its number: it is the same once the order is worked out anew.</param>
/// <param name="Phase">The part of the evening.</param>
/// <param name="Acts">Its acts, in order; at least one.</param>
public sealed record SheetStep(string Id, Phase Phase, IReadOnlyList<PlayedStep> Acts)
{
    /// <summary>The act that it is about: what comes before it leads there, what comes after it is a wait.</summary>
    public required PlayedStep Main { get; init; }

    /// <summary>What is done, in a sentence.</summary>
    public required string Says { get; init; }

    /// <summary>Where; null where the sentence says it.</summary>
    public StepPlace? Where { get; init; }

    /// <summary>Why, in a sentence; null where that is plain.</summary>
    public string? Why { get; init; }

    /// <summary>What is due beside it, in sentences.</summary>
    public IReadOnlyList<string> Cautions { get; init; } = [];

    /// <summary>How it is undone; null where nothing is changed by it.</summary>
    public StepUndo? Undo { get; init; }

    /// <summary>Customer's devices without internet after it that have it before and after the evening, by id.</summary>
    public IReadOnlyList<string> Offline { get; init; } = [];

    /// <summary>Whether a device is offline at any time of it, were it for the wait after a save only.</summary>
    public bool Dips { get; init; }

    /// <summary>Whether one can rest after it: every need is met, one DHCP server answers, nothing is exposed.</summary>
    public bool IsRest { get; init; }

    /// <summary>The state before it.</summary>
    public State Before => Acts[0].Before;

    /// <summary>The state after it.</summary>
    public State After => Acts[^1].After;

    /// <summary>How long hands and waits take.</summary>
    public Duration Takes => Acts.Select(a => a.Takes).Aggregate(Duration.None, (sum, d) => sum + d);

    /// <summary>What is typed, line by line.</summary>
    public IReadOnlyList<PageField> Lines => Main.Lines;

    /// <summary>Invariants that it breaks.</summary>
    public IEnumerable<Broken> Broken => Acts.SelectMany(a => a.Broken);

    /// <summary>What is taken to be so of a box, with what might be so instead; null where its kind says it.</summary>
    public PlayedStep? Assumes => Acts.FirstOrDefault(a => a.Otherwise.Count > 0);

    /// <summary>What is seen after it that was not so before, in words; that a page is still away is not said again.</summary>
    public IReadOnlyList<SeenItem> Sees()
    {
        var before = SeenItem.Of(Before);
        return
        [
            .. SeenItem
                .Of(After)
                .Where(l =>
                    !before.Any(b =>
                        b == l || (b.Key == l.Key && l.Key.StartsWith("page ", StringComparison.Ordinal) && IsAway(b) && IsAway(l))
                    )
                ),
        ];

        static bool IsAway(SeenItem line) => line.Answer != AnswerKind.Yes;
    }
}

/// <summary>Where a step is done.</summary>
/// <param name="Box">At which box.</param>
/// <param name="LaptopPort">Where the laptop is plugged in, in words; null where nowhere.</param>
/// <param name="Page">At which address the page is; null where it is no page, or is not known yet.</param>
/// <param name="Area">Which area of the menu, in general words; null for none.</param>
public sealed record StepPlace(string Box, string? LaptopPort, string? Page, string? Area);

/// <summary>How a step is undone.</summary>
/// <param name="Can">Whether it can be.</param>
/// <param name="Says">How; or what was recorded instead.</param>
/// <param name="Lines">What is typed to put it back.</param>
public sealed record StepUndo(bool Can, string Says, IReadOnlyList<PageField> Lines);
