using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Records which password the page of a box has now, by reference; none where it is not recorded.</summary>
public sealed record SetPagePassword(string Box, string? Password) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        PageChecks.WrongKeyReference(Password) is { } wrong
            ? Parsed<SetUp>.Fail(wrong)
            : Edit.InUse(design, Box, s => s with { Password = Password });

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Password is null ? $"The password of {design.NameOf(Box)} is not recorded" : $"{design.NameOf(Box)} has another password";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.AdminPassword, Box)];
}
