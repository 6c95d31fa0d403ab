using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>The homes that are held to the kernel, by family: what is approved of them is approved of homes that were measured.</summary>
internal static class Families
{
    public static IReadOnlyDictionary<string, Design> Of(string family) =>
        family switch
        {
            "techniques" => FixedDesigns.Techniques,
            "traps" => FixedDesigns.Traps,
            "radio" => RadioDesigns.All,
            _ => throw new ArgumentOutOfRangeException(nameof(family), family, "techniques, traps or radio"),
        };
}
