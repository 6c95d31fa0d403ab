namespace Altrin.Core.Sites;

/// <summary>The id of a router's guest network, as a segment and as a DHCP server.</summary>
public static class GuestId
{
    private const string Mark = ":guest";

    /// <summary>The id of the guest network of a box.</summary>
    public static string Of(string box) => box + Mark;

    /// <summary>The box whose guest network an id names; null where it names something else.</summary>
    public static string? BoxOf(string id) => id.EndsWith(Mark, StringComparison.Ordinal) ? id[..^Mark.Length] : null;
}
