using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Gives a router another own address on its LAN side. Pool and reservations move with it, as boxes do (common practice).
/// </summary>
public sealed record SetLanAddress(string Box, InterfaceAddress Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "LAN address of its own", router =>
            Edit.Unless<BoxMode>(
                PageChecks.WrongOwnAddress(Address) ?? (router.Guest is { } guest ? PageChecks.WrongGuest(guest, Address) : null),
                router with
                {
                    Lan = Address,
                    Server = Factory.Moved(router.Server, router.Lan, Address),
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} gets {Address}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [new(Setting.LanAddress, Box), new(Setting.PoolFirst, Box), new(Setting.PoolLast, Box), new(Setting.Reservation, Box)];
}
