using Altrin.Core.Procedures;

namespace Altrin.Formats;

/// <summary>A question on which good installers differ.</summary>
/// <param name="Name">The name of the way, such as "further".</param>
/// <param name="Asks">The question, as the head of what is chosen.</param>
/// <param name="Answers">What may be answered, the usual one first.</param>
/// <param name="Typed">What is typed beside one of them; null where nothing is.</param>
public sealed record SchoolDocument(string Name, string Asks, IReadOnlyList<SchoolAnswerDocument> Answers, SchoolTypedDocument? Typed)
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<SchoolDocument> All { get; } =
    [
        .. SchoolWords.All.Select(s => new SchoolDocument(
            WayText.Said(s.Way),
            s.Asks,
            [.. s.Answers.Select(a => new SchoolAnswerDocument(WayText.Said($"{a.Value}"), a.Says, a.For))],
            s.Typed is { } typed ? new(WayText.Said(typed.Way), typed.Asks, WayText.Said($"{typed.With}")) : null
        )),
    ];
}

/// <summary>What is typed beside an answer.</summary>
/// <param name="Name">The name of the way, such as "ownDns".</param>
/// <param name="Asks">What is asked for.</param>
/// <param name="With">The answer that asks for it.</param>
public sealed record SchoolTypedDocument(string Name, string Asks, string With);

/// <summary>One answer.</summary>
/// <param name="Value">As it is typed, such as "lanToLan".</param>
/// <param name="Says">In words.</param>
/// <param name="For">What speaks for it.</param>
public sealed record SchoolAnswerDocument(string Value, string Says, string For);
