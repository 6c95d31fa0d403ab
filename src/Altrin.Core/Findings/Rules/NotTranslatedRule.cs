using Altrin.Core.Changes;
using Altrin.Core.Facts;

namespace Altrin.Core.Findings.Rules;

/// <summary>A router at the street that does not translate.</summary>
public static class NotTranslatedRule
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } = new(
        CauseCodes.NotTranslated,
        "nobody translates",
        "Addresses of the home go out to the provider as they are.",
        "The provider drops private addresses: nothing inside gets an answer.",
        "RFC 1918, RFC 3022",
        Judge);

    private static IEnumerable<Finding> Judge(Evidence e) => e.Cited(CauseCodes.NotTranslated).Select(cause => e.Finding(
        CauseCodes.NotTranslated,
        cause.Subjects,
        $"{e.Names(cause.Subjects)} sends addresses of the home to the provider untranslated",
        "Nothing behind it gets an answer from the internet.",
        cause.Subjects.Where(s => e.Network.Router(s) is { Translates: false }).Select(s => Cures.Hopeful($"Let {e.Name(s)} translate", new SetTranslation(s, true)))));
}
