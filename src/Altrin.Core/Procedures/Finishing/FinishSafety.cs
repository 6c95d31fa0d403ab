using Altrin.Core.Changes;
using Altrin.Core.Procedures.Ordering;
using Altrin.Core.Sites;
using Altrin.Core.Trials;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>What keeps the home safe: IPv6, what is let in, passwords, and that all comes back after the power failed.</summary>
internal static class FinishSafety
{
    /// <summary>For how many seconds everything is off in the test of a power cut; longer where the line keeps a MAC address.</summary>
    private const int UsuallyOff = 30;

    /// <summary>The items of a plan.</summary>
    public static IEnumerable<CheckItem> Of(State planned)
    {
        var design = planned.Design;
        return
        [
            Ipv6(planned),
            LetIn(planned),
            Passwords(design),
            .. CheckItem.OfEach(
                "set-up-wifi",
                "Set-up Wi-Fi and WPS",
                "The Wi-Fi of the set-up is gone, and WPS is off where the box can:",
                Air.Of(design).Select(a => design.NameOf(a.Box)).Distinct().Order(StringComparer.Ordinal)
            ),
            PowerCut(planned),
        ];
    }

    private static CheckItem Ipv6(State planned)
    {
        var (design, sheet) = (planned.Design, planned.Seen().Sheet);
        var routers = sheet.Rulers.Select(r => r.Router).ToHashSet(StringComparer.Ordinal);
        var others = design
            .SetUp.Boxes.Where(b => !routers.Contains(b.Box) && !PageAt.HasNone(design.Box(b.Box)!.Profile))
            .Select(b => design.NameOf(b.Box))
            .ToList();
        return new(
            "ipv6",
            "IPv6",
            "It is not simulated, and looked at by hand:",
            [
                .. sheet
                    .Rulers.Where(r => sheet.Segments.Any(s => s.Id == r.Segment && s.Devices.Count > 0))
                    .Select(r =>
                        $"in the network of {r.Subnet} the only default router over IPv6 is {design.NameOf(r.Router)}, or there is none"
                    ),
                .. others.Count == 0 ? [] : new[] { $"no DNS server over IPv6 is one of {string.Join(", ", others)}" },
                "a device has a global IPv6 address where it had one at the start, or the customer accepts its loss",
                .. MainRouter.Of(planned) is { } main
                    ? new[] { $"on {design.NameOf(main)} the firewall for what comes in over IPv6 is on" }
                    : [],
            ]
        );
    }

    private static CheckItem LetIn(State planned)
    {
        var design = planned.Design;
        var routers = design.SetUp.Boxes.Where(b => b.Mode is RouterMode).Select(b => (b.Box, Mode: (RouterMode)b.Mode)).ToList();
        var open = routers
            .SelectMany(r =>
                r.Mode.Forwards.Select(f => $"{ProtocolWords.Of(f.Protocol)} {f.OutsidePort} to {f.To}, at {design.NameOf(r.Box)}")
                    .Concat(r.Mode.Dmz is { } dmz ? [$"everything else to {dmz} (DMZ), at {design.NameOf(r.Box)}"] : [])
                    .Concat(r.Mode.PortRequests ? [$"what devices ask for themselves (UPnP), at {design.NameOf(r.Box)}"] : [])
            )
            .ToList();
        var main = MainRouter.Of(planned) is { } router ? $" on {design.NameOf(router)}" : "";
        return new(
            "let-in",
            "From the internet",
            $"Remote administration is off{main}, and each box updates itself where it can. "
                + (open.Count == 0 ? "Nothing is forwarded." : "Only this is let in:"),
            open
        );
    }

    private static CheckItem Passwords(Design design)
    {
        var boxes = design.SetUp.Boxes.Where(b => !PageAt.HasNone(design.Box(b.Box)!.Profile)).ToList();
        var shared = boxes.Where(b => b.Password is not null).GroupBy(b => b.Password).Where(g => g.Count() > 1);
        return new(
            "passwords",
            "Admin passwords",
            "No box has the password of its factory, and no two have the same.",
            [
                .. shared.Select(g =>
                    $"{string.Join(" and ", g.Select(b => design.NameOf(b.Box)))} share one in the plan: each gets its own"
                ),
                .. boxes.Where(b => b.Password is null).Select(b => Unplanned(design.Box(b.Box)!)),
            ]
        );
    }

    private static string Unplanned(Box box) =>
        box.Profile.Traits.Login == LoginHabit.OnLabel
            ? $"{box.Name}: it may keep the one on its label, which no other box has, if the customer agrees"
            : $"{box.Name}: none is planned, so it is asked for";

    private static CheckItem PowerCut(State planned)
    {
        var (design, line) = (planned.Design, planned.Design.Site.Service);
        var off =
            line.Line.Locked == Known.Yes || line.Access == AccessKind.TelevisionCable
                ? $"{TimeWords.Of(Renewing.SecondsOff)}, for the line keeps a MAC address"
                : TimeWords.Of(UsuallyOff);
        var each = new List<string>();
        if (line.Access == AccessKind.TelephoneLine)
        {
            each.Add("at most three restarts of the line in one evening, this one among them");
        }
        if (
            WhatIf.Of(design).FirstOrDefault(t => t.Kind == TrialKind.RestartAll) is { } restart
            && WhatIf.Try(design, restart.Id) is { Ok: true, Value: var tried }
            && tried.Phases[^1].Difference.Moved.Where(m => m.Trend == Trend.Worse).ToList() is { Count: > 0 } worse
        )
        {
            each.Add(
                $"a second time in the order in which it does not come back by itself ({tried.How}): "
                    + string.Join("; ", worse.Select(m => $"{m.About}, {m.After}"))
            );
        }
        return new(
            "power-cut",
            "Power cut",
            "Network boxes only, by their plugs and never by the breaker; no computer, recorder or medical device. "
                + $"Off for {off}, then all on within a minute: every device is back by itself.",
            each
        );
    }
}
