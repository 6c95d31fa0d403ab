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

    /// <summary>The entry that is meant by a few words: each must begin a word of its name or of its id.</summary>
    public Parsed<Profile> Meant(string words)
    {
        var asked = Words(words);
        var fitting = Profiles
            .Where(p =>
                asked.Count > 0
                && Words($"{p.Name} {p.ShelfId}") is var own
                && asked.All(a => own.Any(o => o.StartsWith(a, StringComparison.Ordinal)))
            )
            .ToList();
        return fitting switch
        {
            [var one] => one,
            [] => Parsed<Profile>.Fail($"No kind on the shelf has the name '{Ipv4Address.Shown(words.Trim())}'."),
            _ when fitting.Find(p => p.ShelfId == words.Trim() || string.Equals(p.Name, words.Trim(), StringComparison.OrdinalIgnoreCase))
                    is { } exact => exact,
            _ => Parsed<Profile>.Fail($"'{Ipv4Address.Shown(words.Trim())}' may be {Listed(fitting)}; a word more tells which."),
        };
    }

    /// <summary>A later edition of what a box was made with; null where the shelf has none.</summary>
    public Profile? Newer(Box box) => Find(box.Profile.ShelfId) is { } now && now.Edition > box.Profile.Edition ? now : null;

    private static string Listed(List<Profile> profiles) =>
        string.Join(" or ", profiles.Take(5).Select(p => $"\"{p.Name}\"")) + (profiles.Count > 5 ? $" or {profiles.Count - 5} more" : "");

    private static List<string> Words(string text) =>
        [
            .. string.Concat(text.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) || c == '.' ? c : ' '))
                .Split(' ', StringSplitOptions.RemoveEmptyEntries),
        ];
}
