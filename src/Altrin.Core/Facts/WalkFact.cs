using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Facts;

/// <summary>
/// What becomes of a device that is carried from where a box stands into another place: the device decides, at about -70 dBm.
/// </summary>
/// <param name="Name">The name that it is in.</param>
/// <param name="From">The place that it comes from: where the box stands.</param>
/// <param name="To">The place that it is carried to.</param>
/// <param name="Box">The box that it is with.</param>
/// <param name="LevelDbm">How strongly that box is heard in the other place.</param>
/// <param name="Does">What it does there.</param>
/// <param name="Finds">The box that is heard best there, of the same network, or else of another; null for none that pages open
/// with.</param>
/// <param name="Says">All of that in a sentence.</param>
public sealed record WalkFact(string Name, string From, string To, string Box, double LevelDbm, WalkEnd Does, string? Finds, string Says)
{
    /// <summary>How many walks are told of.</summary>
    public const int Most = 60;

    /// <summary>So much stronger another box is to be worth moving to, in dB (common practice).</summary>
    private const double WorthDb = 10;

    /// <summary>From here on a device is served as well as it can be, in dBm (common practice).</summary>
    private const double StrongDbm = -60;

    /// <summary>
    /// The walks of a home after which a device is not where it would be served best, the worst first: those on which it moves by itself
    /// are left out.
    /// </summary>
    internal static IReadOnlyList<WalkFact> Of(Network network, IReadOnlyList<Air> airs, Signals signals)
    {
        var design = network.Design;
        var senders = airs.Where(a => !a.Guest && !Air.IsLink(design, a.Box, a.Setting.Name))
            .GroupBy(a => (a.Box, a.Setting.Name))
            .Select(g => new Sender(g.Key.Box, g.Key.Name, [.. g], design.Site.Place(design.Setting(g.Key.Box)?.Place)))
            .ToList();
        var groups = GroupsOf(network);
        return
        [
            .. senders
                .Where(s => s.Stands is not null)
                .SelectMany(s =>
                    design
                        .Site.Places.Where(p => p.Kind != PlaceKind.Outdoors && p.Id != s.Stands!.Id)
                        .Select(p => One(design, s, senders, groups, signals, p))
                )
                .OfType<WalkFact>()
                .OrderBy(w => w.Does)
                .ThenBy(w => w.LevelDbm)
                .ThenBy(w => (w.Box, w.Name, w.To))
                .Take(Most),
        ];
    }

    private static WalkFact? One(Design design, Sender with, List<Sender> all, Dictionary<Air, int> groups, Signals signals, Place to)
    {
        if (with.In(signals, to) is not { } level)
        {
            return null;
        }
        var others = all.Where(o => o.Box != with.Box)
            .Select(o => (Sender: o, Level: o.In(signals, to)))
            .Where(o => o.Level is { } there && there.Dbm >= SignalLevel.ForPagesDbm)
            .OrderByDescending(o => o.Level!.Dbm)
            .ToList();
        var same = others.Find(o => with.Airs.Any(a => o.Sender.Airs.Any(b => Group(a) is { } g && g == Group(b))));
        return Ended(level, same, others.Count > 0 ? others[0].Sender : null) is not var (end, finds)
            ? null
            : new(
                with.Name,
                with.Stands!.Id,
                to.Id,
                with.Box,
                Math.Round(level.Dbm, 1),
                end,
                finds?.Box,
                Sentence(design, with, to, level, end, finds, same.Level?.Dbm)
            );

        int? Group(Air air) => groups.TryGetValue(air, out var group) ? group : null;
    }

    /// <summary>How it ends, and what it finds there; null where it is served as well as can be.</summary>
    private static (WalkEnd End, Sender? Finds)? Ended(SignalLevel level, (Sender? Sender, SignalLevel? Level) same, Sender? other)
    {
        if (level.Dbm >= SignalLevel.LimitDbm)
        {
            return level.Dbm < StrongDbm && same.Sender is { } better && same.Level!.Dbm >= level.Dbm + WorthDb
                ? (WalkEnd.Stays, better)
                : null;
        }
        return same.Sender is not null ? null
            : other is not null ? (WalkEnd.CutOff, other)
            // Where nothing else is there it stays as long as pages open.
            : level.Dbm < SignalLevel.ForPagesDbm ? (WalkEnd.Nothing, null)
            : null;
    }

    private static string Sentence(Design design, Sender with, Place to, SignalLevel level, WalkEnd end, Sender? finds, double? best)
    {
        var (from, at) = (with.Stands!.Name, LevelWords.Dbm(level.Dbm));
        return end switch
        {
            WalkEnd.Stays =>
                $"From {from} to {to.Name}, a device mostly stays with {design.NameOf(with.Box)}, {at} there, although {design.NameOf(finds!.Box)} is at {LevelWords.Dbm(best!.Value)}: the device decides.",
            WalkEnd.CutOff =>
                $"From {from} to {to.Name}, {design.NameOf(with.Box)} is lost ({at}), and only \"{finds!.Name}\" of {design.NameOf(finds.Box)} is there{(finds.Name == with.Name ? ", under the same name but another password, security or network" : "")}: no device moves there by itself.",
            _ => $"From {from} to {to.Name}, {design.NameOf(with.Box)} is lost ({at}), and no other radio of the home is there.",
        };
    }

    /// <summary>In which group of its name each radio is.</summary>
    private static Dictionary<Air, int> GroupsOf(Network network)
    {
        var (groups, next) = (new Dictionary<Air, int>(), 0);
        foreach (var group in Roaming.Names(network).SelectMany(n => n.Groups))
        {
            next++;
            foreach (var air in group.Members)
            {
                groups[air] = next;
            }
        }
        return groups;
    }

    private sealed record Sender(string Box, string Name, IReadOnlyList<Air> Airs, Place? Stands)
    {
        public SignalLevel? In(Signals signals, Place place) =>
            Airs.Select(a => signals.Of(a, place)).OfType<SignalLevel>().OrderByDescending(l => l.Dbm).FirstOrDefault();
    }
}

/// <summary>How a walk ends, the worst first.</summary>
public enum WalkEnd
{
    /// <summary>No radio of the home is there.</summary>
    Nothing,

    /// <summary>Only radios between which and its own no device moves by itself are there.</summary>
    CutOff,

    /// <summary>It mostly stays with the box that it came from, though another would serve it better.</summary>
    Stays,
}
