using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Notes a device of the customer, and how it hangs in the network today.</summary>
/// <param name="Device">The device; an empty id is made of its name.</param>
/// <param name="Address">How it comes by its address.</param>
/// <param name="ByCable">Whether it hangs on a cable; null where that was not said: it is then put on the Wi-Fi where there is one.</param>
public sealed record AddDevice(Device Device, HostAddress Address, bool? ByCable) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var device = Device with { Id = Device.Id.Length > 0 ? Device.Id : Slugs.Of(Device.Name, home.Site.Uses, "device"), Name = Device.Name.Trim() };
        return (SetDevice.Wrong(home.Site, device) ?? PageChecks.WrongHostAddress(Address) ?? Given.WrongNewId(home.Site, device.Id) ?? (home.Site.Devices.Count >= Site.MostDevices ? $"At most {Site.MostDevices:#,0} devices are kept." : null)) is { } wrong
            ? Parsed<HomeFile>.Fail(wrong)
            : home.With(home.Site with { Devices = [.. home.Site.Devices, device] }).InEach(d => FirstUse.Of(d, device, Address, ByCable));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{Device.Name} is noted";
}

/// <summary>Corrects what is known of a device.</summary>
public sealed record SetDevice(Device Device) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        home.Site.Devices.All(d => d.Id != Device.Id) ? Parsed<HomeFile>.Fail($"There is no device '{Ipv4Address.Shown(Device.Id)}'.")
        : Edit.Unless(Wrong(home.Site, Device), home.With(home.Site with { Devices = Given.With(home.Site.Devices, Device with { Name = Device.Name.Trim() }, d => d.Id) }));

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"What is known of {Device.Name} is corrected";

    internal static string? Wrong(Site site, Device device) =>
        Given.WrongName(device.Name) ?? Given.WrongPlace(site, device.Place) ?? Given.WrongHardware(site, device.Id, device.Hardware)
        ?? (device.Bands.Distinct().Count() < device.Bands.Count ? "A band is listed once." : null);
}

/// <summary>Notes or corrects something that the customer asked for; an empty id is made anew.</summary>
public sealed record SetNeed(Need Need) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var need = Need.Id.Length > 0 ? Need : Need with { Id = Slugs.Of($"{NeedKindWords.Of(Need)} {Need.About}", home.Site.Uses, "need") };
        return (Wrong(home.Site, need) ?? Given.WrongId(home.Site, need.Id, [.. home.Site.Needs.Select(n => n.Id)], Site.MostNeeds, "needs")) is { } wrong
            ? Parsed<HomeFile>.Fail(wrong)
            : home.With(home.Site with { Needs = Given.With(home.Site.Needs, need, n => n.Id) });
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => NeedWords.Of(new(home.Site, home.Foremost), Need) is var (subject, asked) ? $"Asked for: {subject} {asked}" : "";

    private static string? Wrong(Site site, Need need) =>
        site.Needs.Any(n => n.Id != need.Id && n with { Id = need.Id } == need) ? "That is asked for already."
        : need switch
        {
            DeviceNeed { Device: var device } when site.Devices.All(d => d.Id != device) => $"There is no device '{Ipv4Address.Shown(device)}'.",
            ReachFromOutside reach => PageChecks.WrongTransportPort(reach.Port),
            CallsInPlace calls => Given.WrongPlace(site, calls.Place),
            KeepsNameAndKey keeps => PageChecks.WrongNetworkName(keeps.Name) ?? PageChecks.WrongKeyReference(keeps.Key),
            _ => null,
        };
}

/// <summary>A word for each sort of need, for ids.</summary>
internal static class NeedKindWords
{
    public static string Of(Need need) => need switch
    {
        ReachFromOutside => "outside",
        FoundByOthers => "found",
        LocalServer => "server",
        LittleDelay => "delay",
        StaysOnline => "online",
        CallsInPlace => "calls",
        GuestsKeptApart => "guests",
        KeepsNameAndKey => "name",
        ServiceLives lives => LineServiceWords.Of(lives.Service),
        _ => "need",
    };
}
