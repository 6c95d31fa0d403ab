namespace Altrin.Core.Sites;

/// <summary>All in one segment, own page at a leased or fixed address.</summary>
/// <param name="Page">How its page comes by its address.</param>
/// <param name="Wifi">Its radios.</param>
public sealed record AccessPointMode(HostAddress Page, IReadOnlyList<RadioSetting> Wifi) : BoxMode
{
    /// <summary>A further name for guests on the same radios; null where it sends none.</summary>
    public GuestName? Guest { get; init; }

    /// <inheritdoc/>
    public override ModeKind Kind => ModeKind.AccessPoint;

    /// <inheritdoc/>
    public override IReadOnlyList<RadioSetting> Radios => Wifi;

    /// <inheritdoc/>
    public override BoxMode WithRadios(IReadOnlyList<RadioSetting> radios) => this with { Wifi = radios };
}
