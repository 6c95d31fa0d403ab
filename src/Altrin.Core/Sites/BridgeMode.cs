using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>A gateway that stopped routing; its Wi-Fi is off.</summary>
/// <param name="Page">Where its page still answers; null where it has none.</param>
public sealed record BridgeMode(InterfaceAddress? Page) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Bridge;
}
