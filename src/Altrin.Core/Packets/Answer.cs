using System.Text.Json.Serialization;

namespace Altrin.Core.Packets;

/// <summary>The four answers that a fact can give.</summary>
public enum AnswerKind
{
    /// <summary>It works.</summary>
    Yes,

    /// <summary>It does not.</summary>
    No,

    /// <summary>The real thing tosses a coin; cured by changing the design.</summary>
    Luck,

    /// <summary>Not surveyed; cured by asking.</summary>
    Unknown,
}

/// <summary>Answers in words.</summary>
public static class AnswerWords
{
    /// <summary>One of the four, in a word or two.</summary>
    public static string Of(AnswerKind kind) =>
        kind switch
        {
            AnswerKind.Yes => "yes",
            AnswerKind.No => "no",
            AnswerKind.Luck => "by luck",
            AnswerKind.Unknown => "not known",
            _ => throw new ArgumentOutOfRangeException(nameof(kind)),
        };
}

/// <summary>Why an answer is not a plain yes.</summary>
/// <param name="Code">One of <see cref="CauseCodes"/>.</param>
/// <param name="Subjects">Ids that it is about, in ordinal order.</param>
/// <param name="Text">One sentence.</param>
public sealed record Cause(string Code, IReadOnlyList<string> Subjects, string Text)
{
    /// <summary>Code and subjects: what makes two causes, or a cause and a finding, the same.</summary>
    [JsonIgnore]
    public string Identity { get; } = $"{Code}({string.Join(',', Subjects)})";

    /// <summary>A cause with its subjects put in order.</summary>
    public static Cause Of(string code, string text, params IEnumerable<string> subjects) =>
        new(code, [.. subjects.Distinct().Order(StringComparer.Ordinal)], text);
}

/// <summary>What may come out where luck decides.</summary>
/// <param name="When">The way it may fall.</param>
/// <param name="Result">The answer then.</param>
public sealed record Outcome(string When, AnswerKind Result);

/// <summary>An answer with its reasons.</summary>
/// <param name="Kind">Which of the four.</param>
/// <param name="Causes">Why it is not a plain yes, each once, in order of identity. A yes may carry none.</param>
/// <param name="Outcomes">For luck: what may come out, at most <see cref="MostOutcomes"/>; empty beyond that.</param>
public sealed record Answer(AnswerKind Kind, IReadOnlyList<Cause> Causes, IReadOnlyList<Outcome> Outcomes)
{
    /// <summary>More outcomes than this are not listed: the causes alone are.</summary>
    public const int MostOutcomes = 16;

    /// <summary>How many causes there are beside <see cref="Causes"/>: 0 unless this is a <see cref="Brief"/> answer.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public int MoreCauses { get; init; }

    /// <summary>A plain yes.</summary>
    public static Answer Yes { get; } = new(AnswerKind.Yes, [], []);

    /// <summary>Whether it is yes, whatever luck does.</summary>
    [JsonIgnore]
    public bool IsYes => Kind == AnswerKind.Yes;

    /// <summary>Whether a person relying on it is let down: no, or left to luck.</summary>
    [JsonIgnore]
    public bool IsBroken => Kind is AnswerKind.No or AnswerKind.Luck;

    /// <summary>The first cause as a sentence; empty for a plain yes.</summary>
    [JsonIgnore]
    public string Why => Causes.Count > 0 ? Causes[0].Text : "";

    /// <summary>The same answer with its first causes; the others are counted.</summary>
    /// <param name="most">How many causes are kept at most.</param>
    public Answer Brief(int most) =>
        Causes.Count <= most ? this : this with { Causes = [.. Causes.Take(most)], MoreCauses = MoreCauses + Causes.Count - most };

    /// <summary>No, because of this.</summary>
    public static Answer No(params IReadOnlyList<Cause> causes) => new(AnswerKind.No, Ordered(causes), []);

