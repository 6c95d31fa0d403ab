using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>One waits until a box has started, saved, or been renewed.</summary>
/// <param name="Box">Which.</param>
public sealed record WaitUntilReady(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now)
    {
        if (now.Design.Box(Box) is not { } box)
        {
            return Refused(Missing.Box(now.Design, Box));
        }
        var left = now
            .Moment.Situation.BusyNow()
            .Where(b => b.Box == Box)
            .Select(b => (int)(b.Until - now.Moment.Situation.Memory!.Second))
            .DefaultIfEmpty(0)
            .Max();
        return left == 0 ? Refused($"{box.Name} is ready.") : One(now, Duration.Of(left, Duration.None));
    }

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Wait until {design.NameOf(Box)} is ready";
}
