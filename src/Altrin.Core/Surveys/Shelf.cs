using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>The gear shelf: what is known of kinds of boxes. It names no maker; an entry describes what a kind can do.</summary>
/// <param name="Profiles">Its entries, each with a shelf id of its own, in the order in which they are listed.</param>
public sealed record Shelf(IReadOnlyList<Profile> Profiles)
{
    /// <summary>How many entries a shelf holds at most.</summary>
    public const int Most = 500;

    /// <summary>The entry with this id; null where there is none.</summary>
    public Profile? Find(string shelfId) => Profiles.FirstOrDefault(p => p.ShelfId == shelfId);

    /// <summary>
    /// The entries that may be meant by a few words. Each word must begin a word of its name or of its id; where no entry has them all
    /// there, the words of the trade are taken too, such as "extender" or "PoE switch", and what is so first comes before what can be so.
    /// One
    /// that is called so in full is meant alone.
    /// </summary>
    public IReadOnlyList<Profile> Fitting(string words)
    {
        var asked = TradeWords.Split(words);
        if (asked.Count == 0)
        {
            return [];
        }
        if (
            Profiles.FirstOrDefault(p =>
                p.ShelfId == words.Trim()
                || TradeWords.Split(p.Name) is var own && own.Count == asked.Count && own.Order().SequenceEqual(asked.Order())
            ) is
            { } exact
        )
        {
            return [exact];
        }
        var named = Having(asked, p => TradeWords.Split($"{p.Name} {p.ShelfId}"));
        return named.Count > 0
            ? named
            : [.. Having(asked, TradeWords.Of).OrderBy(p => !asked.TrueForAll(a => TradeWords.OfFirst(p).Any(o => Begins(o, a))))];
    }

    /// <summary>The entry that is meant by a few words, or why none is, or not one alone.</summary>
    public Parsed<Profile> Meant(string words) =>
        Fitting(words) switch
        {
            [var one] => one,
            [] => Parsed<Profile>.Fail($"No kind on the shelf has the name '{Ipv4Address.Shown(words.Trim())}'."),
            var several => Parsed<Profile>.Fail($"'{Ipv4Address.Shown(words.Trim())}' may be {Listed(several)}; a word more tells which."),
        };

    /// <summary>Entries that have at least one of some words, those with most of them first.</summary>
    public IReadOnlyList<Profile> Near(string words)
    {
        var asked = TradeWords.Split(words);
        return
        [
            .. Profiles
                .Select(p => (Profile: p, Has: TradeWords.Of(p) is var own ? asked.Count(a => own.Any(o => Begins(o, a))) : 0))
                .Where(p => p.Has > 0)
                .OrderByDescending(p => p.Has)
                .Select(p => p.Profile),
        ];
    }

    /// <summary>A later edition of what a box was made with; null where the shelf has none.</summary>
    public Profile? Newer(Box box) => Find(box.Profile.ShelfId) is { } now && now.Edition > box.Profile.Edition ? now : null;

    private List<Profile> Having(List<string> asked, Func<Profile, IReadOnlyList<string>> wordsOf) =>
        [.. Profiles.Where(p => wordsOf(p) is var own && asked.TrueForAll(a => own.Any(o => Begins(o, a))))];

    /// <summary>A word of one or two characters is taken in full: "ap" begins nothing.</summary>
    private static bool Begins(string own, string asked) =>
        asked.Length < 3 ? own == asked : own.StartsWith(asked, StringComparison.Ordinal);

    private static string Listed(IReadOnlyList<Profile> profiles) =>
        string.Join(" or ", profiles.Take(5).Select(p => $"\"{p.Name}\"")) + (profiles.Count > 5 ? $" or {profiles.Count - 5} more" : "");
}
