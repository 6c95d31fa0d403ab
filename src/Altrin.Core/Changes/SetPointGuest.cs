using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>
/// Gives an access point a further name for guests, or changes members of the one it has. A new one needs its name and security.
/// </summary>
public sealed record SetPointGuest(string Box, Partial<GuestName> Guest) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<AccessPointMode>(design, Box, "guest name", point =>
            Edit.Onto(Guest, point.Guest)
                .Then<BoxMode>(guest =>
                    Edit.Unless<BoxMode>(
                        PageChecks.TooManyNames(design.Box(Box)!, point with { Guest = guest })
                            ?? PageChecks.WrongNetworkName(guest.Name)
                            ?? PageChecks.WrongKeyReference(guest.Password)
                            ?? PageChecks.WrongGuestTag(guest.Vlan)
                            ?? PageChecks.WrongSecurity(Guest, design.Box(Box)!.Profile.Radios, guest.Security),
                        point with
                        {
                            Guest = guest.Security == WifiSecurity.Open ? guest with { Password = null } : guest,
                        }
                    )
                )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        (
            (design.Mode(Box) as AccessPointMode)?.Guest is { } there ? Guest.On(there)
            : Guest.Alone() is { Ok: true } made ? made.Value
            : null
        )
            is { } guest
            ? $"{design.NameOf(Box)} sends \"{guest.Name}\" for guests"
            : $"The guest name of {design.NameOf(Box)} is set";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        Edit.GuestTouches(Box, Guest.Given, (design.Mode(Box) as AccessPointMode)?.Guest is not null);
}
