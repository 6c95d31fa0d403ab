using System.ComponentModel.DataAnnotations;

namespace Altrin.Core.Sites;

/// <summary>A link that a measured way went over.</summary>
/// <param name="Link">The cable's id; "radio:" and the box that joined for a radio link.</param>
/// <param name="Medium">What the cable was; null by radio.</param>
public sealed record WayLink([property: Required, StringLength(WayLink.Longest, MinimumLength = 1)] string Link, Medium? Medium = null)
{
    /// <summary>The longest id of a link, in characters.</summary>
    public const int Longest = 80;

    /// <summary>How many links of one way are kept.</summary>
    public const int Most = 64;
}
