namespace Altrin.Web.Tests;

/// <summary>What was worked out last.</summary>
public sealed class RecentTests
{
    /// <summary>The one that was asked about last is never worked out again, however many came before it; the oldest are let go.</summary>
    [Theory]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(6)]
    public void The_last_one_is_remembered(int most)
    {
        var made = new List<int>();
        using var recent = new Recent<int, object>(most);
        object Of(int key) => recent.Of(key, () =>
            {
                made.Add(key);
                return new();
            });
        var keys = Enumerable.Range(0, 40).ToList();
        foreach (var key in keys)
        {
            Assert.Same(Of(key), Of(key));
        }
        Assert.Equal(keys, made);
        Of(0);
        Assert.Equal([.. keys, 0], made);
    }
}
