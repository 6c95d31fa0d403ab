using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>How a step is undone by itself.</summary>
internal static class StepUndoing
{
    /// <summary>The inverse of what a step is about; null where it changes nothing.</summary>
    public static StepUndo? Of(PlayedStep main, IReadOnlyList<PlayedStep> acts)
    {
        var design = main.Before.Design;
        return main.Act switch
        {
            SavePage save => Typed(main, save.Box, $"Type the old values into the same page of {design.NameOf(save.Box)}."),
            SetInApp set => Typed(main, set.Box, $"Set the old values of {design.NameOf(set.Box)} in its application."),
            ResetBox reset => new(
                false,
                main.Before.Ledger.Exported.Contains(reset.Box)
                    ? $"No way back: what {design.NameOf(reset.Box)} held is in the file that was exported."
                    : $"No way back: what {design.NameOf(reset.Box)} held is typed again from what was written down.",
                []
            ),
            UpdateFirmware update => new(false, $"No way back: {design.NameOf(update.Box)} keeps its new firmware.", []),
            AskProvider => new(false, "No way back by hand: the provider is asked again.", []),
            PatchCable or UnpatchCable => new(true, Cables(design, acts), []),
            PowerOn on => new(true, $"Pull the plug of {design.NameOf(on.Id)}.", []),
            PowerOff when acts.Any(a => a.Act is PowerOn) => null,
            PowerOff off => new(true, $"Give {design.NameOf(off.Id)} power again.", []),
            CarryBox carry => new(
                true,
                design.Setting(carry.Box)?.Place is { } place
                    ? $"Carry {design.NameOf(carry.Box)} back to {design.NameOf(place)}."
                    : $"Carry {design.NameOf(carry.Box)} back.",
                []
            ),
            PutBoxAway away => new(true, $"Give {design.NameOf(away.Box)} its cables and its power again.", []),
            DeviceJoins join => new(
                true,
                design.SetUp.Devices.FirstOrDefault(d => d.Device == join.Device)?.Wifi is { } old
                    ? $"{design.NameOf(join.Device)} joins \"{old.Name}\" again."
                    : $"{design.NameOf(join.Device)} forgets the Wi-Fi again.",
                []
            ),
            DeviceTakesAddress takes => new(
                true,
                design.SetUp.Devices.FirstOrDefault(d => d.Device == takes.Device)?.Address is Fixed typed
                    ? $"Type {typed.Address} into {design.NameOf(takes.Device)} again."
                    : $"Set {design.NameOf(takes.Device)} back to automatic.",
                []
            ),
            _ => null,
        };
    }

    /// <summary>What is typed into one box to have it as it was.</summary>
    private static StepUndo Typed(PlayedStep main, string box, string says)
    {
        var back = Difference
            .Between(main.After.Design.Site, main.After.Design.SetUp, main.Before.Design.SetUp)
            .Changes.Where(c => c.Subjects().Contains(box))
            .ToList();
        // The old password need not come back: with the new one anything can be set.
        back.RemoveAll(c => c is SetPagePassword { Password: null });
        return back.Count == 0
            ? new(true, "The new password stays: the old one is not recorded.", [])
            : new(true, says, PageField.Of(main.After.Design, back));
    }

    private static string Cables(Design design, IReadOnlyList<PlayedStep> acts)
    {
        var says = acts.Reverse()
            .Select(a =>
                a.Act switch
                {
                    PatchCable patch => $"pull the cable out of {PortWords.Of(design, patch.B)}",
                    UnpatchCable pulled when a.Before.Design.SetUp.Cables.FirstOrDefault(c => c.Id == pulled.Cable) is { } cable =>
                        $"plug {PortWords.Of(design, cable.A)} and {PortWords.Of(design, cable.B)} together again",
                    _ => null,
                }
            )
            .OfType<string>();
        return $"{Sentence.Capital(string.Join(", then ", says))}.";
    }
}
