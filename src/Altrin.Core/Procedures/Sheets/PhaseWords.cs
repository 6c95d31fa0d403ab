namespace Altrin.Core.Procedures.Sheets;

/// <summary>Phases in words.</summary>
public static class PhaseWords
{
    /// <summary>A phase as a heading.</summary>
    public static string Of(Phase phase) =>
        phase switch
        {
            Phase.BeforeLeaving => "Before leaving",
            Phase.Baseline => "Baseline",
            Phase.AtTheTable => "At the table",
            Phase.Window => "On the live network",
            Phase.Place => "Place",
            _ => "Finish",
        };
}
