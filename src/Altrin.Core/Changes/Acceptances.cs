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
    public override string Describe(Design design) =>
        $"{char.ToUpperInvariant(AcceptanceWords.Of(design, Finding)[0])}{AcceptanceWords.Of(design, Finding)[1..]} is no longer accepted";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => AcceptanceWords.Subjects(Finding);

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Acceptance, Finding)];
}

/// <summary>Words for a finding of which only the identity is known.</summary>
internal static class AcceptanceWords
{
    /// <summary>Words of codes that are not written in small letters.</summary>
    private static readonly Dictionary<string, string> Written = new(StringComparer.Ordinal)
    {
        ["dhcp"] = "DHCP",
        ["dmz"] = "DMZ",
        ["dns"] = "DNS",
        ["ipv6"] = "IPv6",
        ["nat"] = "NAT",
        ["tv"] = "TV",
        ["upnp"] = "UPnP",
        ["wan"] = "WAN",
        ["wifi"] = "Wi-Fi",
    };

    /// <summary>"double NAT at Loft router": the code with its hyphens as blanks, and the names of its subjects.</summary>
    public static string Of(Design design, string identity)
    {
        var open = identity.IndexOf('(', StringComparison.Ordinal);
        if (open <= 0)
        {
            return "a finding";
        }
        var subjects = Subjects(identity).Select(design.NameOf).ToList();
        var code = string.Join(' ', identity[..open].Split('-').Select(word => Written.GetValueOrDefault(word, word)));
        return subjects.Count == 0 ? code : $"{code} at {string.Join(", ", subjects)}";
    }

    /// <summary>Ids that an identity names.</summary>
    public static IReadOnlyList<string> Subjects(string identity) =>
        identity.IndexOf('(', StringComparison.Ordinal) is var open and > 0
            ? identity[(open + 1)..].TrimEnd(')').Split(',', StringSplitOptions.RemoveEmptyEntries)
            : [];
}
