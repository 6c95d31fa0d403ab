using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>
/// Gathers acts into steps: what leads to a page and the wait after a save belong to the trip; cables of one re-patching, and things that
/// are looked at one after another, are one step.
/// </summary>
public static class StepSplit
{
    /// <summary>The acts of each step of one piece of work.</summary>
    public static IEnumerable<IReadOnlyList<PlayedStep>> Of(WorkDone work)
    {
        var step = new List<PlayedStep>();
        PlayedStep? main = null;
        foreach (var act in work.Steps)
        {
            if (main is not null && act.Act is not WaitUntilReady && !Continues(main.Act, act.Act))
            {
                yield return step;
                (step, main) = ([], null);
            }
            step.Add(act);
            main = Leads(act.Act) || act.Act is WaitUntilReady ? main : act;
        }
        if (step.Count > 0)
        {
            yield return step;
        }
    }

    /// <summary>The act that a step is about.</summary>
    public static PlayedStep Main(IReadOnlyList<PlayedStep> acts) =>
        acts.FirstOrDefault(a => a.Act is RecordFacts or ResetBox)
        ?? acts.LastOrDefault(a => a.Act is PatchCable)
        ?? acts.FirstOrDefault(a => !Leads(a.Act) && a.Act is not WaitUntilReady)
        ?? acts[^1];

    /// <summary>Whether an act only leads to the next one.</summary>
    private static bool Leads(Act act) =>
        act is LaptopToPort or LaptopOutOfPort or LaptopAddress or LaptopToWifi or ClearTable or OpenPage or FindPage or TryLogin
        || act is Verify { What: Verifiable.Internet };

    /// <summary>Whether an act is part of the same step as the one that it is about.</summary>
    private static bool Continues(Act main, Act next) =>
        (main, next) switch
        {
            (Fetch, Fetch) or (Verify, Verify) => true,
            (PatchCable or UnpatchCable or PowerOff, PatchCable or UnpatchCable or PowerOff) => true,
            (PatchCable, PowerOn) => true,
            (PowerOff, WaitFor) or (PowerOff or WaitFor, PowerOn) => true,
            (PatchCable or DeviceTakesAddress or DeviceJoins, DeviceTakesAddress or DeviceJoins) => true,
            (NewLink, NewLink) or (DeviceJoins, DeviceJoins) => true,
            (PowerOn, CarryBox) => false,
            (RecordFacts, LaptopOffWifi) => false,
            // At the end the laptop leaves as it came.
            (LaptopOffWifi, _) => false,
            _ => false,
        };
}
