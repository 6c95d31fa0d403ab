namespace Altrin.Core.Sites;

/// <summary>Something the customer asked for beyond ordinary internet.</summary>
/// <param name="Id">Slug, unique in the file.</param>
/// <param name="Device">The device it is about.</param>
public abstract record Need(string Id, string Device);

/// <summary>A connection opened from outside must arrive at the device.</summary>
/// <param name="Id">Slug, unique in the file.</param>
/// <param name="Device">The device that must be reached.</param>
/// <param name="Protocol">TCP or UDP.</param>
/// <param name="Port">The port on the device, 1 to 65535.</param>
public sealed record ReachFromOutside(string Id, string Device, Protocol Protocol, int Port) : Need(Id, Device)
{
    /// <summary>Whether the device asks its router to open the port itself (RFC 6887 and the like); only the nearest router hears it.</summary>
    public bool AsksItself { get; init; }
}

/// <summary>Every other device of the home must find this one by itself (multicast discovery, RFC 6762, stays on its link).</summary>
public sealed record FoundByOthers(string Id, string Device) : Need(Id, Device);

/// <summary>Transport protocols that can be forwarded.</summary>
public enum Protocol
{
    /// <summary>Connections.</summary>
    Tcp,
    /// <summary>Datagrams.</summary>
    Udp,
}
