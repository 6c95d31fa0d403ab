namespace Altrin.Core.Sites;

/// <summary>Joins another box's Wi-Fi by radio and sends one itself; its sockets and its Wi-Fi are one segment with that box.</summary>
/// <param name="Page">How its page comes by its address.</param>
/// <param name="Link">The radio link that it joins by.</param>
/// <param name="Wifi">What its radios send.</param>
public sealed record RepeaterMode(HostAddress Page, Uplink Link, IReadOnlyList<RadioSetting> Wifi) : BoxMode
{
    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.Repeater;

    /// <inheritdoc/>
    public override Uplink? Joins => Link;

    /// <inheritdoc/>
    public override IReadOnlyList<RadioSetting> Radios => Wifi;

    /// <inheritdoc/>
    public override BoxMode WithRadios(IReadOnlyList<RadioSetting> radios) => this with { Wifi = radios };
}
