using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>How much has to be done.</summary>
public enum FirstAnswerKind
{
    /// <summary>Too little is known to say.</summary>
    AskFirst,

    /// <summary>Nothing: the home is served as it is.</summary>
    Keep,

    /// <summary>The gateway alone serves it from another place.</summary>
    Move,

    /// <summary>What is found works but for names and passwords.</summary>
    Rename,

    /// <summary>Settings have to be set right, and nothing else.</summary>
    Settings,

    /// <summary>One cable more, or in another port, and nothing else.</summary>
    OneCable,

    /// <summary>One box with radios more, with whatever leads to it and feeds it.</summary>
    OneAccessPoint,

    /// <summary>More than one thing has to be done: a plan.</summary>
    Plan,
}

/// <summary>Tells from an option how much has to be done for it.</summary>
internal static class FirstAnswerKinds
{
    /// <summary>How much is done from what was found to an option.</summary>
    /// <param name="found">What was found.</param>
    /// <param name="line">The box at the internet line.</param>
    /// <param name="option">The option.</param>
    public static FirstAnswerKind Of(Design found, string line, PlanOption option)
    {
        var design = new Design(option.Site, option.SetUp);
        var changes = Difference.Between(option.Site, found.SetUp, option.SetUp).Changes;
        var added = option.SetUp.Boxes.Where(b => found.Setting(b.Box) is null).ToList();
        var kept = found.SetUp.Boxes.Where(b => design.Setting(b.Box) is { } then && then.Mode.Kind == b.Mode.Kind).ToList();
        var moved = kept.Where(b => design.Setting(b.Box)!.Place != b.Place).Select(b => b.Box).ToList();
        var cables = option.SetUp.Cables.Count(c => found.SetUp.Cables.All(f => f.Id != c.Id));
        var isKept = kept.Count == found.SetUp.Boxes.Count;
        return changes.Count == 0 ? FirstAnswerKind.Keep
            : isKept && added.Count == 0 && moved is [var only] && only == line && cables == 0 ? FirstAnswerKind.Move
            : !isKept || moved.Count > 0 ? FirstAnswerKind.Plan
            : added.Count > 0
                ? added.Count(b => design.Box(b.Box)!.Profile.Radios.Count > 0) == 1 ? FirstAnswerKind.OneAccessPoint
                    : FirstAnswerKind.Plan
            : cables > 0
                ? cables == 1 && changes.All(c => c is Patch or Unpatch) ? FirstAnswerKind.OneCable
                    : FirstAnswerKind.Plan
            : changes.All(c => c is SetRadio or JoinWifi or SetUplink) ? FirstAnswerKind.Rename
            : FirstAnswerKind.Settings;
    }
}
