namespace Altrin.Core.Sites;

/// <summary>A link between two ports.</summary>
/// <param name="Id">Slug, unique in the set-up.</param>
/// <param name="A">One end.</param>
/// <param name="B">The other end.</param>
/// <param name="Known">What is known of it.</param>
public sealed record Cable(string Id, PortRef A, PortRef B, CableFacts Known)
{
    /// <summary>The longest id, in characters: it may be made of its two ends.</summary>
    public const int LongestId = 260;

    /// <summary>How an id of a cable is written.</summary>
    public const string IdPattern = "^[a-z0-9][a-z0-9-]{0,259}$";

    /// <summary>Whether a text can be the id of a cable.</summary>
    public static bool IsId(string text) =>
        text.Length is > 0 and <= LongestId
        && text[0] != '-'
        && text.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-');

    /// <summary>What carries it.</summary>
    public Medium Medium => Known.Medium;

    /// <summary>Its length in metres; null where not measured.</summary>
    public double? LengthMetres => Known.LengthMetres;

    /// <summary>How many of its pairs are connected; null where not looked at.</summary>
    public int? Pairs => Known.Pairs;

    /// <summary>The run in the walls that it goes through; null for none.</summary>
    public string? Run => Known.Run;

    /// <summary>The end that is not <paramref name="end"/>.</summary>
    public PortRef OtherEnd(PortRef end) => A == end ? B : A;

    /// <summary>Whether it ends at a box, a device or the street.</summary>
    public bool Ends(string owner) => A.Owner == owner || B.Owner == owner;

    /// <summary>Whether it joins the same two ports, whichever end is called the first.</summary>
    public bool SameEnds(Cable other) => (A == other.A && B == other.B) || (A == other.B && B == other.A);
}

/// <summary>What is known of one cable, wherever it is plugged in.</summary>
/// <param name="Medium">What carries it.</param>
/// <param name="LengthMetres">Length in metres, more than 0 and at most <see cref="LongestMetres"/>; null where not measured.</param>
/// <param name="Pairs">How many pairs of a copper lead are connected, 2 or 4; null where not looked at.</param>
/// <param name="Run">The run in the walls that it goes through; null for none. What stands here then is said of the leads at its
/// ends.</param>
public sealed record CableFacts(Medium Medium, double? LengthMetres, int? Pairs, string? Run)
{
    /// <summary>The longest link that is taken, in metres; whether it works is judged elsewhere.</summary>
    public const double LongestMetres = 10_000;

    /// <summary>The shortest one, in metres.</summary>
    public const double ShortestMetres = 0.01;

    /// <summary>Why no cable is that long; null where one can be, or where it was not measured.</summary>
    public static string? WrongLength(double? metres) =>
        metres is { } length && !(length is >= ShortestMetres and <= LongestMetres)
            ? $"A length is more than 0 and at most {LongestMetres:0} metres."
            : null;

    /// <summary>A lead within a place (common practice).</summary>
    public static CableFacts Lead { get; } = new(Medium.Cat6, Cabling.LeadMetres, 4, null);

    /// <summary>A cable that was not looked at.</summary>
    public static CableFacts NotLookedAt { get; } = new(Medium.Unknown, null, null, null);
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
