using System.Globalization;
using System.Reflection;
using Altrin.Core.Addressing;
using Altrin.Core.Planning;

namespace Altrin.Formats;

/// <summary>One weight of what speaks against options as it is typed, such as "radioHop=40".</summary>
public static class WeightText
{
    private static readonly IReadOnlyList<(PropertyInfo Weight, string Name, string Says)> All =
    [
        .. PlanWeights.Usual.Told().Select(w => (typeof(PlanWeights).GetProperty(w.Name)!, WayText.Said(w.Name), w.Says)),
    ];

    /// <summary>The name of every weight.</summary>
    public static IReadOnlyList<string> Known { get; } = [.. All.Select(w => w.Name)];

    /// <summary>Whether a text names a weight, whatever it says of it.</summary>
    public static bool Names(string text) => Find(text) is not null;

    /// <summary>The usual weights with each of some set as typed; or what was expected of the first that is none.</summary>
    /// <param name="texts">Each a name, an equals sign and points.</param>
    public static Parsed<PlanWeights> Of(IEnumerable<string> texts) =>
        texts.Aggregate((Parsed<PlanWeights>)PlanWeights.Usual, (weights, text) => weights.Then(w => Set(w, text)));

    /// <summary>Weights that were typed as they are named here, each once: the last of several counts.</summary>
    /// <param name="weights">All of them, as they were read.</param>
    /// <param name="texts">Each a name, an equals sign and points.</param>
    public static IReadOnlyList<string> Tidy(PlanWeights weights, IEnumerable<string> texts)
    {
        var named = texts.Select(Find).ToHashSet();
        return [.. All.Where(w => named.Contains(w.Name)).Select(w => $"{w.Name}={Points((double)w.Weight.GetValue(weights)!)}")];
    }

    /// <summary>Points as they are typed.</summary>
    public static string Points(double points) => points.ToString(CultureInfo.InvariantCulture);

    private static Parsed<PlanWeights> Set(PlanWeights weights, string text)
    {
        if (Find(text) is not { } name)
        {
            return Parsed<PlanWeights>.Fail($"'{text}' is no weight; {string.Join(", ", Known)} are.");
        }
        var points = text.Split('=', 2, StringSplitOptions.TrimEntries)[^1];
        if (
            !double.TryParse(points, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value)
            || value is not (>= 0 and <= PlanWeights.Most)
        )
        {
            return Parsed<PlanWeights>.Fail(
                $"'{text}' is no weight: {name}= and points are expected, 0 to {PlanWeights.Most.ToString("#,0", CultureInfo.InvariantCulture)}."
            );
        }
        var set = weights with { };
        All.First(w => w.Name == name).Weight.SetValue(set, value);
        return set;
    }

    private static string? Find(string text)
    {
        var typed = text.Split('=')[0].Trim();
        return All.FirstOrDefault(w => string.Equals(w.Name, typed, StringComparison.OrdinalIgnoreCase)).Name;
    }
}
