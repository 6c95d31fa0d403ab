namespace Altrin.Core.Sites;

/// <summary>What goes into every computation: a site (what is given) with one set-up (what is chosen for it).</summary>
/// <param name="Site">What is there and what is wanted.</param>
/// <param name="SetUp">How it is set and cabled.</param>
public sealed record Design(Site Site, SetUp SetUp)
{
    // Large homes are asked for their boxes very often; what was looked up is never copied along with an edited design.
    private Dictionary<string, Box>? _boxes;
    private Dictionary<string, Device>? _devices;
    private Dictionary<string, BoxSetting>? _settings;

    private Design(Design original)
    {
        (Site, SetUp) = (original.Site, original.SetUp);
    }

    /// <summary>The box with this id; null when there is none.</summary>
    public Box? Box(string id) => (_boxes ??= ById(Site.Boxes, b => b.Id)).GetValueOrDefault(id);

    /// <summary>The customer's device with this id; null when there is none.</summary>
    public Device? Device(string id) => (_devices ??= ById(Site.Devices, d => d.Id)).GetValueOrDefault(id);

    /// <summary>How a box is set in this set-up; null when the set-up leaves the box out.</summary>
    public BoxSetting? Setting(string boxId) => (_settings ??= ById(SetUp.Boxes, b => b.Box)).GetValueOrDefault(boxId);

    /// <summary>The mode of a box in this set-up; null when the set-up leaves the box out.</summary>
    public BoxMode? Mode(string boxId) => Setting(boxId)?.Mode;

    /// <inheritdoc/>
    public bool Equals(Design? other) => other is not null && Site.Equals(other.Site) && SetUp.Equals(other.SetUp);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Site, SetUp);

    private static Dictionary<string, T> ById<T>(IReadOnlyList<T> items, Func<T, string> id)
    {
        var found = new Dictionary<string, T>(items.Count, StringComparer.Ordinal);
        foreach (var item in items)
        {
            found.TryAdd(id(item), item);
        }
        return found;
    }

    /// <summary>How a box or device is called on screen; "the internet line" for the service's own end.</summary>
    public string NameOf(string id) =>
        VlanId.Read(id) is var (box, tag) ? $"VLAN {tag} at {NameOf(box)}"
        : GuestId.BoxOf(id) is { } host ? $"the guest network of {NameOf(host)}"
        : Box(id)?.Name
            ?? Device(id)?.Name
            ?? Site.Place(id)?.Name
            ?? (
                id == PortRef.Street ? "the internet line"
                : id.Length == 0 ? "the home"
                : id
            );

    /// <summary>The cable in a port; null when the port is empty.</summary>
    public Cable? CableAt(PortRef port) => SetUp.Cables.FirstOrDefault(c => c.A == port || c.B == port);
}
