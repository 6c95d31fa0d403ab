using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>What commonly goes wrong at each kind of act (common practice).</summary>
internal static class Slips
{
    /// <summary>How many settings of a save are left out one at a time, and how many other ports or boxes are tried.</summary>
    private const int MostOfAKind = 4;

    /// <summary>The reference of a password that no one knows.</summary>
    private const string Mistyped = "mistyped";

    /// <summary>The slips of an act that was done.</summary>
    public static IEnumerable<Slip> Of(PlayedStep step) =>
        step.Refused is not null
            ? []
            : (
                step.Act switch
                {
                    LaptopToPort to => [.. Plugged(step, to), .. Rejoined(step)],
                    LaptopOffWifi => Rejoined(step),
                    LaptopAddress { Address: Automatic } =>
                    [
                        Idle(
                            step,
                            "The laptop was left on the typed address.",
                            "Set its adapter back to automatic, and look what it gets."
                        ),
                    ],
                    LaptopAddress =>
                    [
                        Idle(step, "The address was typed and not saved.", "Type it again, confirm it, and look what the adapter has."),
                    ],
                    OpenPage open => [.. Rejoined(step), .. PageSlips.Of(step, open.Box)],
                    FindPage find => PageSlips.Of(step, find.Box),
                    SavePage save => Saved(step, save),
                    SetInApp set => InApp(step, set),
                    ResetBox reset => Restarted(step, reset),
                    PatchCable patch => Patched(step, patch),
                    UnpatchCable =>
                    [
                        Idle(step, "Another cable was pulled, or none.", "Follow the cable with the hand to both of its ends."),
                    ],
                    PowerOn on =>
                    [
                        Idle(step, $"{Name(step, on.Id)} has no power.", "Look for its power light; try the socket with something else."),
                    ],
                    PowerOff off =>
                    [
                        Idle(step, $"The plug of something else than {Name(step, off.Id)} was pulled.", "Look for the label at the box."),
                    ],
                    WaitUntilReady wait =>
                    [
                        new(
                            $"{Name(step, wait.Box)} was not waited for.",
                            "Wait until its light is steady; leave its power on.",
                            Waited(step.Before, TimeSpan.FromSeconds(5))
                        ),
                    ],
                    DeviceJoins join =>
                    [
                        Idle(
                            step,
                            $"{Name(step, join.Device)} stayed where it was, or took another name.",
                            "Let it forget the old name, stand beside the box, and join again."
                        ),
                    ],
                    DeviceTakesAddress takes =>
                    [
                        Idle(
                            step,
                            $"The address was not saved on {Name(step, takes.Device)}.",
                            "Open its settings again and look what it has."
                        ),
                    ],
                    NewLink link =>
                    [
                        Idle(step, $"{Name(step, link.Device)} only slept.", "Switch it off and on, or take it out of its Wi-Fi and back."),
                    ],
                    _ => Array.Empty<Slip>(),
                }
            );

    private static string Name(PlayedStep step, string id) => step.Before.Design.NameOf(id);

    private static State Waited(State now, TimeSpan time) =>
        time <= TimeSpan.Zero ? now : now with { Moment = now.Moment.After(new Wait(time)).Value };

    /// <summary>Time went by and nothing came of it.</summary>
    private static Slip Idle(PlayedStep step, string says, string wayOut) => new(says, wayOut, Waited(step.Before, step.Takes.Usual));

    /// <summary>Another act was done instead; none where it could not be.</summary>
    private static IEnumerable<Slip> Instead(PlayedStep step, Act act, string says, string wayOut) =>
        act.From(step.Before) is { Ok: true, Value: [var usual, ..] } ? [new(says, wayOut, usual.After)] : [];

    private static IEnumerable<Slip> Plugged(PlayedStep step, LaptopToPort to)
    {
        var design = step.Before.Design;
        return
        [
            Idle(
                step,
                "The plug is not in to the click, or the lead is dead.",
                "Look for the light at the port and at the laptop; push it in again; take another lead."
            ),
            .. OtherPorts(design, to.Port)
                .Concat(SamePlace(design, to.Port))
                .SelectMany(p =>
                    Instead(
                        step,
                        new LaptopToPort(p),
                        $"The laptop is in {PortWords.Of(design, p)}.",
                        $"Move it to {PortWords.Of(design, to.Port)}."
                    )
                )
                .Take(MostOfAKind),
        ];
    }

    /// <summary>Ports of the same box of another role: the one at the WAN side for one at the LAN side.</summary>
    private static IEnumerable<PortRef> OtherPorts(Design design, PortRef meant) =>
        design.Box(meant.Owner) is not { } box
            ? []
            : box
                .Profile.Ports.Where(p => p.Role != box.Profile.Port(meant.Port)?.Role)
                .Select(p => new PortRef(box.Id, p.Id))
                .Where(p => design.CableAt(p) is null)
                .Take(1);

