using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The plug of a box or a device is pulled.</summary>
/// <param name="Id">Box or device.</param>
public sealed record PowerOff(string Id) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Moment.Situation.Off.Contains(Id) || (now.Design.Mode(Id) is null && now.Design.Device(Id) is null)
            ? Refused($"{now.Design.NameOf(Id)} has no power.")
            : One(now, Durations.Hand, new TakeAway(Id));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Switch {design.NameOf(Id)} off";
}
