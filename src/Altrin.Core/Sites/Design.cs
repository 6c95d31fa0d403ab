namespace Altrin.Core.Sites;

/// <summary>What goes into every computation: a site (what is given) with one set-up (what is chosen for it).</summary>
/// <param name="Site">What is there and what is wanted.</param>
/// <param name="SetUp">How it is set and cabled.</param>
public sealed record Design(Site Site, SetUp SetUp)
{
    /// <summary>The box with this id; null when there is none.</summary>
    public Box? Box(string id) => Site.Boxes.FirstOrDefault(b => b.Id == id);

    /// <summary>The customer's device with this id; null when there is none.</summary>
    public Device? Device(string id) => Site.Devices.FirstOrDefault(d => d.Id == id);

    /// <summary>The mode of a box in this set-up; null when the set-up leaves the box out.</summary>
    public BoxMode? Mode(string boxId) => SetUp.Boxes.FirstOrDefault(b => b.Box == boxId)?.Mode;

    /// <summary>How a box or device is called on screen; "the street" for the service's own end.</summary>
    public string NameOf(string id) => VlanId.Read(id) is var (box, tag) ? $"VLAN {tag} at {NameOf(box)}" : GuestId.BoxOf(id) is { } host ? $"the guest network of {NameOf(host)}" : Box(id)?.Name ?? Device(id)?.Name ?? Site.Place(id)?.Name ?? (id == PortRef.Street ? "the street" : id.Length == 0 ? "the home" : id);

    /// <summary>The cable in a port; null when the port is empty.</summary>
    public Cable? CableAt(PortRef port) => SetUp.Cables.FirstOrDefault(c => c.A == port || c.B == port);
}
