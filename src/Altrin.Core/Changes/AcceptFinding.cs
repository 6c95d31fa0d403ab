using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Lets a finding stay, with a reason and a name. Replaces an older word on the same finding.</summary>
public sealed record AcceptFinding(string Finding, bool Severe, string Reason, string By) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design)
    {
        var wrong = WrongText("reason", Reason, Acceptance.LongestReason)
            ?? WrongText("name", By, Acceptance.LongestName)
            ?? (Finding.Length is 0 or > Acceptance.LongestFinding ? "A finding is named by its identity." : null)
            ?? (
                design.SetUp.Accepted.Count(a => a.Finding != Finding) >= Acceptance.Most
                    ? $"At most {Acceptance.Most} findings are accepted in one set-up."
                    : null
            );
        return Edit.Unless(
            wrong,
            design.SetUp with
            {
                Accepted = [.. design.SetUp.Accepted.Where(a => a.Finding != Finding), new(Finding, Severe, Reason.Trim(), By.Trim())],
            }
        );
    }

    /// <inheritdoc/>
    public override string Describe(Design design) => $"{By.Trim()} accepts {AcceptanceWords.Of(design, Finding)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => AcceptanceWords.Subjects(Finding);

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Acceptance, Finding)];

    private static string? WrongText(string what, string text, int longest) =>
        string.IsNullOrWhiteSpace(text) ? $"A {what} is needed."
        : text.Trim().Length > longest ? $"A {what} has at most {longest} characters."
        : null;
}
