using System.CommandLine;
using Altrin.Core.Procedures;
using Altrin.Formats;

namespace Altrin.Cli;

/// <summary>"--way NAME=VALUE": how the installer goes about it.</summary>
internal static class WayOption
{
    public static Option<string[]> Make() =>
        new("--way") { Description = $"How you go about it, once for each: {string.Join(", ", WayText.Known)}.", HelpName = "NAME=VALUE" };

    /// <summary>The usual ways with what was typed; null where one of them is none, which is said.</summary>
    public static Ways? Read(IEnumerable<string> typed, TextWriter errors)
    {
        var ways = WayText.Of(typed);
        if (!ways.Ok)
        {
            errors.WriteLine($"altrin: --way {ways.Error}");
        }
        return ways.Ok ? ways.Value : null;
    }
}
