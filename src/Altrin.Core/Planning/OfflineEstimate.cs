using Altrin.Core.Planning.Moves;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>
/// For how long a home is offline while one set-up of it is made into another, estimated before there is an order of the work: what the
/// internet goes through is set, and restarts, one box after the other (common practice).
/// </summary>
public static class OfflineEstimate
{
    /// <summary>From what was found to a set-up.</summary>
    public static TimeSpan Between(Design found, Design design)
    {
        var (was, now) = (Carriers(found), Carriers(design));
        return TimeSpan.FromTicks(now.Sum(box => Away(found, design, box, was).Ticks));
    }

    /// <summary>The box at the internet line, and every router behind it: what all devices, or many, depend on.</summary>
    private static List<string> Carriers(Design design)
    {
        var line = GatewayMoves.LineBox(design)?.Id;
        return [.. design.SetUp.Boxes.Where(b => b.Box == line || (b.Mode is RouterMode && IsBehindOne(design, b.Box))).Select(b => b.Box)];
    }

    private static bool IsBehindOne(Design design, string box) =>
        design
            .SetUp.Cables.SelectMany(c => new[] { c.A, c.B })
            .Any(e => e.Owner == box && design.Box(box)?.Profile.Port(e.Port)?.Role == PortRole.Wan);

    private static TimeSpan Away(Design found, Design design, string box, List<string> was)
    {
        var profile = design.Box(box)!.Profile;
        var (before, after) = (found.Mode(box), design.Mode(box)!);
        // One that takes its place on the way starts there; one that changes its mode starts anew with it.
        return before is null || !was.Contains(box) || before.Kind != after.Kind ? Durations.Boot(profile).Usual
            : before is RouterMode a && after is RouterMode b && !Addressed(a).Equals(Addressed(b))
                ? Durations.SaveAndRestart(profile).Usual
            : !SetUpKey.Alike(before, after) ? Durations.Save.Usual
            : TimeSpan.Zero;
    }

    /// <summary>What a router starts anew with.</summary>
    private static object Addressed(RouterMode mode) => (mode.Lan, mode.Wan, mode.Line, mode.Passing);
}
