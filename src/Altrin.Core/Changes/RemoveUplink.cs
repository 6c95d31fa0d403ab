using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Takes the radio link of a router away.</summary>
public sealed record RemoveUplink(string Box) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<BoxMode>(design, Box, "radio link of its own", mode => mode switch
            {
                RouterMode { Uplink: not null } router => router with { Uplink = null },
                { Joins: not null } => Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} lives by its radio link; set another mode."),
                _ => Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} joins no box by radio."),
            });

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{design.NameOf(Box)} joins no box by radio";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Uplink, Box)];
}
