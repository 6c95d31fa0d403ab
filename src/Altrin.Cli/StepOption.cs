using System.CommandLine;
using System.Globalization;

namespace Altrin.Cli;

/// <summary>Options that take the number of an act.</summary>
internal static class StepOption
{
    /// <summary>An option; what is no whole number is refused in plain words.</summary>
    public static Option<int?> Make(string name, string description) =>
        new(name)
        {
            Description = description,
            HelpName = "N",
            CustomParser = typed =>
            {
                if (int.TryParse(typed.Tokens[0].Value, CultureInfo.InvariantCulture, out var number))
                {
                    return number;
                }
                typed.AddError($"{name} is the number of an act, not '{typed.Tokens[0].Value}'.");
                return null;
            },
        };
}
