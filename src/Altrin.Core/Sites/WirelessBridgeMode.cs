namespace Altrin.Core.Sites;

/// <summary>Joins another box's Wi-Fi by radio and serves its sockets only.</summary>
/// <param name="Page">How its page comes by its address.</param>
/// <param name="Link">The radio link that it joins by.</param>
public sealed record WirelessBridgeMode(HostAddress Page, Uplink Link) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.WirelessBridge;

    /// <inheritdoc/>
    public override Uplink? Joins => Link;
}
