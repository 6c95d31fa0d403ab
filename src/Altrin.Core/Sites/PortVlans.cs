namespace Altrin.Core.Sites;

/// <summary>What one port of a managed switch does with VLANs (IEEE 802.1Q). A port that is not listed is in VLAN 1, untagged.</summary>
/// <param name="Port">Which port.</param>
/// <param name="Untagged">The VLAN of frames without a tag; 1 is the home's own.</param>
/// <param name="Tagged">VLANs that come and go with their tag.</param>
public sealed record PortVlans(string Port, int Untagged, IReadOnlyList<int> Tagged)
{
    /// <summary>Whether it is what every port does at first.</summary>
    public bool IsUsual => Untagged == 1 && Tagged.Count == 0;

    /// <inheritdoc/>
    public bool Equals(PortVlans? other) =>
        other is not null && Port == other.Port && Untagged == other.Untagged && Tagged.Order().SequenceEqual(other.Tagged.Order());

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Port, Untagged, Tagged.Count);
}
