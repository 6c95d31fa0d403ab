using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Gives a router a network for guests, or changes members of the one it has. A new one needs its name, security, address and pool.
/// </summary>
public sealed record SetGuest(string Box, Partial<GuestNetwork> Guest) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "guest network", router =>
            Edit.Onto(Guest, router.Guest)
                .Then<BoxMode>(guest =>
                    Edit.Unless<BoxMode>(
                        PageChecks.TooManyNames(design.Box(Box)!, router with { Guest = guest })
                            ?? PageChecks.WrongGuest(guest, router.Lan)
                            ?? PageChecks.WrongSecurity(Guest, design.Box(Box)!.Profile.Radios, guest.Security),
                        router with
                        {
                            Guest = guest.Security == WifiSecurity.Open ? guest with { Password = null } : guest,
                        }
                    )
                )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        (
            (design.Mode(Box) as RouterMode)?.Guest is { } there ? Guest.On(there)
            : Guest.Alone() is { Ok: true } made ? made.Value
            : null
        )
            is { } guest
            ? $"{design.NameOf(Box)} sends \"{guest.Name}\" for guests, {guest.Lan.Subnet}"
            : $"The guest network of {design.NameOf(Box)} is set";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        Edit.GuestTouches(Box, Guest.Given, (design.Mode(Box) as RouterMode)?.Guest is not null);
}
