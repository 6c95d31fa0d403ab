using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>What a step does, in one sentence.</summary>
internal static class StepWords
{
    /// <summary>The sentence.</summary>
    public static string Of(PlayedStep main, IReadOnlyList<PlayedStep> acts, WorkDone work)
    {
        var design = main.Before.Design;
        var patches = acts.Select(a => a.Act).OfType<PatchCable>().ToList();
        var pulled = acts.Where(a => a.Act is UnpatchCable).ToList();
        var joins = acts.Select(a => a.Act).OfType<DeviceJoins>().ToList();
        return main.Act switch
        {
            Fetch fetch when acts.Count > 1 => $"Fetch the {LedgerWords.Of(fetch.What)} of "
                + List(acts.Select(a => a.Act).OfType<Fetch>().Select(f => design.NameOf(f.Box))),
            RecordFacts record => $"See that {design.NameOf(record.Box)} works, and write down what it holds",
            SavePage save => $"{Set(design, save)} at {design.NameOf(save.Box)}",
            SetInApp set => $"Set {design.NameOf(set.Box)} in its application",
            PatchCable when patches.Count > 1 => Plugged(design, patches, pulled.Count),
            DeviceJoins when acts.Count > 1 && joins.Count == acts.Count =>
                $"{List(joins.Select(j => design.NameOf(j.Device)))} join their Wi-Fi",
            PatchCable patch when pulled.Count > 0 && patches.Count == 1 => Moved(design, patch, pulled),
            UnpatchCable when work.Kind == WorkKind.Table =>
                $"Take {design.NameOf(work.Subject)} off the network: pull its {(pulled.Count == 1 ? "cable" : $"{pulled.Count} cables")}",
            UnpatchCable when pulled.Count > 1 => $"Pull {pulled.Count} cables",
            Verify when acts.Count(a => a.Act is Verify) > 1 => Seen(design, acts),
            LaptopOffWifi { Forget: true } => "Unplug the laptop, set it back to automatic, and let it forget this Wi-Fi",
            PowerOff off when acts.Any(a => a.Act is PowerOn) => $"Switch {design.NameOf(off.Id)} off"
                + (acts.Select(a => a.Act).OfType<WaitFor>().FirstOrDefault() is { Seconds: var wait } ? $" for {TimeWords.Of(wait)}" : "")
                + " and on again",
            NewLink when acts.Count(a => a.Act is NewLink) > 1 =>
                $"Switch {List(acts.Select(a => a.Act).OfType<NewLink>().Select(n => design.NameOf(n.Device)))} off and on",
            _ => main.Says,
        };
    }

    private static string Set(Design design, SavePage save)
    {
        var settings = save.Changes.SelectMany(c => TypedSettings.Of(design, save.Box, c)).Distinct().ToList();
        var radios = save.Changes.OfType<SetRadio>().ToList();
        if (
            radios.Count == save.Changes.Count
            && radios.TrueForAll(r => r.Setting.Given.Count == 1 && r.Setting.Gives(nameof(RadioSetting.On)))
        )
        {
            var on = ((IPartial)radios[0].Setting).Values[nameof(RadioSetting.On)] is true;
            return $"Switch the {(radios.Count == 1 ? "radio" : "radios")} {(on ? "on" : "off")}";
        }
        return save.Changes switch
        {
            [SetPagePassword] => "Change the admin password",
            [SetMode mode] => $"Choose {ModeWords.Of(mode.Mode)} mode",
            [SetLanAddress lan] => $"Set the LAN address to {lan.Address.Address}",
            [SetPageAddress { Address: Fixed at }] => $"Set its own address to {at.Address.Address}",
            [SwitchDhcpServer server] => $"Switch the DHCP server {(server.On ? "on" : "off")}",
            _ when radios.Count > 0 => "Set Wi-Fi name, password and security",
            _ when settings.Count <= 3 => $"Set {List(settings.Select(SettingWords.Of))}",
            _ => $"Set {settings.Count} settings",
        };
    }

    private static string Plugged(Design design, List<PatchCable> patches, int pulled)
    {
        var devices = patches.Select(p => design.Device(p.A.Owner) ?? design.Device(p.B.Owner)).ToList();
        return devices.TrueForAll(d => d is not null)
                ? $"{(pulled == patches.Count ? "Move" : "Plug in")} the cables of {List(devices.Select(d => d!.Name))}"
            : pulled == 0 ? $"Plug in {patches.Count} cables"
            : $"Pull {pulled} {(pulled == 1 ? "cable" : "cables")}, plug in {patches.Count}";
    }

    private static string Moved(Design design, PatchCable patch, List<PlayedStep> pulled)
    {
        var device =
            design.Device(patch.A.Owner) is not null ? patch.A.Owner
            : design.Device(patch.B.Owner) is not null ? patch.B.Owner
            : null;
        var port = device == patch.A.Owner ? patch.B : patch.A;
        return device is not null && pulled.Count == 1
            ? $"Move the cable of {design.NameOf(device)} to {PortWords.Of(design, port)}"
            : $"Plug {PortWords.Of(design, patch.A)} and {PortWords.Of(design, patch.B)} together, once what is in the way is pulled";
    }

    private static string Seen(Design design, IReadOnlyList<PlayedStep> acts)
    {
        var looked = acts.Select(a => a.Act).OfType<Verify>().ToList();
        var devices = looked.Where(v => v.What == Verifiable.Device).Select(v => design.NameOf(v.Of)).ToList();
        var laptop = looked.Exists(v => v.What is Verifiable.Internet) ? "the laptop" : null;
        var online = devices.Count + (laptop is null ? 0 : 1);
        var says =
            online > 3 ? $"See that all {online} devices have the internet"
            : online > 0 ? $"See that {List(devices.Prepend(laptop).OfType<string>())} {(online == 1 ? "has" : "have")} the internet"
            : looked[0].Describe(design);
        return looked.Exists(v => v.What == Verifiable.OneDhcpServer) ? $"{says}, and that one DHCP server answers" : says;
    }

    /// <summary>Items with commas, and "and" before the last of several.</summary>
    internal static string List(IEnumerable<string> items)
    {
        var all = items.ToList();
        return all.Count == 1 ? all[0] : $"{string.Join(", ", all.Take(all.Count - 1))} and {all[^1]}";
    }
}
