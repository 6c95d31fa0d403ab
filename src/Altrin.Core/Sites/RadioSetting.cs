using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>How one radio is set.</summary>
/// <param name="Radio">Which radio of the box.</param>
/// <param name="On">Whether it sends.</param>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Password">Reference to the key; null when open or not recorded.</param>
public sealed record RadioSetting([property: Key] string Radio, bool On, string Name, WifiSecurity Security, string? Password)
{
    /// <summary>The channel that it is fixed to; null where the box chooses.</summary>
    public int? Channel { get; init; }

    /// <summary>The width of its channel in MHz; null where the box chooses.</summary>
    public int? WidthMhz { get; init; }

    /// <summary>Whether it leaves its name out of what it announces.</summary>
    public bool Hidden { get; init; }

    /// <summary>Whether it asks for protected management frames (IEEE 802.11w); null for what its security brings along.</summary>
    public FrameProtection? ProtectsFrames { get; init; }

    /// <summary>Boxes whose radio address is typed in for WDS, by id.</summary>
    public IReadOnlyList<string> WdsPeers { get; init; } = [];

    /// <summary>Names that it sends beside, at most <see cref="FurtherName.Most"/>; the name for guests is no one of them.</summary>
    public IReadOnlyList<FurtherName> FurtherNames { get; init; } = [];

    /// <summary>
    /// The country that its page names as region, by its two letters; null where that was not read. It is the one that the box stands in,
    /// never another: channels and powers follow from it.
    /// </summary>
    public string? Region { get; init; }

    /// <inheritdoc/>
    public bool Equals(RadioSetting? other) =>
        other is not null
        && (Radio, On, Name, Security, Password) == (other.Radio, other.On, other.Name, other.Security, other.Password)
        && (Channel, WidthMhz, Hidden, ProtectsFrames) == (other.Channel, other.WidthMhz, other.Hidden, other.ProtectsFrames)
        && Region == other.Region
        && WdsPeers.Order(StringComparer.Ordinal).SequenceEqual(other.WdsPeers.Order(StringComparer.Ordinal))
        && ByName(FurtherNames).SequenceEqual(ByName(other.FurtherNames));

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Radio, Name, Security, Password, Channel);

    private static IEnumerable<FurtherName> ByName(IEnumerable<FurtherName> names) => names.OrderBy(n => n.Name, StringComparer.Ordinal);
}
