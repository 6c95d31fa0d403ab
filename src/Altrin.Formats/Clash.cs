using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>One value that two edits of the same home set to different things.</summary>
/// <param name="What">Which value, in words.</param>
/// <param name="SetUp">In which set-up; null for what is given.</param>
/// <param name="Yours">What the one who asks made of it; null where it is gone.</param>
/// <param name="Theirs">What it is meanwhile; null where it is gone.</param>
public sealed record Clash(string What, string? SetUp, string? Yours, string? Theirs)
{
    /// <summary>How many are listed at most.</summary>
    public const int Most = 20;

    /// <summary>
    /// What two edits that began with the same home both touched and set differently; empty where the one can be made on top of the
    /// other without a loss.
    /// </summary>
    /// <param name="before">What both saw.</param>
    /// <param name="yours">What the one made of it.</param>
    /// <param name="theirs">What the other made of it.</param>
    public static IReadOnlyList<Clash> Between(HomeFile before, HomeFile yours, HomeFile theirs)
    {
        var (was, mine, other) = (HomeValues.Of(before), HomeValues.Of(yours), HomeValues.Of(theirs));
        var both = HomeValues
            .Between(was, mine)
            .Intersect(HomeValues.Between(was, other))
            .Where(p => mine.GetValueOrDefault(p) != other.GetValueOrDefault(p));
        return
        [
            .. both.Select(p => (Path: p, Touch: HomeValues.TouchAt(p)))
                .DistinctBy(p => (p.Path.SetUp, p.Touch))
                .Take(Most)
                .Select(p => new Clash(
                    SettingWords.Of(Shown(theirs, p.Path.SetUp), p.Touch),
                    p.Path.SetUp,
                    mine.GetValueOrDefault(p.Path),
                    other.GetValueOrDefault(p.Path)
                )),
        ];
    }

    private static Design Shown(HomeFile home, string? setUp) => home.Design(setUp ?? "") ?? new(home.Site, home.Foremost);
}
