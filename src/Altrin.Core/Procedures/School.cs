namespace Altrin.Core.Procedures;

/// <summary>A question on which good installers differ.</summary>
/// <param name="Way">The property of <see cref="Ways"/> that holds the answer.</param>
/// <param name="Asks">The question, as the head of what is chosen.</param>
/// <param name="Answers">What may be answered, the usual one first.</param>
public sealed record School(string Way, string Asks, IReadOnlyList<SchoolAnswer> Answers)
{
    /// <summary>What is typed beside one of the answers; null where nothing is.</summary>
    public SchoolTyped? Typed { get; init; }
}

/// <summary>What is typed beside an answer.</summary>
/// <param name="Way">The property of <see cref="Ways"/> that holds it.</param>
/// <param name="Asks">What is asked for.</param>
/// <param name="With">The answer that asks for it.</param>
public sealed record SchoolTyped(string Way, string Asks, object With);

/// <summary>One answer.</summary>
/// <param name="Value">The value of the property.</param>
/// <param name="Says">The answer in words.</param>
/// <param name="For">What speaks for it, in a line.</param>
public sealed record SchoolAnswer(object Value, string Says, string For);
