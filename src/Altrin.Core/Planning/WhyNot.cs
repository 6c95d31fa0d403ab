using Altrin.Core.Planning.Moves;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>An alternative that a person names, built as nearly as can be and proven.</summary>
/// <param name="Box">The box that is asked about.</param>
/// <param name="Wanted">What it should become.</param>
/// <param name="Option">The best option in which it is that; null where there is none.</param>
/// <param name="Because">Why there is none; null where there is one.</param>
/// <param name="Price">In what it differs from the first option, the dearest first; below zero where it is better.</param>
/// <param name="IsCut">Whether the search ended before it was through.</param>
public sealed record WhyNot(string Box, RoleKind Wanted, PlanOption? Option, string? Because, IReadOnlyList<PriceItem> Price, bool IsCut)
{
    /// <summary>The answer.</summary>
    /// <param name="task">What options are asked for.</param>
    /// <param name="best">The first of them.</param>
    /// <param name="box">The box: one of the home.</param>
    /// <param name="wanted">What it should become.</param>
    /// <param name="stop">Ends the search.</param>
    public static WhyNot Of(PlanTask task, PlanOption best, string box, RoleKind wanted, CancellationToken stop = default)
    {
        var gear = task.Found.Box(box)!;
        if (!CanBecome(task.Found, gear).Contains(wanted))
        {
            return new(box, wanted, null, $"{gear.Name} cannot be that. {Can(task.Found, gear)}", [], false);
        }
        var asked = task with { Wanted = new Dictionary<string, RoleKind> { [box] = wanted } };
        var answer = Planner.Plan(asked, stop: stop);
        var option = answer.Options[0];
        return asked.Unmet(option.Roles) > 0
            ? new(box, wanted, null, Nothing(gear, answer.IsCut), [], answer.IsCut)
            : new(box, wanted, option, null, option.Score.Price(best.Score, task.Weights), answer.IsCut);
    }

    /// <summary>What a box of a home can become by its kind, whatever speaks against it.</summary>
    public static IReadOnlyList<RoleKind> CanBecome(Design found, Box box)
    {
        var (modes, isLine) = (box.Profile.Modes, GatewayMoves.LineBox(found)?.Id == box.Id);
        var (routes, hasWan) = (modes.Contains(ModeKind.Router), box.Profile.Ports.Any(p => p.Role == PortRole.Wan));
        (RoleKind Kind, bool Can)[] all = isLine
            ?
            [
                (RoleKind.Router, routes),
                (RoleKind.Passing, routes && (box.Profile.Passes.Count > 0 || box.Profile.Traits.TakesDmz == Known.Yes)),
                (RoleKind.Bridge, modes.Contains(ModeKind.Bridge)),
            ]
            :
            [
                (RoleKind.Router, routes && hasWan),
                (RoleKind.AccessPoint, modes.Contains(ModeKind.AccessPoint)),
                (RoleKind.LanToLan, routes),
                (RoleKind.Cascade, routes && hasWan),
                (RoleKind.Repeater, modes.Contains(ModeKind.Repeater)),
                (RoleKind.Wds, routes && box.Profile.Radios.Any(r => r.FourAddress == Known.Yes)),
                (RoleKind.WirelessBridge, modes.Contains(ModeKind.WirelessBridge)),
                (RoleKind.Satellite, modes.Contains(ModeKind.Satellite)),
                (RoleKind.Unused, true),
            ];
        return [.. all.Where(r => r.Can).Select(r => r.Kind)];
    }

    private static string Nothing(Box box, bool isCut) =>
        isCut
            ? $"The search was cut short before it found anything that {box.Name} could be plugged into or join as that."
            : $"Nothing was found that {box.Name} could be plugged into or join as that.";

    private static string Can(Design found, Box box) =>
        CanBecome(found, box) is { Count: > 0 } can
            ? $"By its kind it can be: {string.Join(", ", can.Select(RoleWords.Of))}."
            : "Its kind says nothing of what it can be.";
}

/// <summary>One thing in which an option differs from another.</summary>
/// <param name="Says">What is counted, in words.</param>
/// <param name="More">How much more of it there is.</param>
/// <param name="Points">What that counts, in points.</param>
public sealed record PriceItem(string Says, double More, double Points);
