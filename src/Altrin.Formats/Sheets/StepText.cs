namespace Altrin.Formats;

/// <summary>What a line below a step is.</summary>
public enum StepTextKind
{
    /// <summary>Where it is done.</summary>
    Where,

    /// <summary>One of its acts.</summary>
    Act,

    /// <summary>A value that is typed in the act before it.</summary>
    Value,

    /// <summary>What is seen then.</summary>
    See,

    /// <summary>What is said beside it.</summary>
    Note,

    /// <summary>What must not be missed.</summary>
    Alarm,
}

/// <summary>A line below a step.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Says">What it says.</param>
/// <param name="Head">What stands before it; null for nothing.</param>
public sealed record StepText(StepTextKind Kind, string Says, string? Head = null);
