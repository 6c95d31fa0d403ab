using Altrin.Core.Procedures;

namespace Altrin.Core.Tests.Procedures;

/// <summary>Every way of working is asked for, with every answer that there is and what speaks for it.</summary>
public sealed class SchoolWordsTests
{
    [Fact]
    public void Every_way_is_asked_for_with_all_its_answers()
    {
        var ways = typeof(Ways)
            .GetProperties()
            .Where(p => p.CanWrite)
            .ToDictionary(p => p.Name, p => p.PropertyType, StringComparer.Ordinal);
        Assert.Equal(
            ways.Keys.Order(StringComparer.Ordinal),
            SchoolWords.All.SelectMany(s => s.Typed is { } typed ? [s.Way, typed.Way] : (string[])[s.Way]).Order(StringComparer.Ordinal)
        );
        Assert.Equal(SchoolWords.All.Count, SchoolWords.All.Select(s => s.Asks).Distinct().Count());
        foreach (var school in SchoolWords.All)
        {
            var type = ways[school.Way];
            object[] values = type == typeof(bool) ? [true, false] : [.. Enum.GetValues(type).Cast<object>()];
            Assert.Equal(values, school.Answers.Select(a => a.Value));
            Assert.True(school.Typed is null || values.Contains(school.Typed.With));
            // The usual one stands first.
            Assert.Equal(typeof(Ways).GetProperty(school.Way)!.GetValue(Ways.Usual), school.Answers[0].Value);
            Assert.Equal(school.Answers.Count, school.Answers.Select(a => a.Says).Distinct().Count());
            Assert.All(school.Answers, a => Assert.EndsWith(".", a.For, StringComparison.Ordinal));
        }
    }
}