    /// <summary>By luck, because of this; without further outcomes than works and does not.</summary>
    public static Answer ByLuck(params IReadOnlyList<Cause> causes) => new(AnswerKind.Luck, Ordered(causes), []);

    /// <summary>Unknown until this is found out.</summary>
    public static Answer NotKnown(params IReadOnlyList<Cause> causes) => new(AnswerKind.Unknown, Ordered(causes), []);

    /// <summary>Both must hold; see <see cref="All"/>.</summary>
    public Answer And(Answer other) =>
        IsYes ? other
        : other.IsYes ? this
        : All([this, other]);

    /// <summary>
    /// All must hold. No weighs most, then luck, then unknown. Below a no only the causes of the no are kept, otherwise all.
    /// </summary>
    public static Answer All(IReadOnlyList<Answer> answers)
    {
        var kind = answers.Select(a => a.Kind).DefaultIfEmpty().Aggregate(Worst);
        var telling = answers.Where(a => kind == AnswerKind.No ? a.Kind == kind : !a.IsYes).ToList();
        return kind == AnswerKind.Yes
            ? Yes
            : new(
                kind,
                Ordered([.. telling.SelectMany(a => a.Causes)]),
                kind == AnswerKind.No ? [] : Cut([.. telling.SelectMany(a => a.Outcomes).Distinct()])
            );
    }

    /// <summary>
    /// One of several ways comes to pass, and it is not known which. Where all end alike that is the answer; otherwise it is luck,
    /// caused by the race itself and by whatever was luck before it.
    /// </summary>
    /// <param name="ways">What may come to pass, each with its answer; at least one.</param>
    /// <param name="race">Why it is not known which.</param>
    public static Answer OneOf(IReadOnlyList<(string When, Answer Answer)> ways, params IReadOnlyList<Cause> race)
    {
        if (ways.Count == 1)
        {
            return ways[0].Answer;
        }
        if (ways.All(w => w.Answer.IsYes))
        {
            return Yes;
        }
        if (ways.All(w => w.Answer.Kind == AnswerKind.No))
        {
            return new(AnswerKind.No, Ordered([.. race, .. ways.SelectMany(w => w.Answer.Causes)]), []);
        }
        if (ways.All(w => w.Answer.Kind is AnswerKind.Unknown or AnswerKind.Yes))
        {
            return new(AnswerKind.Unknown, Ordered([.. ways.SelectMany(w => w.Answer.Causes)]), []);
        }
        return new(
            AnswerKind.Luck,
            Ordered([.. race, .. ways.Where(w => w.Answer.Kind == AnswerKind.Luck).SelectMany(w => w.Answer.Causes)]),
            Cut([.. ways.SelectMany(Flat)])
        );
    }

    private static IEnumerable<Outcome> Flat((string When, Answer Answer) way) =>
        way.Answer is { Kind: AnswerKind.Luck, Outcomes.Count: > 0 }
            ? way.Answer.Outcomes.Select(o => new Outcome($"{way.When}, {o.When}", o.Result))
            : [new(way.When, way.Answer.Kind)];

    private static AnswerKind Worst(AnswerKind a, AnswerKind b) =>
        a == AnswerKind.No || b == AnswerKind.No ? AnswerKind.No
        : a == AnswerKind.Luck || b == AnswerKind.Luck ? AnswerKind.Luck
        : a == AnswerKind.Unknown || b == AnswerKind.Unknown ? AnswerKind.Unknown
        : AnswerKind.Yes;

    private static IReadOnlyList<Outcome> Cut(IReadOnlyList<Outcome> outcomes) => outcomes.Count <= MostOutcomes ? outcomes : [];

    private static IReadOnlyList<Cause> Ordered(IReadOnlyList<Cause> causes) =>
        causes.Count < 2 ? causes : [.. causes.DistinctBy(c => c.Identity).OrderBy(c => c.Identity, StringComparer.Ordinal)];
}
