using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets how a router's WAN side comes by its address.</summary>
public sealed record SetWan(string Box, HostAddress Address) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "WAN side", router =>
            Edit.Unless<BoxMode>(PageChecks.WrongHostAddress(Address), router with { Wan = Address })
        );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"The WAN side of {design.NameOf(Box)} {AddressWords.Gets(Address)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Wan, Box)];
}
