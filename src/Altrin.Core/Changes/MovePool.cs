using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Moves one end of a router's pool, or both; both are included, and an end that is not given stays.</summary>
public sealed record MovePool(string Box) : Change
{
    /// <summary>The first address; null to leave it.</summary>
    public Ipv4Address? First { get; init; }

    /// <summary>The last address; null to leave it.</summary>
    public Ipv4Address? Last { get; init; }

    /// <summary>Moves both ends.</summary>
    public static MovePool To(string box, AddressRange pool) => new(box) { First = pool.First, Last = pool.Last };

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Server(design, Box, router =>
        {
            var (first, last) = (First ?? router.Server.Pool.First, Last ?? router.Server.Pool.Last);
            return First is null && Last is null
                    ? Parsed<DhcpServerSetting>.Fail("The first or the last address of the pool is expected, or both.")
                : first > last ? Parsed<DhcpServerSetting>.Fail($"The pool would begin at {first}, behind its end {last}.")
                : Edit.Unless(
                    PageChecks.WrongPool(AddressRange.Between(first, last), router.Lan),
                    router.Server with
                    {
                        Pool = AddressRange.Between(first, last),
                    }
                );
        });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        (First, Last) switch
        {
            ({ } first, { } last) => $"Pool of {design.NameOf(Box)} is {first}-{last}",
            ({ } first, null) => $"Pool of {design.NameOf(Box)} begins at {first}",
            (null, { } last) => $"Pool of {design.NameOf(Box)} ends at {last}",
            _ => $"Pool of {design.NameOf(Box)} stays",
        };

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [.. First is null ? (Touch[])[] : [new(Setting.PoolFirst, Box)], .. Last is null ? (Touch[])[] : [new(Setting.PoolLast, Box)]];
}
