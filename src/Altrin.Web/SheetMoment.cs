using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;
using Altrin.Formats;

namespace Altrin.Web;

/// <summary>A box that is at work on itself.</summary>
/// <param name="Box">Which.</param>
/// <param name="Kind">With what.</param>
/// <param name="Seconds">For how much longer.</param>
internal sealed record BusyBox(string Box, BusyKind Kind, long Seconds);

/// <summary>A value that is not known yet.</summary>
/// <param name="Says">What it is, in words.</param>
/// <param name="Example">What the simulated network has in its place; null where it has none.</param>
internal sealed record SheetBlank(string Says, string? Example);

/// <summary>Something that is seen after a step.</summary>
/// <param name="Line">What, in words.</param>
/// <param name="IsNew">Whether it was not so before the step.</param>
internal sealed record SheetSight(SeenItem Line, bool IsNew);

/// <summary>The home after a step of a run sheet.</summary>
/// <param name="Number">After which step; 0 for before the first.</param>
/// <param name="Off">Boxes, devices and cables that have no power or are unplugged.</param>
/// <param name="Busy">Boxes that are at work on themselves.</param>
/// <param name="LaptopPort">The port that the laptop is plugged into; null where in none.</param>
/// <param name="LaptopWifi">The Wi-Fi that it is in; null where in none.</param>
/// <param name="Design">The home as it is then.</param>
/// <param name="Proof">What is so of it then, for the drawing; no remedies are worked out.</param>
/// <param name="Sees">What is seen then.</param>
/// <param name="Blanks">Values that are not known yet.</param>
/// <param name="Open">What is for the evening only and has to be undone.</param>
internal sealed record SheetMoment(
    int Number,
    IReadOnlyList<string> Off,
    IReadOnlyList<BusyBox> Busy,
    PortRef? LaptopPort,
    WifiJoin? LaptopWifi,
    DesignDocument Design,
    ProofDocument Proof,
    IReadOnlyList<SheetSight> Sees,
    IReadOnlyList<SheetBlank> Blanks,
    IReadOnlyList<string> Open
)
{
    public static SheetMoment Of(State? before, State state, int number)
    {
        var situation = state.Moment.Situation;
        var was = before is null ? [] : SeenItem.Of(before);
        return new(
            number,
            situation.Off,
            [.. situation.BusyNow().Select(b => new BusyBox(b.Box, b.Kind, b.Until - situation.Memory!.Second))],
            state.Laptop?.Cable?.Port,
            state.Laptop?.Wifi?.Join,
            DesignWriter.Document(new(state.Design.Site, [state.Design.SetUp])),
            ProofDocument.Of(Judging.Judge(state.Seen())),
            [.. SeenItem.Of(state).Select(l => new SheetSight(l, before is not null && !was.Contains(l)))],
            [.. Blank.Of(state).Select(b => new SheetBlank(b.Says(state.Design), b.Example))],
            [.. OpenItem.Of(state).Select(i => i.Text)]
        );
    }
}
