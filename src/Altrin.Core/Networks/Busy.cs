namespace Altrin.Core.Networks;

/// <summary>A box that is at work on itself.</summary>
/// <param name="Box">Which.</param>
/// <param name="Kind">With what.</param>
/// <param name="Until">The second from which it is done.</param>
public sealed record Busy(string Box, BusyKind Kind, long Until);

/// <summary>What a box can be busy with.</summary>
public enum BusyKind
{
    /// <summary>It starts: no light is on at its ports, it passes nothing and its radios are silent.</summary>
    Starting,

    /// <summary>Its firmware is being renewed: the same, and its power must stay on.</summary>
    Updating,

    /// <summary>It saves: it passes packets on, and its page does not answer.</summary>
    Saving,

    /// <summary>It sets its radios up anew: they are silent, and its ports go on.</summary>
    Radios,
}
