using System.Text.Json.Serialization;

namespace Altrin.Core.Sites;

/// <summary>Something the customer asked for beyond ordinary internet. Each has one precise meaning, which proving answers.</summary>
/// <param name="Id">Slug, unique in the file.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ReachFromOutside), "reachFromOutside")]
[JsonDerivedType(typeof(FoundByOthers), "foundByOthers")]
[JsonDerivedType(typeof(LocalServer), "localServer")]
[JsonDerivedType(typeof(LittleDelay), "littleDelay")]
[JsonDerivedType(typeof(StaysOnline), "staysOnline")]
[JsonDerivedType(typeof(CallsInPlace), "callsInPlace")]
[JsonDerivedType(typeof(GuestsKeptApart), "guestsKeptApart")]
[JsonDerivedType(typeof(KeepsNameAndPassword), "keepsNameAndPassword")]
[JsonDerivedType(typeof(ServiceLives), "serviceLives")]
public abstract record Need(string Id)
{
    /// <summary>Id of the device, box or place that it is about; <see cref="Home"/> where it is about the whole home.</summary>
    [JsonIgnore]
    public abstract string About { get; }

    /// <summary>What stands for the whole home as the subject of a need.</summary>
    public const string Home = "";

    /// <summary>Whether it is about the hours of the work: no set-up tells, and the order of the work must keep it.</summary>
    [JsonIgnore]
    public virtual bool DuringWork => false;
}

/// <summary>A need of one device.</summary>
/// <param name="Id">Slug, unique in the file.</param>
/// <param name="Device">The device it is about.</param>
public abstract record DeviceNeed(string Id, string Device) : Need(Id)
{
    /// <inheritdoc/>
    [JsonIgnore]
    public override string About => Device;
}

/// <summary>A connection opened from outside must arrive at the device.</summary>
/// <param name="Id">Slug, unique in the file.</param>
/// <param name="Device">The device that must be reached.</param>
/// <param name="Protocol">TCP or UDP.</param>
/// <param name="Port">The port on the device, 1 to 65535.</param>
/// <param name="AsksItself">Whether the device asks its router to open the port itself (RFC 6887 and the like); only the nearest router
/// hears it.</param>
public sealed record ReachFromOutside(string Id, string Device, Protocol Protocol, int Port, bool AsksItself) : DeviceNeed(Id, Device)
{
    /// <summary>
    /// The port that the world asks for, 1 to 65535, where it differs from the one on the device; null where both are one. A device that
    /// asks for a port itself asks for its own.
    /// </summary>
    public int? OutsidePort { get; init; }

    /// <summary>The port that the world asks for.</summary>
    [JsonIgnore]
    public int Asked => OutsidePort ?? Port;
}

/// <summary>Every other device of the home must find this one by itself (multicast discovery, RFC 6762, stays on its link).</summary>
public sealed record FoundByOthers(string Id, string Device) : DeviceNeed(Id, Device);

/// <summary>
/// Every other device of the home, guests left out, must open connections to this one; finding it by itself is not asked.
/// </summary>
public sealed record LocalServer(string Id, string Device) : DeviceNeed(Id, Device);

/// <summary>
/// Games and calls on this device must not stutter: it reaches the internet, over at most one radio link and over no mains
/// wiring, each of which adds waits that come and go; and the service is no satellite (common practice).
/// </summary>
public sealed record LittleDelay(string Id, string Device) : DeviceNeed(Id, Device);

/// <summary>This device must have internet all through the work. The order of the work keeps it; no set-up tells.</summary>
public sealed record StaysOnline(string Id, string Device) : DeviceNeed(Id, Device)
{
    /// <inheritdoc/>
    [JsonIgnore]
    public override bool DuringWork => true;
}

/// <summary>
/// Calls over Wi-Fi must hold in a place: a box is heard there at -67 dBm or better, as measured or as computed (common practice).
/// </summary>
/// <param name="Id">Slug, unique in the file.</param>
/// <param name="Place">Where.</param>
public sealed record CallsInPlace(string Id, string Place) : Need(Id)
{
    /// <inheritdoc/>
    [JsonIgnore]
    public override string About => Place;
}

/// <summary>A name for guests is sent, and a guest opens no connection to any device of the home.</summary>
public sealed record GuestsKeptApart(string Id) : Need(Id)
{
    /// <inheritdoc/>
    [JsonIgnore]
    public override string About => Home;
}

/// <summary>
/// A name and its key stay as they are, so that no device has to be touched: some radio sends the name, and every radio that sends it has
/// this key and a protection no newer.
/// </summary>
/// <param name="Id">Slug, unique in the file.</param>
/// <param name="Name">The name (SSID).</param>
/// <param name="Security">How it is protected today.</param>
/// <param name="Password">Reference to its key; null where open or not recorded.</param>
public sealed record KeepsNameAndPassword(string Id, string Name, WifiSecurity Security, string? Password) : Need(Id)
{
    /// <inheritdoc/>
    [JsonIgnore]
    public override string About => Home;
}

/// <summary>
/// Telephone, television or alarm must go on: the box that it lives in is in use and routes, or is known to keep it alive while it does
/// not.
/// </summary>
public sealed record ServiceLives(string Id, LineService Service) : Need(Id)
{
    /// <inheritdoc/>
    [JsonIgnore]
    public override string About => Home;
}

/// <summary>Transport protocols that can be forwarded.</summary>
public enum Protocol
{
    /// <summary>Connections.</summary>
    Tcp,

    /// <summary>Datagrams.</summary>
    Udp,
}

/// <summary>Needs in words: who or what, and what is asked of it.</summary>
public static class NeedWords
{
    /// <summary>Such as "Recorder" and "reached from outside on port 8000".</summary>
    public static (string Subject, string Asked) Of(Design design, Need need) =>
        need switch
        {
            ReachFromOutside reach => (design.NameOf(reach.Device), $"reached from outside on {Ports(reach)}"),
            FoundByOthers found => (design.NameOf(found.Device), "found by every device"),
            LocalServer server => (design.NameOf(server.Device), "reached by every device of the home"),
            LittleDelay quick => (design.NameOf(quick.Device), "served with little delay"),
            StaysOnline online => (design.NameOf(online.Device), "kept online during the work"),
            CallsInPlace calls => (design.NameOf(calls.Place), "covered for calls over Wi-Fi"),
            GuestsKeptApart => ("A network for guests", "kept apart"),
            KeepsNameAndPassword keeps => ($"The name \"{keeps.Name}\"", "kept with its password"),
            ServiceLives lives => ($"The {LineServiceWords.Of(lives.Service)}", "kept alive"),
            _ => throw new ArgumentOutOfRangeException(nameof(need)),
        };

    /// <summary>Such as "port 8000", "UDP port 3074" and "port 80 (8080 on the device)".</summary>
    public static string Ports(ReachFromOutside reach) =>
        $"{(reach.Protocol == Protocol.Udp ? "UDP port" : "port")} {reach.Asked}{(reach.OutsidePort is null ? "" : $" ({reach.Port} on the device)")}";

    /// <summary>Such as "Recorder is not reached from outside on port 8000".</summary>
    public static string Said(Design design, Need need, string verb) =>
        Of(design, need) is var (subject, asked) ? $"{subject} {verb} {asked}" : "";
}

/// <summary>Words for what lives in a gateway beside the internet.</summary>
public static class LineServiceWords
{
    /// <summary>Such as "telephone".</summary>
    public static string Of(LineService service) =>
        service switch
        {
            LineService.Telephone => "telephone",
            LineService.Television => "television",
            _ => "alarm",
        };
}
