using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Takes a reservation away.</summary>
public sealed record RemoveReservation(string Box, MacAddress Mac) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router =>
            router.Server.Reservations.All(r => r.Mac != Mac)
                ? Parsed<DhcpServerSetting>.Fail($"The {design.NameOf(Box)} reserves nothing for {Mac}.")
                : router.Server with
                {
                    Reservations = [.. router.Server.Reservations.Where(r => r.Mac != Mac)],
                }
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} drops the reservation for {Mac}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Reservation, Box, $"{Mac}")];
}
