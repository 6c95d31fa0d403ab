using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets how long the leases of a router's DHCP server last, in minutes; none where it was not read.</summary>
public sealed record SetLeaseTime(string Box, int? Minutes) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router => Edit.Unless(PageChecks.WrongLeaseTime(Minutes), router.Server with { LeaseMinutes = Minutes }));

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"Leases of {design.NameOf(Box)} last {(Minutes is { } minutes ? $"{minutes} minutes" : "as long as they do")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.LeaseTime, Box)];
}
