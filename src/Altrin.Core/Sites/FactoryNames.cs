namespace Altrin.Core.Sites;

/// <summary>What a box calls its Wi-Fi after a reset.</summary>
public static class FactoryNames
{
    /// <summary>
    /// By its label, else by the pattern of its kind with the last digits of its MAC address, or question marks where that was
    /// not read; else its own id stands for the name that was not read yet.
    /// </summary>
    public static string Of(Box box) =>
        box.Label.WifiName
        ?? (
            box.Profile.Traits.NamePattern is { } pattern
                ? Cut(
                    pattern
                        .Replace("{last4}", box.Mac?.LastFour ?? "????", StringComparison.Ordinal)
                        .Replace("{digits}", "????", StringComparison.Ordinal)
                )
                : Cut(box.Id)
        );

    private static string Cut(string name) => name.Length > Limits.WifiName ? name[..Limits.WifiName] : name;
}
