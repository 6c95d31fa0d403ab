using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>
/// What it takes at least to make one set-up of a home into another, worked out without an order: the hands' work summed over what differs.
/// No list of acts that leads there takes less, since hands do one thing at a time; waits, walks of the laptop and what is only looked at
/// come on top.
/// </summary>
/// <param name="Work">The hands' time.</param>
/// <param name="Saves">How often a page is saved, or something set with an application.</param>
/// <param name="Cables">Cables plugged in and pulled out.</param>
/// <param name="Boxes">Boxes carried, switched on, put away or reset.</param>
/// <param name="Touched">Customer's devices that have to be touched.</param>
public sealed record WorkEstimate(Duration Work, int Saves, int Cables, int Boxes, IReadOnlyList<string> Touched)
{
    private static WorkEstimate Nothing { get; } = new(Duration.None, 0, 0, 0, []);

    /// <summary>From a set-up to another of the same home.</summary>
    public static WorkEstimate Between(Design from, SetUp to) => Between(from, to, box => OfBox(from, to, box));

    /// <summary>The same, with the work at each box of the second as it is told: it depends on that box alone.</summary>
    internal static WorkEstimate Between(Design from, SetUp to, Func<BoxSetting, WorkEstimate> ofBox)
    {
        var differs = Difference.Between(from.Site, from.SetUp, to).Changes;
        var devices = differs.SelectMany(c => AtDevice(from, c)).ToList();
        var estimate = Nothing with { Touched = [.. devices.Distinct().Order(StringComparer.Ordinal)] };
        estimate = estimate.And(Durations.AtDevice, devices.Count);
        var cables = differs.Count(c => c is Patch or Unpatch);
        estimate = estimate.And(Durations.Hand, cables) with { Cables = cables };
        // A box that is put away takes its cables with it.
        var away = differs.OfType<TakeOutOfUse>().Count(p => from.Box(p.Id) is not null);
        estimate = estimate.And(Durations.Hand, away) with { Boxes = away };
        return to.Boxes.Aggregate(estimate, (sum, box) => sum + ofBox(box));
    }

    /// <summary>One after the other.</summary>
    public static WorkEstimate operator +(WorkEstimate a, WorkEstimate b) =>
        new(a.Work + b.Work, a.Saves + b.Saves, a.Cables + b.Cables, a.Boxes + b.Boxes, [.. a.Touched, .. b.Touched]);

    private WorkEstimate And(Duration each, int times) =>
        times == 0
            ? this
            : this with
            {
                Work = new(Work.Least + (each.Least * times), Work.Usual + (each.Usual * times), Work.Most + (each.Most * times)),
            };

    /// <summary>The device that a person has to go to for a change; none where it moves by itself, or none is meant.</summary>
    private static IEnumerable<string> AtDevice(Design from, Change change) =>
        change switch
        {
            SetDeviceAddress set => [set.Device],
            JoinWifi join when !new DeviceJoins(join.Device, join.Wifi).MovesByItself(from) => [join.Device],
            _ => [],
        };

    /// <summary>The least work at a box: on top of what it is set to, after a reset, or as it wakes from the shelf.</summary>
    internal static WorkEstimate OfBox(Design from, SetUp to, BoxSetting target)
    {
        if (from.Box(target.Box) is not { } box)
        {
            return Nothing;
        }
        var woken = FromShelf.Of(from, box).Select(s => s.SetUp.Boxes.First(b => b.Box == box.Id));
        // Put away and taken out again, a box in use wakes too: two hands instead of one.
        var used = from.Setting(box.Id);
        var starts = woken.Select(w => (Setting: w, Begins: Nothing.And(Durations.Hand, used is null ? 1 : 2) with { Boxes = 1 })).ToList();
        if (used is not null)
        {
            starts.Add((used, Nothing));
        }
        var reset = starts
            .SelectMany(s =>
                BoxReset.Kept(box.Profile).Select(keeps => (s.Begins, After: BoxReset.Of(With(from.Site, to, s.Setting), box.Id, keeps)))
            )
            .Select(r =>
                (
                    Setting: r.After.Boxes.First(b => b.Box == box.Id),
                    Begins: r.Begins + (Nothing.And(Durations.ResetHold(box.Profile), 1) with { Boxes = 1 })
                )
            );
        return starts.Concat(reset).Select(s => s.Begins + Set(from.Site, to, box, s.Setting)).MinBy(e => e.Work.Usual)!;
    }

    private static Design With(Site site, SetUp to, BoxSetting setting) =>
        new(site, to with { Boxes = [.. to.Boxes.Select(b => b.Box == setting.Box ? setting : b)] });

    /// <summary>What is typed into a box, each page saved once, and where it is carried.</summary>
    private static WorkEstimate Set(Site site, SetUp to, Box box, BoxSetting start)
    {
        var begins = With(site, to, start);
        var differs = Difference.Between(site, begins.SetUp, to).Changes.Where(c => c.Subjects().Contains(box.Id)).ToList();
        var (modes, pages) = (new[] { to.Boxes.First(b => b.Box == box.Id).Mode.Kind, start.Mode.Kind }, new HashSet<string>());
        var typed = 0;
        foreach (var change in differs)
        {
            var places = TypedSettings
                .Of(begins, box.Id, change)
                .Select(s => Place(box.Profile, modes, s))
                .OfType<string>()
                .Distinct()
                .ToList();
            pages.UnionWith(places);
            typed += places.Count > 0 ? 1 : 0;
        }
        var carried = differs.Any(c => c is PlaceBox) ? 1 : 0;
        var set = Nothing.And(Durations.Open, pages.Count).And(Durations.Typing(1), typed).And(Durations.Carry, carried);
        return set with { Saves = pages.Count, Boxes = carried };
    }

    /// <summary>Where something is set: a page by its area, or the application; null for neither.</summary>
    private static string? Place(Profile profile, IEnumerable<ModeKind> modes, Setting setting) =>
        PageAt.IsInApp(profile, setting) ? "" : modes.Select(m => PageAt.Of(profile, m, setting)?.Area).FirstOrDefault(a => a is not null);
}
