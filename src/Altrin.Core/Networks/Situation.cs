using Altrin.Core.Sites;

namespace Altrin.Core.Networks;

/// <summary>What a design does not say: what is powered and linked just now.</summary>
/// <param name="Off">Ids of boxes and devices that have no power and of cables that are pulled, in ordinal order.</param>
public sealed record Situation(IReadOnlyList<string> Off)
{
    /// <summary>Everything on, nothing remembered: what Plan and Proof judge.</summary>
    public static Situation Settled { get; } = new([]);

    /// <summary>Everything on but the named ones; an id that the design does not have is answered as an error by name.</summary>
    public static Addressing.Parsed<Situation> Without(Design design, IEnumerable<string> ids)
    {
        var off = ids.Distinct().Order(StringComparer.Ordinal).ToList();
        var unknown = off.FirstOrDefault(id => design.Box(id) is null && design.Device(id) is null && design.SetUp.Cables.All(c => c.Id != id));
        return unknown is null
            ? new Situation(off)
            : Addressing.Parsed<Situation>.Fail($"There is no box, device or cable '{Addressing.Ipv4Address.Shown(unknown)}'.");
    }
}
