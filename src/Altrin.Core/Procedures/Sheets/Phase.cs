namespace Altrin.Core.Procedures.Sheets;

/// <summary>Parts of an evening, in their usual order.</summary>
public enum Phase
{
    /// <summary>What is fetched and asked before one leaves for the home.</summary>
    BeforeLeaving,

    /// <summary>The home as it is found: what works, what is written down.</summary>
    Baseline,

    /// <summary>Each further box alone, off the live network.</summary>
    AtTheTable,

    /// <summary>What touches the live network.</summary>
    Window,

    /// <summary>Boxes go where they are to stand.</summary>
    Place,

    /// <summary>What is proven at the end, and what is undone.</summary>
    Finish,
}
