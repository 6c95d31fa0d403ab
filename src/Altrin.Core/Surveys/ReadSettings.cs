using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// What was read on the page of a box goes into the set-up that was found, and into another one exactly where that still holds what was
/// assumed before.
/// </summary>
internal static class ReadSettings
{
    /// <summary>The home with what was read, or why no page holds it.</summary>
    /// <param name="home">The home.</param>
    /// <param name="box">The box, in use in what was found, with the label that its settings were assumed from.</param>
    /// <param name="read">What was read; a member that a mode does not have is refused.</param>
    /// <param name="sure">Whether it was read on its page; else it is a better assumption, from the label.</param>
    public static Parsed<HomeFile> Into(HomeFile home, Box box, Partial<FoundSettings> read, bool sure)
    {
        var found = home.AsFound().SetUp;
        var today = home.AsFound().Mode(box.Id);
        if (today is null)
        {
            return Parsed<HomeFile>.Fail($"{box.Name} is not in use today.");
        }
        if (read.Given.Any(m => m is nameof(FoundSettings.WifiName) or nameof(FoundSettings.WifiPassword)) && today.Radios.Count == 0)
        {
            return Parsed<HomeFile>.Fail($"{box.Name} sends no Wi-Fi of its own as it is set today.");
        }
        var values = ((IPartial)read).Values;
        if (values.Any(v => v.Value is null && v.Key != nameof(FoundSettings.WifiPassword)))
        {
            return Parsed<HomeFile>.Fail("What was read cannot be left empty; undo takes a note back.");
        }
        var assumed = box.Assumed.In(today);
        var setUps = new List<SetUp>();
        foreach (var setUp in home.SetUps)
        {
            var done = Put(new(home.Site, setUp), box, read, setUp == found ? null : (assumed, today));
            if (!done.Ok && setUp == found)
            {
                return Parsed<HomeFile>.Fail(done.Error);
            }
            setUps.Add(done.Ok ? done.Value : setUp);
        }
        var after = new Design(home.Site, setUps.First(s => s.Name == found.Name)).Mode(box.Id);
        // A pool that was not read moved along with the address of its router.
        var now = AssumedSettings.All(after);
        var still = new AssumedSettings(
            Kept(nameof(FoundSettings.LanAddress), assumed.LanAddress is null ? null : now.LanAddress),
            Kept(nameof(FoundSettings.DhcpServer), assumed.DhcpServer is null ? null : now.DhcpServer),
            sure && (read.Gives(nameof(FoundSettings.PoolFirst)) || read.Gives(nameof(FoundSettings.PoolLast))) ? null
                : assumed.Pool is null ? null
                : now.Pool,
            Kept(nameof(FoundSettings.WifiName), assumed.WifiName is null ? null : now.WifiName)
        );
        return home with
        {
            Site = home.Site with { Boxes = [.. home.Site.Boxes.Select(b => b.Id == box.Id ? b with { Assumed = still } : b)] },
            SetUps = setUps,
        };

        T? Kept<T>(string member, T? value) => sure && read.Gives(member) ? default : value;
    }

    /// <summary>What was read, put into one set-up; where it is not the one that was found, only over what was assumed.</summary>
    private static Parsed<SetUp> Put(Design design, Box box, Partial<FoundSettings> read, (AssumedSettings Was, BoxMode Today)? over)
    {
        if (design.Mode(box.Id) is not { } mode)
        {
            return design.SetUp;
        }
        var wanted = read.On(FoundSettings.Of(mode));
        var still = over?.Was.In(mode);
        var changes = new List<Change>();
        if (Takes(nameof(FoundSettings.LanAddress), still?.LanAddress is not null) && wanted.LanAddress is { } lan)
        {
            changes.Add(new SetLanAddress(box.Id, lan));
        }
        if (Takes(nameof(FoundSettings.DhcpServer), still?.DhcpServer is not null) && wanted.DhcpServer is { } on)
        {
            changes.Add(new SwitchDhcpServer(box.Id, on));
        }
        var (first, last) = (
            Takes(nameof(FoundSettings.PoolFirst), still?.Pool is not null) ? wanted.PoolFirst : null,
            Takes(nameof(FoundSettings.PoolLast), still?.Pool is not null) ? wanted.PoolLast : null
        );
        if (first is not null || last is not null)
        {
            changes.Add(new MovePool(box.Id) { First = first, Last = last });
        }
        foreach (var radio in mode.Radios)
        {
            var named = Takes(nameof(FoundSettings.WifiName), still?.WifiName is not null && radio.Name == still.WifiName);
            var unlocked = over is null || IsUnread(box, over.Value.Today, radio);
            var set = radio with
            {
                Name = named ? wanted.WifiName ?? radio.Name : radio.Name,
                Password = Takes(nameof(FoundSettings.WifiPassword), unlocked) ? wanted.WifiPassword : radio.Password,
            };
            if (set != radio)
            {
                // What was noted of whatever joins it came from the same assumption.
                changes.AddRange([
                    SetRadio.Between(box.Id, radio, set),
                    .. RadioFollowers.Links(design, box.Id, radio, set),
                    .. RadioFollowers.Devices(design, box.Id, radio, set),
                ]);
            }
        }
        return changes.Aggregate((Parsed<SetUp>)design.SetUp, (at, c) => at.Then(s => c.ApplyTo(design with { SetUp = s })));

        bool Takes(string member, bool isAssumed) => read.Gives(member) && (over is null || isAssumed);
    }

    /// <summary>Whether the password of a radio is still one that was not read: none, or the one on the label.</summary>
    private static bool IsUnread(Box box, BoxMode today, RadioSetting radio) =>
        (radio.Password is null || radio.Password == box.Label.WifiPassword)
        && today.Radios.Any(r => r.Radio == radio.Radio && r.Password == radio.Password);
}
