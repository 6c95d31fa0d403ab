namespace Altrin.Core.Sites;

/// <summary>A node of a mesh kit that its main node manages: names, keys and channels are the main node's.</summary>
/// <param name="Main">The main node.</param>
/// <param name="By">The node that it hears best, for want of a cable; null where it is not to use its radio for that.</param>
public sealed record SatelliteMode(string Main, string? By) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Satellite;
}
