using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>Something that is for the evening only and has to be undone before it ends.</summary>
/// <param name="Subjects">Whom it is about.</param>
/// <param name="Text">What it is and how it is undone, as a sentence.</param>
public sealed record OpenItem(IReadOnlyList<string> Subjects, string Text)
{
    /// <summary>What is open in a state: worked out anew from how the home stands, never a list that is kept.</summary>
    public static IReadOnlyList<OpenItem> Of(State now) => [.. OfLaptop(now), .. OfBoxes(now)];

    private static IEnumerable<OpenItem> OfLaptop(State now)
    {
        if (now.Laptop?.Cable?.Address is Fixed || now.Ledger.TypedOnCable is not null)
        {
            yield return new([Laptop.CableId, "address"], "The laptop has a typed address: set it back to automatic.");
        }
        if (now.Laptop?.Cable is { } cable)
        {
            yield return new([Laptop.CableId, "port"], $"The laptop is still in {PortWords.Of(now.Design, cable.Port)}.");
        }
        if (now.Ledger.OffHouseWifi)
        {
            yield return new([Laptop.WifiId], "The laptop is kept from joining the house Wi-Fi by itself: set that back.");
        }
    }

    private static IEnumerable<OpenItem> OfBoxes(State now)
    {
        foreach (var id in now.Ledger.AtFactory.Where(b => now.Design.Mode(b) is not null && !PageAt.HasNone(now.Design.Box(b)!.Profile)))
        {
            yield return new([id, "password"], $"{now.Design.NameOf(id)} has the password of its factory.");
        }
        foreach (
            var box in now.Design.SetUp.Boxes.Where(b => b.Mode.Radios.Any(r => r.On && r.Name == FactoryNames.Of(now.Design.Box(b.Box)!)))
        )
        {
            yield return new([box.Box, "name"], $"{now.Design.NameOf(box.Box)} sends the name of its factory.");
        }
        foreach (var off in now.Moment.Situation.Off)
        {
            yield return new([off, "off"], $"{now.Design.NameOf(off)} is off.");
        }
    }
}
