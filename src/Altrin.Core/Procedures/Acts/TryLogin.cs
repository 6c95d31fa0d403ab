using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The login of a box is tried: where it is not recorded, it may fail.</summary>
/// <param name="Box">Which.</param>
public sealed record TryLogin(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        PageOpens
            .Of(now, Box)
            .Then(box =>
                One(now, Durations.Open, l => l with { Logins = [.. l.Logins.Append(Box).Distinct()] })
                    .Then<IReadOnlyList<Outcome>>(works =>
                        Login.Lacking(now, box) is null
                            ? Parsed<IReadOnlyList<Outcome>>.Of(works)
                            : After(now, Durations.Open, l => l)
                                .Then<IReadOnlyList<Outcome>>(fails =>
                                    new[]
                                    {
                                        works[0] with
                                        {
                                            If = "the login works",
                                        },
                                        new Outcome(fails, Durations.Open) { If = "the login does not work" },
                                    }
                                )
                    )
            );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Try the login of {design.NameOf(Box)}";
}
