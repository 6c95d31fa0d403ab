using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets the domain name that a router's DHCP server hands out; none for no domain.</summary>
public sealed record SetServerDomain(string Box, string? Domain) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Server(design, Box, router => Edit.Unless(PageChecks.WrongDomain(Domain), router.Server with { Domain = Domain }));

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        $"{design.NameOf(Box)} hands out {(Domain is null ? "no domain" : $"the domain {Domain}")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.HandedDomain, Box)];
}
