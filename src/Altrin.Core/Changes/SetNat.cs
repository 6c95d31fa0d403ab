using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Lets a router translate between its sides, or route without it.</summary>
public sealed record SetNat(string Box, bool On) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<RouterMode>(design, Box, "NAT", router => router with { Nat = On });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"NAT of {design.NameOf(Box)} {(On ? "on" : "off")}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Nat, Box)];
}
