using System.Globalization;

namespace Altrin.Core.Changes;

/// <summary>How spans of time are said.</summary>
public static class TimeWords
{
    private static readonly (string Name, long Seconds)[] Units = [("day", 86_400), ("hour", 3600), ("minute", 60), ("second", 1)];

    /// <summary>
    /// A span in its largest unit and, where that leaves a rest, the next smaller ones that are not zero, such as "1 hour 30 minutes";
    /// parts of a second are left out, and nothing is "0 seconds". Days are said only where the span is whole days.
    /// </summary>
    /// <param name="seconds">Whole seconds, 0 or more.</param>
    public static string Of(long seconds)
    {
        if (seconds == 0)
        {
            return "0 seconds";
        }
        var parts = new List<string>();
        foreach (var (name, size) in Units)
        {
            if (name == "day" && seconds % size != 0)
            {
                continue;
            }
            var count = seconds / size;
            seconds %= size;
            if (count > 0)
            {
                parts.Add($"{count.ToString(CultureInfo.InvariantCulture)} {name}{(count == 1 ? "" : "s")}");
            }
        }
        return string.Join(' ', parts);
    }

    /// <summary>The same for a span.</summary>
    public static string Of(TimeSpan time) => Of((long)time.TotalSeconds);
}
