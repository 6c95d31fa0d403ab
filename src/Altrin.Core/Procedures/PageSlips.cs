using Altrin.Core.Addressing;
using Altrin.Core.Networks;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>What commonly goes wrong where the page of a box is to be opened (common practice).</summary>
internal static class PageSlips
{
    /// <summary>In which order the causes of a page that does not open are told apart.</summary>
    public const string Tests =
        "Look in this order: the light of the link, the laptop's own address, the box's entry in the address table, a ping to it, "
        + "another browser.";

    /// <summary>The box whose page an act is to open; null where it opens none.</summary>
    public static string? Opened(Act act) =>
        act switch
        {
            OpenPage open => open.Box,
            FindPage find => find.Box,
            _ => null,
        };

    /// <summary>An address that the box had before, and another box at its address.</summary>
    public static IEnumerable<Slip> Of(PlayedStep step, string box) =>
        PageOpens.AddressOf(step.Before, box) is { Ok: true, Value: var address }
            ? Before(step, box, address)
                .Concat(InUse(step, box, address))
                .Concat(FromShelf(step, box, address))
                // Where the right page opens all the same, nothing goes wrong.
                .Where(s => s.Instead?.Says != step.Before.Design.NameOf(box))
            : [];

    /// <summary>
    /// Causes that no simulated network has: the page is there, and this browser or this laptop does not show it. Nothing is seen of them
    /// but that.
    /// </summary>
    public static WhatIfNot Everyday(State now, string box)
    {
        var profile = now.Design.Box(box)!.Profile;
        return new([new("browser", "Browser", "the page does not open", Packets.AnswerKind.No)], [.. Causes(now, profile)], null)
        {
            Tests = Tests,
        };
    }

    private static IEnumerable<Slip> Causes(State now, Profile profile)
    {
        Slip Of(string says, string wayOut) => new(says, wayOut, now);
        yield return Of(
            "The browser warns of the certificate.",
            "That is usual for a box in a home: look that the address is right, and go on."
        );
        yield return Of("The browser forces https.", "Type http:// before the address, in a private window.");
        yield return Of("It goes to a saved address, or fills in a saved password.", "Use a private window, and type both.");
        yield return Of("The page is too old or too new for this browser.", "Try another browser.");
        yield return Of(
            "Someone else is logged in.",
            "Log out there, or wait until that session has ended; many pages let one in at a time."
        );
        yield return Of(
            "A security suite or a VPN on the laptop stands between.",
            "Switch it off for the evening, and note it to be put back."
        );
        yield return Of("The box is still starting.", "Wait until its light is steady; leave its power on.");
        if (profile.Traits.Power?.Takes is not null)
        {
            yield return Of(
                "The sockets of the injector are swapped.",
                "The lead to the box goes into the socket that gives power, the one to the laptop into the other."
            );
        }
    }

    /// <summary>The address at which it was opened before it moved.</summary>
    private static IEnumerable<Slip> Before(PlayedStep step, string box, Ipv4Address address) =>
        step
            .Before.Ledger.Opened.Concat(step.Before.Ledger.Found)
            .Where(o => o.Box == box && o.Address != address)
            .Select(o => o.Address)
            .Distinct()
            .Select(old => new Slip($"The old address {old} was typed.", $"Type {address}: it is there now.", step.After)
            {
                Instead = SeenItem.OfPage(step.Before, old),
            });

    /// <summary>The laptop is at a box in use that has the same address.</summary>
    private static IEnumerable<Slip> InUse(PlayedStep step, string box, Ipv4Address address)
    {
        var design = step.Before.Design;
        return design
            .SetUp.Boxes.Select(b => b.Box)
            .Where(b => b != box && PageOpens.AddressOf(step.Before, b) is { Ok: true, Value: var same } && same == address)
            .SelectMany(b =>
                FreePort(design, b)
                    .Select(port => (Box: b, After: step.Before.Moment.After(new MoveLaptop(Laptop.At(port, new Automatic())))))
            )
            .Where(b => b.After.Ok)
            .Select(b => Twin(step, b.Box, address, step.Before with { Moment = b.After.Value }));
    }

    /// <summary>A box that is not in use and has the same address from its factory is plugged in beside it.</summary>
    private static IEnumerable<Slip> FromShelf(PlayedStep step, string box, Ipv4Address address)
    {
        var design = step.Before.Design;
        return design
            .Site.Boxes.Where(b => design.Mode(b.Id) is null && b.FactoryAddress?.Address == address && b.Id != box)
            .SelectMany(b => Plugged(step.Before, b.Id, box).Select(after => Twin(step, b.Id, address, after)));
    }

    private static IEnumerable<State> Plugged(State before, string other, string box) =>
        new PowerOn(other).From(before) is { Ok: true, Value: [var on, ..] }
        && FreePort(before.Design, box) is [var near, ..]
        && FreePort(on.After.Design, other) is [var far, ..]
        && new PatchCable(near, far).From(on.After) is { Ok: true, Value: [var plugged, ..] }
        && plugged.After.Moment.After(new Wait(Durations.Boot(before.Design.Box(other)!.Profile).Usual)) is { Ok: true, Value: var waited }
            ? [plugged.After with { Moment = waited }]
            : [];

    private static Slip Twin(PlayedStep step, string other, Ipv4Address address, State after) =>
        new(
            $"{step.Before.Design.NameOf(other)} answers at {address} too.",
            $"One box at that address at a time: take {step.Before.Design.NameOf(other)} off the laptop's network, "
                + "clear the address table, and compare the MAC address.",
            after
        )
        {
            Instead = SeenItem.OfPage(after, address),
        };

    private static IReadOnlyList<PortRef> FreePort(Design design, string box) =>
        [
            .. (design.Box(box)?.Profile.Ports ?? [])
                .Where(p => p.Role == PortRole.Lan && p.Kind is PortKind.Unknown or PortKind.Copper)
                .Select(p => new PortRef(box, p.Id))
                .Where(p => design.CableAt(p) is null)
                .Take(1),
        ];
}
