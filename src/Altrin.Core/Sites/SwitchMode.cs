namespace Altrin.Core.Sites;

/// <summary>A switch.</summary>
/// <param name="Page">How a managed switch comes by its address; null for a plain one.</param>
public sealed record SwitchMode(HostAddress? Page) : BoxMode
{
    /// <summary>
    /// What each port of a managed switch does with VLANs; empty for one that passes every frame on as it is, tag and all.
    /// </summary>
    public IReadOnlyList<PortVlans> Vlans { get; init; } = [];

    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Switch;
}
