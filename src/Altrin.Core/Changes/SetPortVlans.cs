using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Sets what one port of a managed switch does with VLANs; VLAN 1 untagged and no other is what every port does at first.
/// </summary>
/// <param name="Box">The switch.</param>
/// <param name="Port">Which port.</param>
/// <param name="Untagged">The VLAN of frames without a tag.</param>
/// <param name="Tagged">VLANs that come and go with their tag.</param>
public sealed record SetPortVlans(string Box, string Port, int Untagged, IReadOnlyList<int> Tagged) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<SwitchMode>(design, Box, "VLANs", mode =>
        {
            var set = new PortVlans(Port, Untagged, [.. Tagged]);
            var others = mode.Vlans.Where(v => v.Port != Port);
            PortVlans[] vlans = set.IsUsual ? [.. others] : [.. others.Append(set).OrderBy(v => v.Port, StringComparer.Ordinal)];
            return Edit.Unless<BoxMode>(PageChecks.WrongVlans(design.Box(Box)!, [.. others, set], mode), mode with { Vlans = vlans });
        });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"VLANs at {PortWords.Of(design, new(Box, Port))}: {Untagged} untagged{(Tagged.Count == 0 ? "" : $", {string.Join(", ", Tagged)} tagged")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Vlans, Box, Port)];
}
