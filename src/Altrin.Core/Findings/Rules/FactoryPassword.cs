using Altrin.Core.Sites;

namespace Altrin.Core.Findings.Rules;

/// <summary>A box is left with the admin password that all of its kind have.</summary>
public static class FactoryPassword
{
    /// <summary>The rule.</summary>
    public static Rule Rule { get; } =
        new(
            "factory-password",
            "factory password",
            "A box in use has the admin password of the factory, which is the same for all of its kind.",
            "Anyone in the network can look it up and change the box.",
            "common practice",
            Judge
        );

    private static IEnumerable<Finding> Judge(Evidence e) =>
        e
            .Design.SetUp.Boxes.Where(b =>
                b.Password is { } today
                && e.Design.Box(b.Box) is { } box
                && box.Label.Password == today
                && box.Profile.Traits.Login == LoginHabit.SameForAll
            )
            .Select(b =>
                e.Finding(
                    Rule,
                    [b.Box],
                    $"{e.Name(b.Box)} still has the admin password of the factory",
                    "Nothing, until someone uses it.",
                    [],
                    ["Set a password of its own on its page, and note it; it can be made beside the field."]
                )
            );
}
