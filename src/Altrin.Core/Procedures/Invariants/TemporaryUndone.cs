using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Invariants;

/// <summary>At the end nothing is left that was for the evening only.</summary>
public static class TemporaryUndone
{
    /// <summary>The invariant.</summary>
    public static Invariant Rule { get; } =
        new(
            17,
            "temporary-things-undone",
            "Temporary things are undone: typed laptop address, set-up port, factory names and passwords.",
            Judge
        );

    private static IEnumerable<Violation> Judge(Step step)
    {
        if (!step.IsEnd)
        {
            yield break;
        }
        var now = step.After;
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
