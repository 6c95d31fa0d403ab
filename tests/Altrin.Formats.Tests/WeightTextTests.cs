using Altrin.Core.Planning;

namespace Altrin.Formats.Tests;

public sealed class WeightTextTests
{
    [Fact]
    public void Weights_are_read_as_they_are_named_and_told()
    {
        foreach (var (name, _, points) in PlanWeights.Usual.Told())
        {
            var text = $"{WayText.Said(name)}={WeightText.Points(points + 0.5)}";
            var read = WeightText.Of([text]).Value;
            Assert.Equal(points + 0.5, read.Told().Single(w => w.Name == name).Points);
            Assert.Equal([text], WeightText.Tidy(read, [$" {name.ToUpperInvariant()} = 1", text]));
            Assert.True(WeightText.Names(text));
        }
        Assert.False(WeightText.Names("further=cascade"));
    }

    [Theory]
    [InlineData("radioHop")]
    [InlineData("radioHop=")]
    [InlineData("radioHop=-1")]
    [InlineData("radioHop=1e3")]
    [InlineData("radioHop=1,5")]
    [InlineData("radioHop=10000.1")]
    [InlineData("radioHop=NaN")]
    public void What_is_no_number_of_points_is_refused(string text) =>
        Assert.Equal($"'{text}' is no weight: radioHop= and points are expected, 0 to 10,000.", WeightText.Of([text]).Error);

    [Fact]
    public void An_unknown_name_is_told_the_known_ones() =>
        Assert.StartsWith("'speed=5' is no weight; missed, willNotWork, ", WeightText.Of(["speed=5"]).Error, StringComparison.Ordinal);
}
