using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>What a change of mode clears is not set before it.</summary>
public static class ModeFirst
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            11,
            "mode-first",
            "The mode is set first where changing it clears settings; firmware comes right after reset and login.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        if (
            step.Act is SavePage { Box: var id } save
            && save.Changes.OfType<SetMode>().Any()
            && step.Before.Design.Mode(id) is { } before
            && step.After.Design.Mode(id) is { } after
        )
        {
            var lost = before
                .Radios.Where(r => after.Radios.FirstOrDefault(a => a.Radio == r.Radio) is { } now && now.Name != r.Name)
                .Select(r => r.Name)
                .Distinct()
                .ToList();
            if (lost.Count > 0)
            {
                yield return new(
                    [id],
                    $"{step.Before.Design.NameOf(id)} had the Wi-Fi name {string.Join(", ", lost.Select(l => $"\"{l}\""))}, and this mode clears it."
                );
            }
        }
        if (
            step.Act is UpdateFirmware { Box: var renewed }
            && step.Before.Ledger.AtFactory.Contains(renewed) is false
            && step.Before.Ledger.Recorded.All(r => r.Box != renewed)
            && !step.Before.Ledger.Exported.Contains(renewed)
        )
        {
            yield return new(
                [renewed, "firmware"],
                $"The firmware of {step.Before.Design.NameOf(renewed)} is renewed after it was set, and its settings are neither written down nor exported."
            );
        }
    }
}
