using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Unplugs a cable at both its ends.</summary>
public sealed record Unpatch(string Cable) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        design.SetUp.Cables.All(c => c.Id != Cable)
            ? Parsed<SetUp>.Fail($"There is no cable '{Ipv4Address.Shown(Cable)}'.")
            : design.SetUp with
            {
                Cables = [.. design.SetUp.Cables.Where(c => c.Id != Cable)],
            };

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.SetUp.Cables.FirstOrDefault(c => c.Id == Cable) is { } cable
            ? $"Unplug the cable from {PortWords.Of(design, cable.A)} to {PortWords.Of(design, cable.B)}"
            : "Unplug a cable";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Cable];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Plugged, Cable)];
}
