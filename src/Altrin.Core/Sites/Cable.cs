namespace Altrin.Core.Sites;

/// <summary>A link between two ports.</summary>
/// <param name="Id">Slug, unique in the set-up.</param>
/// <param name="A">One end.</param>
/// <param name="B">The other end.</param>
/// <param name="Medium">What carries it.</param>
/// <param name="LengthMetres">Length in metres; null where not measured.</param>
public sealed record Cable(string Id, PortRef A, PortRef B, Medium Medium, double? LengthMetres)
{
    /// <summary>How many pairs of a copper lead are connected, 2 or 4; null where not looked at.</summary>
    public int? Pairs { get; init; }

    /// <summary>The run in the walls that it goes through; null for none. What stands here then is said of the leads at its ends.</summary>
    public string? Run { get; init; }

    /// <summary>The end that is not <paramref name="end"/>.</summary>
    public PortRef OtherEnd(PortRef end) => A == end ? B : A;

    /// <summary>Whether it ends at somebody.</summary>
    public bool Ends(string owner) => A.Owner == owner || B.Owner == owner;
}

/// <summary>What carries a link.</summary>
public enum Medium
{
    /// <summary>Not looked at.</summary>
    Unknown,
    /// <summary>Copper, category 5.</summary>
    Cat5,
    /// <summary>Copper, category 5e.</summary>
    Cat5e,
    /// <summary>Copper, category 6.</summary>
    Cat6,
    /// <summary>Copper, category 6A.</summary>
    Cat6a,
    /// <summary>Optical fibre.</summary>
    Fibre,
    /// <summary>The mains wiring, by a powerline pair.</summary>
    Powerline,
    /// <summary>Television cable, by a coax pair.</summary>
    Coax,
}

/// <summary>A place to plug something in: a port of a box, a customer's device, or the street.</summary>
/// <param name="Owner">Id of the box or device; <see cref="Street"/> for the provider's end.</param>
/// <param name="Port">Port id on a box; empty for a device or the street, which have one.</param>
public readonly record struct PortRef(string Owner, string Port) : IComparable<PortRef>
{
    /// <summary>The owner that stands for the provider's line. No box or device may be called so.</summary>
    public const string Street = "street";

    /// <summary>The provider's end of the line.</summary>
    public static readonly PortRef AtStreet = new(Street, "");

    /// <summary>The one socket of a customer's device.</summary>
    public static PortRef OfDevice(string device) => new(device, "");

    /// <summary>Reads "loft-router/wan", "printer" or "street".</summary>
    public static PortRef Read(string text)
    {
        var stroke = text.IndexOf('/', StringComparison.Ordinal);
        return stroke < 0 ? new(text, "") : new(text[..stroke], text[(stroke + 1)..]);
    }

    /// <inheritdoc/>
    public int CompareTo(PortRef other)
    {
        var byOwner = string.CompareOrdinal(Owner, other.Owner);
        return byOwner != 0 ? byOwner : string.CompareOrdinal(Port, other.Port);
    }

    /// <summary>Owner, stroke, port; the owner alone where there is no port.</summary>
    public override string ToString() => Port.Length == 0 ? Owner : $"{Owner}/{Port}";
}
