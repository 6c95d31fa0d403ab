using System.Reflection;
using System.Text.Json;
using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Procedures;

namespace Altrin.Formats;

/// <summary>One way of an installer as it is typed, such as "password=last": named and valued as in a list of acts.</summary>
public static class WayText
{
    private static readonly IReadOnlyList<(PropertyInfo Way, string Name, IReadOnlyList<(string Text, object Value)> Values)> All =
    [
        .. typeof(Ways)
            .GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.CanWrite)
            .Select(p => (p, Said(p.Name), (IReadOnlyList<(string, object)>)[.. Values(p.PropertyType)])),
    ];

    /// <summary>Every way with what it may be.</summary>
    public static IReadOnlyList<string> Known { get; } =
    [.. All.Select(w => $"{w.Name}={(IsTyped(w.Way) ? "ADDRESSES" : string.Join('|', w.Values.Select(v => v.Text)))}")];

    /// <summary>The usual ways with each of some set as typed; or what was expected of the first that is none.</summary>
    /// <param name="texts">Each a name, an equals sign and a value.</param>
    public static Parsed<Ways> Of(IEnumerable<string> texts) =>
        texts.Aggregate((Parsed<Ways>)Ways.Usual, (ways, text) => ways.Then(w => Set(w, text)));

    /// <summary>Ways with one of them set as typed, capitals or not; or what was expected.</summary>
    /// <param name="ways">The ways.</param>
    /// <param name="text">Name, equals sign, value.</param>
    public static Parsed<Ways> Set(Ways ways, string text)
    {
        var parts = text.Split('=', 2, StringSplitOptions.TrimEntries);
        var way = All.FirstOrDefault(w => Same(w.Name, parts[0]));
        if (parts.Length == 2 && way.Way is not null && IsTyped(way.Way))
        {
            return Addresses(parts[1]).Then(typed => With(ways, way.Way, typed));
        }
        var value = parts.Length == 2 && way.Way is not null ? way.Values.FirstOrDefault(v => Same(v.Text, parts[1])).Value : null;
        if (value is null)
        {
            var expected = way.Way is null ? Known : [Known[All.TakeWhile(w => w.Name != way.Name).Count()]];
            return Parsed<Ways>.Fail(
                $"'{text}' is no way of working; {string.Join(", ", expected)} {(expected.Count > 1 ? "are" : "is")}."
            );
        }
        return With(ways, way.Way!, value);
    }

    private static Parsed<Ways> With(Ways ways, PropertyInfo way, object value)
    {
        var set = ways with { };
        way.SetValue(set, value);
        return set;
    }

    private static bool IsTyped(PropertyInfo way) => way.PropertyType == typeof(string);

    /// <summary>Addresses with commas or spaces between, as they are kept; or what was expected.</summary>
    private static Parsed<string> Addresses(string text)
    {
        var parts = text.Split([' ', ',', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        var read = parts.Select(Ipv4Address.Parse).ToList();
        var wrong = read.Where(a => !a.Ok).Select(a => a.Error).FirstOrDefault()
            ?? PageChecks.TooMany([.. read.Select(a => a.Value)])
            ?? read.Select(a => PageChecks.WrongHost(a.Value)).FirstOrDefault(w => w is not null);
        return wrong is not null ? Parsed<string>.Fail(wrong) : string.Join(' ', read.Select(a => a.Value).Distinct());
    }

    /// <summary>
    /// Ways that were typed as they are named and valued here, each once: the last of several answers to one question counts.
    /// </summary>
    /// <param name="ways">All of them, as they were read.</param>
    /// <param name="texts">Each a name, an equals sign and a value.</param>
    public static IReadOnlyList<string> Tidy(Ways ways, IEnumerable<string> texts)
    {
        var named = texts.Select(t => t.Split('=')[0].Trim()).ToHashSet(StringComparer.OrdinalIgnoreCase);
        return [.. All.Where(w => named.Contains(w.Name)).Select(w => $"{w.Name}={Said($"{w.Way.GetValue(ways)}")}")];
    }

    private static IEnumerable<(string, object)> Values(Type type) =>
        type == typeof(bool) ? [("true", true), ("false", false)]
        : type == typeof(string) ? []
        : Enum.GetValues(type).Cast<object>().Select(v => (Said($"{v}"), v));

    /// <summary>A name of the code as it is typed: "LanToLan" as "lanToLan".</summary>
    public static string Said(string name) => JsonNamingPolicy.CamelCase.ConvertName(name);

    private static bool Same(string a, string b) => string.Equals(a, b, StringComparison.OrdinalIgnoreCase);
}
