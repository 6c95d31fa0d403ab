namespace Altrin.Core.Findings.Rules;

/// <summary>The password of a box's page is that of a Wi-Fi.</summary>
public static class AdminPasswordShared
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "admin-password-shared",
            "password of its page known",
            "The admin password of a box is the password of a Wi-Fi.",
            "Anyone who was given the Wi-Fi password can change the network.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e)
    {
        // Equal values share one reference within a job.
        var wifi = e
            .Design.SetUp.Boxes.SelectMany(b => Sites.Air.Of(e.Design, b.Box))
            .Select(a => a.Setting.Password)
            .OfType<string>()
            .ToHashSet(StringComparer.Ordinal);
        return e
            .Design.SetUp.Boxes.Where(b => b.Password is { } own && wifi.Contains(own))
            .Select(b =>
                e.Finding(
                    Rule,
                    [b.Box],
                    $"The admin password of {e.Name(b.Box)} is a Wi-Fi password too",
                    "Visitors and children who know the Wi-Fi can open its page.",
                    [],
                    ["Give its page a password of its own, and note it; it can be made beside the field."]
                )
            );
    }
}
