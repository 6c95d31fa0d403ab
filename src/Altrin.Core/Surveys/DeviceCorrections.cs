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
        var device = Device with
        {
            Id = Device.Id.Length > 0 ? Device.Id : Slugs.Of(Device.Name, home.Site.Uses, "device"),
            Name = Device.Name.Trim(),
        };
        return
            (
                SetDevice.Wrong(home.Site, device)
                ?? PageChecks.WrongHostAddress(Address)
                ?? Given.WrongNewId(home.Site, device.Id)
                ?? (home.Site.Devices.Count >= Site.MostDevices ? $"At most {Site.MostDevices:#,0} devices are kept." : null)
            )
                is { } wrong
            ? Parsed<HomeFile>.Fail(wrong)
            : home.With(home.Site with { Devices = [.. home.Site.Devices, device] }).InEach(d => FirstUse.Of(d, device, Address, ByCable));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) => $"{Device.Name} is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf)
    {
        var id = Device.Id.Length > 0 ? Device.Id : Slugs.Of(Device.Name, home.Site.Uses, "device");
        return [new(Setting.Device, id), new(Setting.InUse, id), .. Given.NewCables(home, ApplyTo(home, shelf))];
    }
}

/// <summary>Corrects what is known of a device; what is not given stays.</summary>
public sealed record SetDevice(string Device, Partial<Device> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (home.Site.Devices.FirstOrDefault(d => d.Id == Device) is not { } there)
        {
            return Parsed<HomeFile>.Fail($"There is no device '{Ipv4Address.Shown(Device)}'.");
        }
        var said = Known.On(there);
        return Edit.Unless(
            Wrong(home.Site, said),
            home.With(home.Site with { Devices = Given.With(home.Site.Devices, said with { Name = said.Name.Trim() }, d => d.Id) })
        );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"What is known of {home.Site.Devices.FirstOrDefault(d => d.Id == Device)?.Name ?? Device} is corrected";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [.. Known.Given.Select(m => new Touch(Setting.Device, Device, m))];

    internal static string? Wrong(Site site, Device device) =>
        Given.WrongName(device.Name)
        ?? Given.WrongPlace(site, device.Place)
        ?? Given.WrongMac(site, device.Id, device.Mac)
        ?? (device.Bands.Distinct().Count() < device.Bands.Count ? "A band is listed once." : null);
}

/// <summary>Notes or corrects something that the customer asked for; an empty id is made anew.</summary>
public sealed record SetNeed(Need Need) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var need = Need with { Id = IdIn(home) };
        return
            (Wrong(home.Site, need) ?? Given.WrongId(home.Site, need.Id, [.. home.Site.Needs.Select(n => n.Id)], Site.MostNeeds, "needs"))
                is { } wrong
            ? Parsed<HomeFile>.Fail(wrong)
            : home.With(home.Site with { Needs = Given.With(home.Site.Needs, need, n => n.Id) });
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        NeedWords.Of(new(home.Site, home.Foremost), Need) is var (subject, asked) ? $"Asked for: {subject} {asked}" : "";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => [new(Setting.Need, IdIn(home))];

    private string IdIn(HomeFile home) =>
        Need.Id.Length > 0 ? Need.Id : Slugs.Of($"{NeedKindWords.Of(Need)} {Need.About}", home.Site.Uses, "need");

    private static string? Wrong(Site site, Need need) =>
        site.Needs.Any(n => n.Id != need.Id && n with { Id = need.Id } == need)
            ? "That is asked for already."
            : need switch
            {
                DeviceNeed { Device: var device } when site.Devices.All(d => d.Id != device) =>
                    $"There is no device '{Ipv4Address.Shown(device)}'.",
                ReachFromOutside reach => PageChecks.WrongTransportPort(reach.Port),
                CallsInPlace calls => Given.WrongPlace(site, calls.Place),
                KeepsNameAndPassword keeps => PageChecks.WrongNetworkName(keeps.Name) ?? PageChecks.WrongKeyReference(keeps.Password),
                _ => null,
            };
}

/// <summary>A word for each sort of need, for ids.</summary>
internal static class NeedKindWords
{
    public static string Of(Need need) =>
        need switch
        {
            ReachFromOutside => "outside",
            FoundByOthers => "found",
            LocalServer => "server",
            LittleDelay => "delay",
            StaysOnline => "online",
            CallsInPlace => "calls",
            GuestsKeptApart => "guests",
            KeepsNameAndPassword => "name",
            ServiceLives lives => LineServiceWords.Of(lives.Service),
            _ => "need",
        };
}
