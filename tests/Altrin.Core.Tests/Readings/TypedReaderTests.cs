using Altrin.Core.Readings;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Readings;

/// <summary>Readings that a person types are written as they are read.</summary>
public sealed class TypedReaderTests
{
    [Fact]
    public void Typed_readings_read_back()
    {
        SpeedRun[] runs =
        [
            new(2, "2026-11-24 09:02", "hall", RunBy.Ghz5, "copy of a file", null, 20.5, 800, null),
            new(3, "", "", RunBy.Cable, "", 30, null, 93.75, 41),
        ];
        Assert.Equal(runs, ReadingText.Read(TypedReader.WriteRuns(runs)).Value.Runs);
        SpeedRun[] within = [runs[0] with { To = "recorder" }, runs[1]];
        Assert.Equal(within, ReadingText.Read(TypedReader.WriteRuns(within)).Value.Runs);
        Assert.Equal("", Assert.Single(ReadingText.Read($"{TypedReader.Heads}, To\n,,cable,,30,,93,, Internet\n").Value.Runs).To);
        Assert.Equal(
            [new OutsideRead(1, Home.At("203.0.113.80"), null)],
            ReadingText.Read(TypedReader.WriteOutside("203.0.113.80", null)).Value.Outside
        );
        Assert.Equal(
            [new OutsideRead(1, null, Home.At("10.0.0.4"))],
            ReadingText.Read(TypedReader.WriteOutside("2001:db8::7", Home.At("10.0.0.4"))).Value.Outside
        );
    }

    [Theory]
    [InlineData(",,smoke,,,,93,", "cable, 2.4 GHz, 5 GHz or 6 GHz")]
    [InlineData(",,cable,,,,,", "A rate in Mb/s")]
    [InlineData(",,cable,,,,-5,", "A rate in Mb/s")]
    [InlineData(",,cable,,half a minute,,93,", "Seconds, megabytes")]
    public void A_run_that_cannot_be_read_says_why(string row, string why)
    {
        var read = ReadingText.Read($"{TypedReader.Heads}\n{row}\n").Value;
        Assert.Empty(read.Runs);
        Assert.Contains(why, Assert.Single(read.Unread).Why, StringComparison.Ordinal);
    }
}
