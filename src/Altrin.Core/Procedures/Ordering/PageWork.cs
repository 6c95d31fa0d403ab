using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Ordering;

/// <summary>What is typed in one trip to one page of a box, or set in its application.</summary>
/// <param name="Area">The page, in general words; empty for the application.</param>
/// <param name="Changes">What is typed.</param>
internal sealed record PageWork(string Area, IReadOnlyList<Change> Changes)
{
    /// <summary>The area that stands for the application.</summary>
    public const string InApp = "";

    /// <summary>
    /// What differs of a box, page by page in the order in which it is safe even where each save restarts the box: what its present mode
    /// has no page for waits until the mode is another.
    /// </summary>
    public static IReadOnlyList<PageWork> Of(Design design, BoxSetting goal, Ways ways)
    {
        var (box, id) = (design.Box(goal.Box)!, goal.Box);
        var wanted = design.SetUp with { Boxes = [.. design.SetUp.Boxes.Select(b => b.Box == id ? goal : b)] };
        var mode = design.Mode(id)!.Kind;
        var changes = Difference
            .Between(design.Site, design.SetUp, wanted)
            .Changes.Where(c => c.Subjects().Contains(id) && c is not SetPagePassword { Password: null })
            .SelectMany(c => Parts(design, box, mode, c))
            .ToList();
        var moves = changes.Exists(c => c.Change is SetLanAddress);
        // A mode that is to be another one comes first among what only it has.
        var toMode = changes.Exists(c => c.Change is SetMode);
        return
        [
            .. changes
                .Where(c => !toMode || c.Change is SetMode or SetPagePassword)
                // Pages of one turn stay in the order in which their changes were worked out: each can be made once those before it are.
                .GroupBy(c => c.Area, StringComparer.Ordinal)
                .Select(g => (Work: new PageWork(g.Key, [.. g.Select(c => c.Change)]), Order: g.Max(c => OrderOf(c.Change, ways, moves))))
                .OrderBy(w => w.Order)
                .Select(w => w.Work),
        ];
    }

    /// <summary>A change as it is typed: what stands on several pages is split.</summary>
    private static IEnumerable<(string Area, Change Change)> Parts(Design design, Box box, ModeKind mode, Change change)
    {
        if (change is SetRadio radio)
        {
            foreach (var page in radio.Setting.Given.GroupBy(m => AreaOf(design, box, mode, Member(radio, m)), StringComparer.Ordinal))
            {
                if (page.Key is { } area)
                {
                    yield return (area, Only(radio, [.. page]));
                }
            }
        }
        else if (
            change is MovePool { First: { } first, Last: { } last } pool
            && AreaOf(design, box, mode, pool with { First = null }) != AreaOf(design, box, mode, pool)
        )
        {
            // The end towards which the pool moves goes first, so that it is never inside out.
            var upwards = design.Mode(box.Id) is RouterMode router && first > router.Server.Pool.Last;
            MovePool[] ends = [pool with { Last = null }, pool with { First = null }];
            foreach (var end in upwards ? [ends[1], ends[0]] : ends)
            {
                if (AreaOf(design, box, mode, end) is { } page)
                {
                    yield return (page, end);
                }
            }
        }
        else if (AreaOf(design, box, mode, change) is { } area)
        {
            yield return (area, change);
        }
    }

    private static SetRadio Member(SetRadio change, string member) => Only(change, [member]);

    private static SetRadio Only(SetRadio change, IReadOnlyList<string> members) =>
        change with
        {
            Setting = Partial<RadioSetting>.Of(((IPartial)change.Setting).Values.Where(v => members.Contains(v.Key))),
        };

    /// <summary>The page that has a change, <see cref="InApp"/> for the application; null where the present mode has none for it.</summary>
    private static string? AreaOf(Design design, Box box, ModeKind mode, Change change)
    {
        var typed = TypedSettings.Of(design, box.Id, change);
        return typed.Count == 0 ? null
            : typed.All(s => PageAt.IsInApp(box.Profile, s)) ? InApp
            : PageAt.Of(box.Profile, mode, typed[0])?.Area;
    }

    /// <summary>The place of a change in that order.</summary>
    private static int OrderOf(Change change, Ways ways, bool moves) =>
        change switch
        {
            SetPagePassword => ways.Password == PasswordSchool.First ? 0 : 95,
            SetMode => 1,
            // Off first, then password and security, the name, on last: a radio never sends a name with half of what belongs to it.
            SetRadio radio when radio.Setting.Gives(nameof(RadioSetting.On)) => radio.IsOff() ? 9 : 12,
            SetRadio radio when radio.Setting.Gives(nameof(RadioSetting.Name)) => 11,
            SetRadio or SetGuest or RemoveGuest or SetPointGuest or RemovePointGuest => 10,
            SetWan or SetLine or SetPortVlans => 20,
            // What moves along with the address is set when it has moved.
            MovePool => moves ? 65 : 30,
            Reserve or RemoveReservation => moves ? 66 : 31,
            AddForward or RemoveForward or SetDmz or SetPortRequests => moves ? 67 : 35,
            SetLanAddress => 60,
            // Once it asks for a lease, its page is found on the live network only.
            SetPageAddress to => to.Address is Automatic ? 90 : 75,
            SwitchDhcpServer => 70,
            SetPassing => 80,
            SetUplink or RemoveUplink or SetSatellite => 85,
            _ => 40,
        };
}
