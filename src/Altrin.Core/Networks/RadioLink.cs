using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>A box that joins another one by radio.</summary>
/// <param name="Box">Who joins.</param>
/// <param name="To">Whom.</param>
/// <param name="Link">The link's id: "radio:" and the box.</param>
/// <param name="Frames">How it carries what others behind it send.</param>
/// <param name="Segment">The segment that it is part of.</param>
/// <param name="Behind">Everything that is cut off from the other box without it.</param>
/// <param name="Rivals">Other boxes that it may join instead, since they send the same name and let it in.</param>
public sealed record RadioLink(
    string Box,
    string To,
    string Link,
    UplinkFrames Frames,
    string Segment,
    IReadOnlySet<Group> Behind,
    IReadOnlyList<string> Rivals
)
{
    /// <summary>Whether its password is not recorded at one of its ends: whether it stands is then not known.</summary>
    public bool KeyOpen { get; init; }

    /// <summary>The id of the link by which a box joins another.</summary>
    public static string IdOf(string box) => $"radio:{box}";

    /// <summary>Whether a side of a host is behind it.</summary>
    public bool Holds(Interface side) => Behind.Contains(Group.Of(side));

    /// <summary>Whether only one of two sides of its segment is behind it: what they say to each other crosses it.</summary>
    public bool Between(Interface a, Interface b) => Holds(a) != Holds(b);
}

/// <summary>Why a box does not join another by radio.</summary>
/// <param name="Box">Who should join.</param>
/// <param name="To">Whom.</param>
/// <param name="Name">The name that it looks for; empty for a satellite, which looks for its kit.</param>
/// <param name="Why">What stands in the way.</param>
public sealed record LinkRefusal(string Box, string To, string Name, RefusalReason Why);
