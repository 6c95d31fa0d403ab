using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Leaves a box or device out of the set-up: its cables are unplugged, its settings are gone. It stays in the survey.</summary>
public sealed record TakeOutOfUse(string Id) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        design.Box(Id) is null && design.Device(Id) is null
            ? Parsed<SetUp>.Fail($"There is no box or device '{Ipv4Address.Shown(Id)}'.")
            : design.SetUp with
            {
                Boxes = [.. design.SetUp.Boxes.Where(b => b.Box != Id)],
                Devices = [.. design.SetUp.Devices.Where(d => d.Device != Id)],
                Cables = [.. design.SetUp.Cables.Where(c => c.A.Owner != Id && c.B.Owner != Id)],
            };

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.Box(Id) is null ? $"{design.NameOf(Id)} is left out" : $"{design.NameOf(Id)} is taken out of use";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Id];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [new(Setting.InUse, Id), .. design.SetUp.Cables.Where(c => c.Ends(Id)).Select(c => new Touch(Setting.Plugged, c.Id))];
}
