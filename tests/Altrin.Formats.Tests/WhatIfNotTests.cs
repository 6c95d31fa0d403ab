using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Acts;

namespace Altrin.Formats.Tests;

/// <summary>
/// What may have gone wrong at a step of an evening, told by what is then seen; and by which step, where nothing shows there.
/// </summary>
public sealed class WhatIfNotTests
{
    private static Play Played(string name)
    {
        var (acts, home) = (ActsFile.Read(Samples.Evening($"{name}.json")).Value!, Samples.Home($"{name}.json"));
        return Play.Of(State.Morning(home.Design(acts.Begins)!), acts.Acts, null, TestContext.Current.CancellationToken);
    }

    private static IReadOnlyList<WhatIfNot> At(Play play, int number) => WhatIfNot.Of(play, number, TestContext.Current.CancellationToken);

    [Theory]
    [InlineData("t01-access-point-by-hand", 11, "port in of Upstairs router", "Laptop, cable: 169.254.x.x of its own")]
    [InlineData("t01-access-point-by-hand", 11, "port 1 of Hall gateway", "Internet at the laptop: yes")]
    [InlineData("t01-access-point-by-hand", 11, "The plug is not in", "Laptop: connected to nothing")]
    [InlineData("t01-access-point-by-hand", 15, "not saved", "Wi-Fi name \"desk-5303\": from Upstairs router")]
    [InlineData("t01-access-point-by-hand", 18, "not saved", "Page at 192.168.1.1: Upstairs router")]
    [InlineData("t01-access-point-by-hand", 27, "left on the typed address", null)]
    [InlineData("t01-access-point-by-hand", 9, "has no power", "Lights of Upstairs router: not there")]
    [InlineData("pottery-house", 30, "held too short", null)]
    public void A_slip_is_told_by_what_is_seen(string evening, int number, string slip, string? shows)
    {
        var group = Assert.Single(At(Played(evening), number), g => g.Slips.Any(s => s.Says.Contains(slip, StringComparison.Ordinal)));
        if (shows is null)
        {
            Assert.Empty(group.Shows);
            Assert.NotNull(group.ShownBy);
        }
        else
        {
            Assert.Contains(group.Shows.Select(l => $"{l.What}: {l.Says}"), l => l.StartsWith(shows, StringComparison.Ordinal));
            Assert.Null(group.ShownBy);
        }
    }

    /// <summary>A password that was mistyped at the table shows when the first device is to join.</summary>
    [Fact]
    public void What_shows_nothing_at_once_is_shown_by_a_later_step()
    {
        var play = Played("t01-access-point-by-hand");
        var group = Assert.Single(At(play, 15), g => g.Slips.Any(s => s.Says.Contains("mistyped", StringComparison.Ordinal)));
        Assert.IsType<DeviceJoins>(play.Steps[group.ShownBy!.Value - 1].Act);
    }

    /// <summary>No two groups of a step are seen alike, none is as it should be, and each slip says what is done about it.</summary>
    [Theory]
    [InlineData("t01-access-point-by-hand")]
    [InlineData("t05-repeater")]
    public void Groups_of_a_step_are_told_apart(string evening)
    {
        var play = Played(evening);
        var all = 0;
        for (var i = 1; i <= play.Steps.Count; i++)
        {
            var groups = At(play, i);
            var shown = groups.Where(g => g.Shows.Count > 0).ToList();
            Assert.Equal(shown.Count, shown.Select(g => string.Join('\n', g.Shows)).Distinct().Count());
            Assert.All(groups, g => Assert.True(g.ShownBy is null || g.ShownBy > i));
            Assert.All(groups.SelectMany(g => g.Slips), s => Assert.True(s.Says.EndsWith('.') && s.WayOut.EndsWith('.'), s.Says));
            all += groups.Sum(g => g.Slips.Count);
        }
        Assert.True(all > play.Steps.Count / 2, $"{all} slips");
    }

    [Fact]
    public void There_is_no_step_beyond_the_list()
    {
        var play = Played("t01-access-point-by-hand");
        Assert.Throws<ArgumentOutOfRangeException>(() => At(play, 0));
        Assert.Throws<ArgumentOutOfRangeException>(() => At(play, play.Steps.Count + 1));
    }
}
