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

    public static Parsed<SetUp> Server(Design design, string boxId, Func<RouterMode, Parsed<DhcpServerSetting>> edit) =>
        Mode<RouterMode>(design, boxId, "DHCP server", router => edit(router).Then<BoxMode>(server => router with { Server = server }));

    public static Parsed<SetUp> InUse(Design design, string boxId, Func<BoxSetting, BoxSetting> edit) =>
        design.Box(boxId) is not { } box ? Parsed<SetUp>.Fail($"There is no box '{Ipv4Address.Shown(boxId)}'.")
        : design.Mode(boxId) is null ? Parsed<SetUp>.Fail($"The {box.Name} is not in use in this set-up; set its mode first.")
        : design.SetUp with { Boxes = [.. design.SetUp.Boxes.Select(b => b.Box == boxId ? edit(b) : b)] };

    public static SetUp WithMode(SetUp setUp, string boxId, BoxMode mode)
    {
        return setUp with
        {
            Boxes = setUp.Boxes.Any(b => b.Box == boxId)
                ? [.. setUp.Boxes.Select(b => b.Box == boxId ? b with { Mode = mode } : b)]
                : [.. setUp.Boxes, new(boxId, mode)],
        };
    }

    public static Parsed<SetUp> Device(Design design, string deviceId, Func<DeviceSetting, Parsed<DeviceSetting>> edit)
    {
        if (design.Device(deviceId) is null)
        {
            return Parsed<SetUp>.Fail($"There is no device '{Ipv4Address.Shown(deviceId)}'.");
        }
        var there = design.SetUp.Devices.FirstOrDefault(d => d.Device == deviceId);
        return edit(there ?? new DeviceSetting(deviceId, new Automatic(), null))
            .Then<SetUp>(edited =>
                design.SetUp with
                {
                    Devices = there is null
                        ? [.. design.SetUp.Devices, edited]
                        : [.. design.SetUp.Devices.Select(d => d.Device == deviceId ? edited : d)],
                }
            );
    }

    /// <summary>A value with some members exchanged; a new one of these members alone where there is none.</summary>
    public static Parsed<T> Onto<T>(Partial<T> edit, T? there)
        where T : class => there is null ? edit.Alone() : edit.On(there);

    /// <summary>
    /// What an edit of a guest network touches: all of it where it is new, and the password where its security may open it.
    /// </summary>
    public static IReadOnlyList<Touch> GuestTouches(string box, IEnumerable<string> given, bool there) =>
        !there
            ? [new(Setting.Guest, box)]
            :
            [
                .. given
                    .Concat(given.Contains(nameof(GuestNetwork.Security)) ? [nameof(GuestNetwork.Password)] : [])
                    .Distinct()
                    .Select(m => new Touch(Setting.Guest, box, m)),
            ];

    /// <summary>What an edit of a device touches: a device that was not set yet comes into the set-up by it.</summary>
    public static IReadOnlyList<Touch> DeviceTouches(Design design, string device, Setting setting) =>
        [new(design.SetUp.Devices.Any(d => d.Device == device) ? setting : Setting.InUse, device)];

    /// <summary>A failure where there is a reason, else the value.</summary>
    public static Parsed<T> Unless<T>(string? reason, T value) => reason is null ? value : Parsed<T>.Fail(reason);
}
