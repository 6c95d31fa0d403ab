using System.Globalization;

namespace Altrin.Core.Sites;

/// <summary>The id of a VLAN that leads to no router's network: the box in it, a colon, "vlan" and the tag.</summary>
public static class VlanId
{
    /// <summary>The id.</summary>
    public static string Of(string box, int tag) => string.Create(CultureInfo.InvariantCulture, $"{box}:vlan{tag}");

    /// <summary>Box and tag of such an id; null for any other.</summary>
    public static (string Box, string Tag)? Read(string id) =>
        id.IndexOf(":vlan", StringComparison.Ordinal) is var at and > 0 ? (id[..at], id[(at + 5)..]) : null;
}