    /// <summary>A free port of each other box that stands in the same place.</summary>
    private static IEnumerable<PortRef> SamePlace(Design design, PortRef meant) =>
        design
            .SetUp.Boxes.Where(b => b.Box != meant.Owner && b.Place == design.Setting(meant.Owner)?.Place)
            .Select(b => (b.Box, Port: design.Box(b.Box)!.Profile.Ports.FirstOrDefault(p => IsFreeLan(design, b.Box, p))))
            .Where(b => b.Port is not null)
            .Select(b => new PortRef(b.Box, b.Port!.Id));

    private static bool IsFreeLan(Design design, string box, Port port) =>
        port.Role == PortRole.Lan && design.CableAt(new(box, port.Id)) is null;

    /// <summary>The laptop is back in a Wi-Fi of the live network, which it knows.</summary>
    private static IEnumerable<Slip> Rejoined(PlayedStep step)
    {
        var after = step.After;
        // Where that is still so, it is not kept from it.
        if (after.Laptop?.Wifi is not null || (after.Ledger.OffHouseWifi && step.Act is not LaptopOffWifi))
        {
            return [];
        }
        var sent = after
            .Design.SetUp.Boxes.Where(b => Live.Has(after, b.Box) && !after.Moment.Situation.Silent().Contains(b.Box))
            .SelectMany(b => Air.Of(after.Design, b.Box))
            .FirstOrDefault(a => !a.Guest);
        return
            sent is not null
            && new LaptopToWifi(sent.Box, sent.Setting.Name, sent.Setting.Password).From(after) is { Ok: true, Value: [var usual, ..] }
            ?
            [
                new(
                    $"The laptop joined \"{sent.Setting.Name}\" by itself.",
                    "Switch its Wi-Fi off until the end of the work, or its joining by itself.",
                    usual.After
                ),
            ]
            : [];
    }

    private static IEnumerable<Slip> Saved(PlayedStep step, SavePage save)
    {
        var design = step.Before.Design;
        // Of two radios the same may be said.
        var lines = save.Changes.Count > 1 ? save.Changes.DistinctBy(c => c.Describe(design)).Take(MostOfAKind) : [];
        var typed = save
            .Changes.OfType<SetRadio>()
            .Where(r => r.Setting.Gives(nameof(RadioSetting.Password)))
            .Select(r => new SetRadio(r.Box, r.Radio, Partial<RadioSetting>.With(s => s.Password, Mistyped)))
            .ToList();
        return
        [
            Idle(step, "It was typed and not saved.", "Open the page again and look what it says: some ask to apply as well as to save."),
            .. lines.SelectMany(left =>
                Instead(
                    step,
                    save with
                    {
                        Changes = [.. save.Changes.Where(c => c != left)],
                    },
                    $"{left.Describe(design)}: that was left out.",
                    "Open the page again and compare it with the list, line by line."
                )
            ),
            .. typed.Count == 0
                ? []
                : Instead(
                    step,
                    save with
                    {
                        Changes = [.. save.Changes, .. typed],
                    },
                    "The Wi-Fi password was mistyped.",
                    "Type it again by cable, with the password shown; then let a device join."
                ),
        ];
    }

    private static IEnumerable<Slip> InApp(PlayedStep step, SetInApp set) =>
        [
            Idle(
                step,
                $"The application did not reach {Name(step, set.Box)}.",
                "Look whether the phone is in the Wi-Fi that the application wants, with mobile data as it asks; "
                    + "begin again beside the box."
            ),
            .. step.After.Design.Mode(set.Box) is SatelliteMode { Main: var main }
                ? new[]
                {
                    Idle(
                        step,
                        $"{Name(step, set.Box)} did not pair with {Name(step, main)}.",
                        $"Stand it beside {Name(step, main)}, look at its light, and pair it again; it is carried away once it is paired."
                    ),
                }
                : [],
        ];

    private static IEnumerable<Slip> Restarted(PlayedStep step, ResetBox reset)
    {
        var hold = (int)Durations.ResetHold(step.Before.Design.Box(reset.Box)!.Profile).Usual.TotalSeconds;
        return
            new PowerOff(reset.Box).From(step.Before) is { Ok: true, Value: [var off, ..] }
            && new PowerOn(reset.Box).From(off.After) is { Ok: true, Value: [var on, ..] }
            ?
            [
                new(
                    $"The reset of {Name(step, reset.Box)} was held too short: it only restarted, and kept its settings.",
                    $"Hold it for {hold} s by the clock, until its lights say so, and wait until it is back.",
                    on.After
                ),
            ]
            : [];
    }

    private static IEnumerable<Slip> Patched(PlayedStep step, PatchCable patch)
    {
        var design = step.Before.Design;
        return
        [
            Idle(
                step,
                "A plug is not in to the click, or the lead is dead.",
                "Look for a light at both ends; push both in again; take another lead."
            ),
            .. OtherPorts(design, patch.B).SelectMany(p => Wrong(patch with { B = p }, p, patch.B)),
            .. OtherPorts(design, patch.A).SelectMany(p => Wrong(patch with { A = p }, p, patch.A)),
        ];

        IEnumerable<Slip> Wrong(PatchCable act, PortRef wrong, PortRef right) =>
            Instead(step, act, $"It is in {PortWords.Of(design, wrong)}.", $"Pull it out and plug it into {PortWords.Of(design, right)}.");
    }
}
