using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>Why a step is done, and done then, in a line.</summary>
internal static class StepReason
{
    /// <summary>Why; null where it is plain.</summary>
    public static string? Of(PlayedStep main, IReadOnlyList<PlayedStep> acts, WorkKind work)
    {
        var design = main.Before.Design;
        return main.Act switch
        {
            Fetch => "On the live network there is no internet when it is needed.",
            RecordFacts => "What is not written down cannot be put back, and it is asked for when the internet is gone.",
            LaptopOffWifi { Forget: false } => "With two ways into one subnet the laptop may open the page of another box.",
            LaptopOffWifi => "Nothing of this home is left on the laptop.",
            ResetBox => "What it holds of an earlier home is not known.",
            PowerOn on when design.Mode(on.Id) is null =>
                "One box at a time, one to one with the laptop: two at one factory address answer for each other.",
            SavePage when work == WorkKind.Silence =>
                "Its name gets another password, or leads elsewhere for a while: one of the boxes that send it is silent meanwhile.",
            SavePage save => Saved(main, save, acts),
            SetInApp set => $"No page of it sets that.{Asks(design.Box(set.Box)?.Profile.Traits.App)}",
            PatchCable patch when acts.Any(a => a.Act is PowerOff) =>
                "A box that joins by radio may keep that link beside a cable, which makes a ring: "
                    + $"{design.NameOf(patch.A.Owner)} and {design.NameOf(patch.B.Owner)} are joined while one is off.",
            PowerOff off when acts.Any(a => a.Act is PowerOn) => Renewing.KeptFromLine(main.Before).Contains(off.Id)
                ? "The provider keeps its address for the MAC address that was at the line before, until the box in which it ends was off."
                : "Its page has an address that is not its own any more: it asks for one when it starts.",
            NewLink => "It keeps an address of a DHCP server that is not there any more until it asks anew.",
            PutBoxAway => "It is not part of the plan.",
            UnpatchCable when work == WorkKind.Table =>
                "It is set up alone: with other settings, or those of the factory, it would disturb the network.",
            Verify { What: Verifiable.Ipv6Off } => "A box that does not route may still announce itself as a router over IPv6.",
            Verify { What: Verifiable.Ipv6Kind } => "How IPv6 arrives was known to the box before it.",
            Verify { What: Verifiable.MobileCall or Verifiable.AlarmOnTest } => "The line that it calls through goes away meanwhile.",
            _ => null,
        };
    }

    /// <summary>What an application asks of the telephone, after a blank; empty where its profile says nothing of it.</summary>
    private static string Asks(AppSetUp? app)
    {
        var asks = new[]
        {
            app?.Account == Known.Yes ? "the customer's own account" : null,
            Switched("Bluetooth", app?.Bluetooth),
            Switched("mobile data", app?.MobileData),
        };
        return asks.OfType<string>().ToList() is { Count: > 0 } told ? $" Its application asks for {StepWords.List(told)}." : "";
    }

    private static string? Switched(string what, Known? state) =>
        state switch
        {
            Known.Yes => $"{what} on",
            Known.No => $"{what} off",
            _ => null,
        };

    private static string? Saved(PlayedStep main, SavePage save, IReadOnlyList<PlayedStep> acts)
    {
        var (before, name) = (main.Before, main.Before.Design.NameOf(save.Box));
        if (
            acts.Any(a => a.Act is LaptopAddress { Address: Fixed })
            && save.Changes.Any(c => c is SetLanAddress or SwitchDhcpServer or SetMode)
        )
        {
            return $"The laptop has its address from {name}, which stops handing it out: it types one first.";
        }
        return save.Changes[0] switch
        {
            SetPagePassword when !before.Ledger.AtFactory.Contains(save.Box) => "The present one is not recorded, or is the factory's.",
            SetPagePassword => "A box must not meet the live network with the password of its factory.",
            SetRadio when save.Changes.OfType<SetRadio>().Any(r => r.IsOff()) && Others(before, save).FirstOrDefault() is { } sent =>
                $"\"{sent}\" is on the air already: one name leads into one network, so its radios stay off until it is part of it.",
            SetRadio when save.Changes.OfType<SetRadio>().All(r => r.IsOff()) =>
                "Another box sends Wi-Fi from here on: one name leads into one network.",
            SetRadio when save.Changes.OfType<SetRadio>().All(r => r.Setting.Gives(nameof(RadioSetting.On))) =>
                "By now the name leads to the same network from every box.",
            Reserve => "The box or device is then always at the same address.",
            SetMode mode => $"{name} is {ModeWords.WithArticle(mode.Mode)} in the plan.",
            SetLanAddress => $"Two boxes at one address answer for each other.",
            SwitchDhcpServer { On: false } => "One DHCP server in one network, two never.",
            SetUplink => "From here on it is part of the network, by radio.",
            _ => null,
        };
    }

    /// <summary>Names that the save sets and that another box sends.</summary>
    private static IEnumerable<string> Others(State now, SavePage save)
    {
        var set = save
            .Changes.OfType<SetRadio>()
            .Select(r => ((IPartial)r.Setting).Values.GetValueOrDefault(nameof(RadioSetting.Name)) as string)
            .OfType<string>()
            .ToList();
        return now
            .Design.SetUp.Boxes.Where(b => b.Box != save.Box)
            .SelectMany(b => Air.Of(now.Design, b.Box))
            .Select(a => a.Setting.Name)
            .Where(set.Contains);
    }
}
