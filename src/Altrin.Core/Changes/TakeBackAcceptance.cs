using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Takes the word back that a finding may stay.</summary>
public sealed record TakeBackAcceptance(string Finding) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        design.SetUp.Accepted.All(a => a.Finding != Finding)
            ? Parsed<SetUp>.Fail($"'{Ipv4Address.Shown(Finding)}' is not accepted.")
            : design.SetUp with
            {
                Accepted = [.. design.SetUp.Accepted.Where(a => a.Finding != Finding)],
            };

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{Sentence.Capital(AcceptanceWords.Of(design, Finding))} is no longer accepted";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => AcceptanceWords.Subjects(Finding);

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Acceptance, Finding)];
}
