using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Notes the Wi-Fi name and password of the whole house: every radio of what was found sends them, and whatever joins one knows them.
/// Names for guests and of point-to-point links stay.
/// </summary>
/// <param name="Name">The name; null to leave names as they are.</param>
/// <param name="Password">Reference to the password; null to leave passwords as they are.</param>
public sealed record SetHouseWifi(string? Name, string? Password) : Correction
{
    /// <summary>
    /// What the house has today: a name or password that all its radios have; null where they differ or none is recorded.
    /// </summary>
    public static SetHouseWifi Today(HomeFile home)
    {
        var found = home.AsFound();
        var radios = Sending(home).SelectMany(b => found.Mode(b)!.Radios).Where(r => r.On).ToList();
        return new(
            radios.Select(r => r.Name).Distinct().ToList() is [var name] ? name : null,
            radios.Select(r => r.Password).Distinct().ToList() is [var password] ? password : null
        );
    }

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var boxes = Sending(home);
        return Name is null && Password is null
                ? Parsed<HomeFile>.Fail("The name of the Wi-Fi, its password or both are expected; undo takes a note back.")
            : boxes.Count == 0 ? Parsed<HomeFile>.Fail("No box in use sends Wi-Fi yet.")
            : boxes.Aggregate((Parsed<HomeFile>)home, (at, id) =>
                at.Then(h => ReadSettings.Into(h, h.Site.Boxes.First(b => b.Id == id), Read, sure: true))
            );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        Name is null ? "The Wi-Fi password of the house is noted" : $"The Wi-Fi of the house is called \"{Name}\"";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            .. Sending(home).SelectMany(id => Given.Set(home, id, Read.Given).Prepend(new(Setting.Box, id, nameof(Box.Assumed)))),
            .. Given.Connected(home, ApplyTo(home, shelf)),
        ];

    private Partial<FoundSettings> Read
    {
        get
        {
            var read = Name is null ? Partial<FoundSettings>.Nothing : Partial<FoundSettings>.With(f => f.WifiName, Name);
            return Password is null ? read : read.And(f => f.WifiPassword, Password);
        }
    }

    /// <summary>Boxes of what was found with radios of their own that belong to the home's Wi-Fi.</summary>
    private static List<string> Sending(HomeFile home)
    {
        var found = home.AsFound();
        return
        [
            .. found
                .SetUp.Boxes.Where(b => b.Mode.Radios.Any(r => r.On && !Air.IsLink(found, b.Box, r.Name)))
                .Select(b => b.Box)
                .Order(StringComparer.Ordinal),
        ];
    }
}
