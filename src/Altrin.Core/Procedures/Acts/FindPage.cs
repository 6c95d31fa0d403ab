using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>A page is found again by the MAC address of its box, in the laptop's address table or a list of leases.</summary>
/// <param name="Box">Whose.</param>
public sealed record FindPage(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        Running(now, Box)
            .Then(box =>
                box.Mac is null && box.WanMac is null
                    ? Refused($"The MAC address of {box.Name} is not read: read its label first.")
                    : PageOpens
                        .AddressOf(now, Box)
                        .Then(at =>
                            PageOpens.At(now, Box, at) is { Ok: false, Error: var why }
                                ? Refused($"{box.Name} is not in the laptop's address table: {why}")
                                : One(now, Durations.Search, l => l with { Found = [.. l.Found.Where(f => f.Box != Box), new(at, Box)] })
                        )
            );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Find the page of {design.NameOf(Box)} by its MAC address";
}
