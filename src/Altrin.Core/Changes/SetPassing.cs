using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets to whom a gateway passes its public address; none where it keeps it.</summary>
public sealed record SetPassing(string Box, Passing? Passing) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "public address to pass on", router =>
            Edit.Unless<BoxMode>(
                Passing is { } passing ? PageChecks.WrongPassing(design.Box(Box)!, passing) : null,
                router with
                {
                    Passing = Passing is null
                        ? null
                        : Passing with
                        {
                            Port = Passing.Kind == PassKind.Port ? Passing.Port : null,
                            To = Passing.Kind == PassKind.Port ? null : Passing.To,
                        },
                }
            )
        );

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Passing switch
        {
            null => $"{design.NameOf(Box)} keeps its public address",
            { Kind: PassKind.Port } =>
                $"{design.NameOf(Box)} passes its public address through to port {design.Box(Box)?.Profile.Port(Passing.Port!)?.Label ?? Passing.Port}",
            { Kind: PassKind.MacAddress } => $"{design.NameOf(Box)} passes its public address through to {Passing.To}",
            _ => $"{design.NameOf(Box)} maps its public address to {Passing.To}",
        };

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Passing, Box)];
}
