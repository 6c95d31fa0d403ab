using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets how a customer's device comes by its address.</summary>
public sealed record SetDeviceAddress(string Device, HostAddress Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Device(design, Device, setting => Edit.Unless(PageChecks.WrongHostAddress(Address), setting with { Address = Address }));

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Device)} {AddressWords.Gets(Address)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Device];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => Edit.DeviceTouches(design, Device, Setting.DeviceAddress);
}
