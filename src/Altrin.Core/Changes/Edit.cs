using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>The steps that changes are made of: find the setting, check what a box's page would check, put it back.</summary>
internal static class Edit
{
    public static Parsed<SetUp> Mode<TMode>(Design design, string boxId, string whatForLack, Func<TMode, Parsed<BoxMode>> edit)
        where TMode : BoxMode
    {
        if (design.Box(boxId) is not { } box)
        {
            return Parsed<SetUp>.Fail($"There is no box '{Ipv4Address.Shown(boxId)}'.");
        }
        return design.Mode(boxId) switch
        {
            null => Parsed<SetUp>.Fail($"The {box.Name} is not in use in this set-up; set its mode first."),
            TMode mode => edit(mode).Then<SetUp>(edited => WithMode(design.SetUp, boxId, edited)),
            _ => Parsed<SetUp>.Fail($"The {box.Name} has no {whatForLack} in its present mode."),
        };
    }

    public static Parsed<SetUp> Server(Design design, string boxId, Func<RouterMode, Parsed<AddressServer>> edit) =>
        Mode<RouterMode>(design, boxId, "address server", router => edit(router).Then<BoxMode>(server => router with { Server = server }));

    public static SetUp WithMode(SetUp setUp, string boxId, BoxMode mode)
    {
        var setting = new BoxSetting(boxId, mode);
        return setUp with
        {
            Boxes = setUp.Boxes.Any(b => b.Box == boxId)
                ? [.. setUp.Boxes.Select(b => b.Box == boxId ? setting : b)]
                : [.. setUp.Boxes, setting],
        };
    }

    public static Parsed<SetUp> Device(Design design, string deviceId, Func<DeviceSetting, Parsed<DeviceSetting>> edit)
    {
        if (design.Device(deviceId) is null)
        {
            return Parsed<SetUp>.Fail($"There is no device '{Ipv4Address.Shown(deviceId)}'.");
        }
        var there = design.SetUp.Devices.FirstOrDefault(d => d.Device == deviceId);
        return edit(there ?? new DeviceSetting(deviceId, new Automatic(), null)).Then<SetUp>(edited => design.SetUp with
        {
            Devices = there is null
                ? [.. design.SetUp.Devices, edited]
                : [.. design.SetUp.Devices.Select(d => d.Device == deviceId ? edited : d)],
        });
    }

    /// <summary>What the page of a box takes as its own address: a host address of a prefix from /8 to /30.</summary>
    public static string? WrongOwnAddress(InterfaceAddress own) =>
        own.PrefixLength is < 8 or > 30 ? $"The prefix /{own.PrefixLength} is not taken; /8 to /30 are."
        : !own.Subnet.IsHost(own.Address) ? $"{own.Address} is the {(own.Address == own.Subnet.Network ? "network" : "broadcast")} address of {own.Subnet}; no box can have it."
        : WrongHost(own.Address);

    /// <summary>What no host can have as its address or point at.</summary>
    public static string? WrongHost(Ipv4Address address) =>
        SpecialBlock.UseOf(address) == AddressUse.NotForHosts ? $"{address} lies in {SpecialBlock.Of(address)!.Subnet} ({SpecialBlock.Of(address)!.Name}); no host can have it." : null;

    public static string? WrongHostAddress(HostAddress address) => address is Fixed typed
        ? WrongOwnAddress(typed.Address)
            ?? (typed.Gateway is { } gateway ? WrongHost(gateway) : null)
            ?? (typed.NameServers.Count > 4 ? "At most 4 name servers are taken." : null)
        : null;

    public static string? WrongPool(AddressRange pool, InterfaceAddress lan) =>
        !lan.Subnet.Hosts.Contains(pool) ? $"The pool {pool} does not lie inside {lan.Subnet}, whose host addresses are {lan.Subnet.Hosts}." : null;

    public static string? WrongNetworkName(string name) =>
        Encoding.UTF8.GetByteCount(name) is < 1 or > 32 ? "A network name has 1 to 32 bytes."
        : name.Any(char.IsControl) ? "A network name holds no control characters."
        : null;

    public static string? WrongTransportPort(int port) => port is < 1 or > 65535 ? $"{port} is not a port; ports are 1 to 65535." : null;

    /// <summary>A failure where there is a reason, else the value.</summary>
    public static Parsed<T> Unless<T>(string? reason, T value) => reason is null ? value : Parsed<T>.Fail(reason);
}
