using Altrin.Core.Comparisons;
using Altrin.Core.Sites;

namespace Altrin.Core.Tests.Comparisons;

/// <summary>What a look from outside proves of the line.</summary>
public sealed class OutsideViewTests
{
    /// <summary>
    /// The table of the outside view: what is seen, what the box has, whether something beyond translates, and what must be said.
    /// </summary>
    [Theory]
    [InlineData("203.0.113.80", "203.0.113.80", Known.No, "Only a connection opened from outside proves")]
    [InlineData("203.0.113.80", "203.0.113.80", Known.No, "share one public address by ports")]
    [InlineData("203.0.113.80", "203.0.113.81", Known.Yes, "asked another way")]
    [InlineData("203.0.113.80", "10.4.0.7", Known.Yes, "the building, or the provider")]
    [InlineData("203.0.113.80", "192.168.1.10", Known.Yes, "Whose NAT it is, is not known")]
    [InlineData("203.0.113.80", "100.64.3.3", Known.Yes, "opened from inside")]
    [InlineData("203.0.113.80", "192.0.0.2", Known.Yes, "opened from inside")]
    [InlineData("203.0.113.80", "169.254.3.3", Known.Unknown, "the box has none at its WAN side")]
    [InlineData("203.0.113.80", null, Known.Unknown, "Read the WAN address")]
    [InlineData("192.168.1.1", "203.0.113.80", Known.Unknown, "no address of the internet")]
    [InlineData(null, "203.0.113.80", Known.Unknown, "IPv6")]
    [InlineData(null, "10.4.0.7", Known.Yes, "Whose NAT it is, is not known")]
    public void The_outside_view_says(string? seen, string? wan, Known beyond, string unproven)
    {
        var view = OutsideView.Of(seen is null ? null : Home.At(seen), wan is null ? null : Home.At(wan), 2);
        Assert.Equal(beyond, view.Beyond);
        Assert.Contains(view.Unproven, u => u.Contains(unproven, StringComparison.Ordinal));
        Assert.Equal(beyond != Known.Unknown, view.Translations.StartsWith("Double NAT in the home", StringComparison.Ordinal));
    }
}
