using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Keeps an address for one MAC address. Replaces an older reservation for the same MAC address.</summary>
public sealed record Reserve(string Box, MacAddress Mac, Ipv4Address Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router => !router.Lan.Subnet.IsHost(Address)
                ? Parsed<DhcpServerSetting>.Fail($"{Address} is not a host address of {router.Lan.Subnet}.")
            : router.Server.Reservations.Any(r => r.Address == Address && r.Mac != Mac)
                ? Parsed<DhcpServerSetting>.Fail($"{Address} is already reserved for another MAC address.")
            : router.Server.Reservations.Count(r => r.Mac != Mac) >= DhcpServerSetting.MostReservations
                ? Parsed<DhcpServerSetting>.Fail($"At most {DhcpServerSetting.MostReservations} reservations are kept.")
            : router.Server with { Reservations = [.. router.Server.Reservations.Where(r => r.Mac != Mac), new(Mac, Address)] });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} reserves {Address} for {For(design)}";

    /// <summary>For whom, by name; by its MAC address where none of the home has it.</summary>
    internal string For(Design design) =>
        design.Site.Devices.FirstOrDefault(d => d.Mac == Mac)?.Name
        ?? design.Site.Boxes.FirstOrDefault(b => b.Mac == Mac || b.WanMac == Mac)?.Name
        ?? $"{Mac}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Reservation, Box, $"{Mac}")];
}
