using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>A name that a radio sends beside its first one, into the same network: for old devices, or one kept from before.</summary>
/// <param name="Name">The network's name (SSID), 1 to 32 bytes.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Password">Reference to the key; null when open or not recorded.</param>
public sealed record FurtherName(
    [property: Required, StringLength(Limits.WifiName, MinimumLength = 1)] string Name,
    [property: Required] WifiSecurity Security,
    [property: RegularExpression(Slugs.Pattern)] string? Password = null
)
{
    /// <summary>How many names one radio sends beside its first at most: boxes have room for 4 to 16 in all (common practice).</summary>
    public const int Most = 15;
}
