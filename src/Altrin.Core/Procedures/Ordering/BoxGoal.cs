using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>How a box is to be set on the way to the plan.</summary>
internal static class BoxGoal
{
    /// <summary>As planned, where it stands now: it is carried later.</summary>
    public static BoxSetting Planned(State now, Aim aim, string box) => aim.Of(box)! with { Place = now.Design.Setting(box)?.Place };

    /// <summary>
    /// As planned, but for what would make it part of the live network: radios that would send a name that another box sends are off, and
    /// it joins nothing yet. One that is to join by radio keeps the address of its page until then.
    /// </summary>
    public static BoxSetting AtTable(State now, Aim aim, string box)
    {
        var (planned, have) = (Planned(now, aim, box), now.Design.Mode(box));
        var mode = (planned.Mode, have) switch
        {
            (RepeaterMode to, RepeaterMode is_) => to with { Link = is_.Link, Page = Kept(to.Page, is_.Page) },
            (WirelessBridgeMode to, WirelessBridgeMode is_) => to with { Link = is_.Link, Page = Kept(to.Page, is_.Page) },
            (RouterMode { Uplink: not null } to, RouterMode is_) => to with { Uplink = is_.Uplink },
            var (to, _) => to,
        };
        var sent = now
            .Design.SetUp.Boxes.Where(b => b.Box != box)
            .SelectMany(b => Air.Of(now.Design, b.Box))
            .Select(a => a.Setting.Name)
            .Where(n => !aim.IsSplit(n))
            .ToHashSet(StringComparer.Ordinal);
        return planned with { Mode = mode.WithRadios([.. mode.Radios.Select(r => sent.Contains(r.Name) ? r with { On = false } : r)]) };
    }

    private static HostAddress Kept(HostAddress wanted, HostAddress now) => wanted is Automatic ? now : wanted;

    /// <summary>
    /// What of a goal can be set before its mode is: radios, and the address at which the page is to answer. The goal itself where the mode
    /// stays.
    /// </summary>
    public static BoxSetting BeforeMode(State now, BoxSetting goal)
    {
        if (now.Design.Setting(goal.Box) is not { } have || have.Mode.Kind == goal.Mode.Kind)
        {
            return goal;
        }
        var wanted = goal.Mode.Radios.ToDictionary(r => r.Radio, StringComparer.Ordinal);
        var mode = have.Mode.WithRadios([
            .. have.Mode.Radios.Select(r => wanted.TryGetValue(r.Radio, out var to) ? to : r with { On = false }),
        ]);
        var set = have with { Mode = mode, Password = goal.Password };
        if (mode is not RouterMode || PageAddress.Of(goal.Mode) is not { } lan)
        {
            return set;
        }
        var moved = new SetLanAddress(goal.Box, lan).ApplyTo(
            now.Design with
            {
                SetUp = now.Design.SetUp with { Boxes = [.. now.Design.SetUp.Boxes.Select(b => b.Box == goal.Box ? set : b)] },
            }
        );
        return moved.Ok ? moved.Value.Boxes.First(b => b.Box == goal.Box) : set;
    }
}
