using Altrin.Core.Procedures.Ordering;

namespace Altrin.Core.Tests.Procedures;

/// <summary>What makes one order of work better than another: part by part, the first that differs decides.</summary>
public sealed class CostTests
{
    private static readonly Cost Usual = new(1, 600, 100, 1_310, 2, 5, 3_600);

    public static TheoryData<string, Cost, int> Others =>
        new()
        {
            { "the same", Usual with { }, 0 },
            { "breaks less, whatever it takes", new(0, 9_999, 0, 9_999, 9, 99, 99_999), -1 },
            { "less downtime, a longer window", Usual with { Downtime = 479, WindowLast = 9_000 }, -1 },
            { "downtime within the spread of the waits counts as equal", Usual with { Downtime = 719, Seconds = 3_601 }, 1 },
            { "a shorter window, more devices touched", Usual with { WindowLast = 1_050, Touched = 9 }, -1 },
            { "a window within the spread counts as equal", Usual with { WindowLast = 1_400, Touched = 3 }, 1 },
            { "fewer devices touched, more walks", Usual with { Touched = 1, Moves = 50 }, -1 },
            { "fewer walks, more time", Usual with { Moves = 4, Seconds = 9_999 }, -1 },
            { "less time", Usual with { Seconds = 3_599 }, -1 },
        };

    [Theory]
    [MemberData(nameof(Others))]
    public void The_first_part_that_differs_decides(string what, Cost other, int sign)
    {
        Assert.True(Math.Sign(other.CompareTo(Usual)) == sign, what);
        Assert.True(Math.Sign(Usual.CompareTo(other)) == -sign, what);
        Assert.Equal(sign < 0, other < Usual);
        Assert.Equal(sign > 0, other > Usual);
        Assert.Equal(sign <= 0, other <= Usual);
        Assert.Equal(sign >= 0, other >= Usual);
    }

    [Fact]
    public void Where_no_device_is_offline_there_is_no_window()
    {
        Assert.Equal(0, Cost.Nothing.Window);
        Assert.Equal(1_210, Usual.Window);
        Assert.True(Cost.Nothing.CompareTo(null) > 0);
    }
}
