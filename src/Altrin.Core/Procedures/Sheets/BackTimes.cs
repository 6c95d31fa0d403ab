namespace Altrin.Core.Procedures.Sheets;

/// <summary>How long a way back is, for who has to decide whether a step is begun.</summary>
/// <param name="AtMainBox">How long hands are busy at the box at the line, waits apart.</param>
/// <param name="BeginBefore">
/// How long before the evening, or the provider's hotline, ends the step before it has to begin at the latest; null where it is no risk.
/// </param>
public sealed record BackTimes(TimeSpan AtMainBox, TimeSpan? BeginBefore);
