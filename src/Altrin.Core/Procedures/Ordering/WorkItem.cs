namespace Altrin.Core.Procedures.Ordering;

/// <summary>Sorts of work, in the order in which they are tried where nothing else decides.</summary>
public enum WorkKind
{
    /// <summary>What comes before anything is changed.</summary>
    Baseline,

    /// <summary>A box is set up at the table.</summary>
    Table,

    /// <summary>A box without a page gets power.</summary>
    Power,

    /// <summary>A page of a box that is in use is saved.</summary>
    Save,

    /// <summary>The radios of a box are off for a while, which is no part of the plan.</summary>
    Silence,

    /// <summary>A cable between boxes is plugged in.</summary>
    Patch,

    /// <summary>A cable is pulled.</summary>
    Unpatch,

    /// <summary>A box goes where it is to stand.</summary>
    Carry,

    /// <summary>A customer's device is plugged in, joins or gets another address.</summary>
    Device,

    /// <summary>A customer's device asks for its address anew.</summary>
    NewLink,

    /// <summary>A box is taken out of use.</summary>
    Away,

    /// <summary>What comes when all is as planned.</summary>
    Finish,
}

/// <summary>One piece of work on the way to a plan: acts that belong together, derived from the state in which it is begun.</summary>
/// <param name="Kind">What sort.</param>
/// <param name="Subject">What it is about: a box, a cable, a device, or a page of a box.</param>
/// <param name="Do">Does it; false where it cannot be done.</param>
internal sealed record WorkItem(WorkKind Kind, string Subject, Func<Script, bool> Do)
{
    /// <summary>The box at which it is done, by which its turn is found; null where that does not matter.</summary>
    public string? Box { get; init; }

    /// <summary>Whether it is tried after what makes the network: radios go on where their names lead to one network by then.</summary>
    public bool IsLate { get; init; }

    /// <summary>What tells it from others in one state.</summary>
    public string Identity => $"{Kind}:{Subject}";
}

/// <summary>One piece of work that was done.</summary>
/// <param name="Kind">What sort.</param>
/// <param name="Subject">What it is about.</param>
/// <param name="Steps">Its acts.</param>
public sealed record WorkDone(WorkKind Kind, string Subject, IReadOnlyList<PlayedStep> Steps);
