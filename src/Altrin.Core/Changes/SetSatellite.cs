using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Sets which main node manages a satellite, or by which node it joins for want of a cable. One that names itself has no main node yet, as
/// after a reset.
/// </summary>
public sealed record SetSatellite(string Box, Partial<SatelliteMode> Node) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<SatelliteMode>(design, Box, "main node", satellite =>
        {
            var set = Node.On(satellite);
            return Edit.Unless<BoxMode>(
                new[] { set.Main, set.By }.OfType<string>().FirstOrDefault(id => design.Box(id) is null) is { } stranger
                    ? $"There is no box '{Ipv4Address.Shown(stranger)}'."
                    : null,
                set
            );
        });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.Mode(Box) is not SatelliteMode satellite ? $"{design.NameOf(Box)} is a satellite"
        : Node.On(satellite) is { By: { } by, Main: var main }
            ? $"{design.NameOf(Box)} is a satellite of {design.NameOf(main)}, beside {design.NameOf(by)}"
        : $"{design.NameOf(Box)} is a satellite of {design.NameOf(Node.On(satellite).Main)}, by cable only";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [.. Node.Given.Select(m => new Touch(Setting.Satellite, Box, m))];
}
