using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>Who gets a gateway's public address.</summary>
internal static class Passer
{
    /// <summary>Whether a gateway passes its public address to what is plugged into one of its ports by a cable.</summary>
    public static bool Passes(Design design, PortRef end, Cable cable)
    {
        if (
            design.Mode(end.Owner) is not RouterMode { Passing: { } passing }
            || design.Box(end.Owner)?.Profile.Port(end.Port) is not { Role: PortRole.Lan }
        )
        {
            return false;
        }
        var other = cable.OtherEnd(end);
        return passing.Kind == PassKind.Port ? passing.Port == end.Port
            : design.Device(other.Owner) is { } device ? device.Mac is { } own && own == passing.To
            : design.Box(other.Owner) is { } box
                && box.Profile.Port(other.Port)?.Role == PortRole.Wan
                && box.WanMac is { } outer
                && outer == passing.To;
    }

    /// <summary>The cable by which a gateway's public address goes on; null where it goes nowhere.</summary>
    public static Cable? CableOf(Design design, string gateway) =>
        design.Mode(gateway) is not RouterMode { Passing: not null }
            ? null
            : design.SetUp.Cables.FirstOrDefault(c =>
                (c.A.Owner == gateway && Passes(design, c.A, c)) || (c.B.Owner == gateway && Passes(design, c.B, c))
            );

    /// <summary>Whether a host is handed the public address of a gateway.</summary>
    public static bool HandsTo(Design design, string owner) =>
        design.SetUp.Boxes.Any(b => b.Box != owner && CableOf(design, b.Box)?.Ends(owner) == true);
}
