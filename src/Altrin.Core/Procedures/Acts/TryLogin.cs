using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>The login of a box is tried: where it is not recorded, it may fail.</summary>
/// <param name="Box">Which.</param>
public sealed record TryLogin(string Box) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        PageOpens.Of(now, Box).Then(box => Login.Lacking(now, box) is null ? Works(now) : Works(now).Then(works => OrNot(now, works[0])));

    private Parsed<IReadOnlyList<Outcome>> Works(State now) =>
        One(now, Durations.Open, l => l with { Logins = [.. l.Logins.Append(Box).Distinct()] });

    private static Parsed<IReadOnlyList<Outcome>> OrNot(State now, Outcome works) =>
        One(now, Durations.Open)
            .Then<IReadOnlyList<Outcome>>(fails =>
                new[] { works with { If = "the login works" }, fails[0] with { If = "the login does not work" } }
            );

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Try the login of {design.NameOf(Box)}";
}
