using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Plugs a cable into two empty ports.</summary>
/// <param name="A">One port.</param>
/// <param name="B">The other.</param>
/// <param name="Known">What is known of the cable.</param>
public sealed record Patch(PortRef A, PortRef B, CableFacts Known) : Change
{
    /// <summary>The cable's id; null to have one made of its ends, so that the same cable has the same id again.</summary>
    public string? Id { get; init; }

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design)
    {
        var wrong = WrongEnd(design, A)
            ?? WrongEnd(design, B)
            ?? (design.SetUp.Cables.Count >= SetUp.MostCables ? $"At most {SetUp.MostCables:#,0} cables are kept." : null)
            ?? (A == B ? "A cable has two ends; both were the same port." : null)
            ?? (Id is null ? null : Cables.WrongId(design, Id))
            ?? Cables.Wrong(design, null, Known);
        return Edit.Unless(wrong, design.SetUp with { Cables = [.. design.SetUp.Cables, new(IdIn(design), A, B, Known)] });
    }

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Cable from {PortWords.Of(design, A)} to {PortWords.Of(design, B)}";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [A.ToString(), B.ToString()];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Plugged, IdIn(design))];

    private string IdIn(Design design)
    {
        if (Id is { } given)
        {
            return given;
        }
        var stem = string.Join('-', new[] { A, B }.Order().Select(e => e.ToString().Replace('/', '-')));
        var id = stem;
        for (var n = 2; design.SetUp.Cables.Any(c => c.Id == id); n++)
        {
            id = $"{stem}-{n}";
        }
        return id;
    }

    private static string? WrongEnd(Design design, PortRef end)
    {
        var exists =
            end == PortRef.AtStreet
            || (design.Device(end.Owner) is not null && end.Port.Length == 0)
            || design.Box(end.Owner)?.Profile.Port(end.Port) is not null;
        return !exists ? $"There is no port '{Ipv4Address.Shown(end.ToString())}'."
            : design.Box(end.Owner) is { } box && design.Mode(end.Owner) is null
                ? $"The {box.Name} is not in use in this set-up; set its mode first."
            : design.CableAt(end) is { } there
                ? $"{PortWords.Of(design, end)} is taken by the cable to {PortWords.Of(design, there.OtherEnd(end))}."
            : null;
    }
}

/// <summary>Says something of a cable; it stays in its ports, and what is not said of it stays as it is.</summary>
public sealed record SetCable(string Cable, Partial<CableFacts> Known) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        design.SetUp.Cables.FirstOrDefault(c => c.Id == Cable) is not { } there
            ? Parsed<SetUp>.Fail($"There is no cable '{Ipv4Address.Shown(Cable)}'.")
            : Edit.Unless(
                Cables.Wrong(design, Cable, Known.On(there.Known)),
                design.SetUp with
                {
                    Cables = [.. design.SetUp.Cables.Select(c => c.Id == Cable ? c with { Known = Known.On(there.Known) } : c)],
                }
            );

    /// <inheritdoc/>
    public override string Describe(Design design)
    {
        if (design.SetUp.Cables.FirstOrDefault(c => c.Id == Cable) is not { } cable)
        {
            return "A cable is described";
        }
        var known = Known.On(cable.Known);
        string?[] said =
        [
            Known.Gives(nameof(CableFacts.Medium)) ? MediumWords.Of(known.Medium) : null,
            Known.Gives(nameof(CableFacts.LengthMetres))
                ? known.LengthMetres is { } length
                    ? $"{length.ToString(CultureInfo.InvariantCulture)} m"
                    : "not measured"
                : null,
            Known.Gives(nameof(CableFacts.Pairs))
                ? known.Pairs is { } pairs
                    ? $"{pairs} pairs"
                    : "its pairs not looked at"
                : null,
            Known.Gives(nameof(CableFacts.Run))
                ? known.Run is null
                    ? "in no wall"
                    : "in a wall"
                : null,
        ];
        return $"Cable from {PortWords.Of(design, cable.A)} to {PortWords.Of(design, cable.B)} is {string.Join(", ", said.OfType<string>())}";
    }

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Cable];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [.. Known.Given.Select(m => new Touch(Setting.Cable, Cable, m))];
}

/// <summary>Pulls a cable out of both its ports.</summary>
public sealed record Unpatch(string Cable) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        design.SetUp.Cables.All(c => c.Id != Cable)
            ? Parsed<SetUp>.Fail($"There is no cable '{Ipv4Address.Shown(Cable)}'.")
            : design.SetUp with
            {
                Cables = [.. design.SetUp.Cables.Where(c => c.Id != Cable)],
            };

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        design.SetUp.Cables.FirstOrDefault(c => c.Id == Cable) is { } cable
            ? $"Pull the cable from {PortWords.Of(design, cable.A)} to {PortWords.Of(design, cable.B)}"
            : "Pull a cable";

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Cable];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [new(Setting.Plugged, Cable)];
}

/// <summary>What is checked of a cable before it is taken.</summary>
internal static class Cables
{
    /// <summary>Why nothing like this is known of a cable; null where it may be.</summary>
    /// <param name="design">The design.</param>
    /// <param name="cable">The cable; null for one that is not plugged in yet.</param>
    /// <param name="known">What is said of it.</param>
    public static string? Wrong(Design design, string? cable, CableFacts known) =>
        CableFacts.WrongLength(known.LengthMetres) is { } wrong ? wrong
        : known.Pairs is not (null or 2 or 4) ? "A lead has 2 or 4 pairs connected."
        : known.Run is not { } run ? null
        : design.Site.Runs.All(r => r.Id != run) ? $"There is no run '{Ipv4Address.Shown(run)}' in the walls."
        : design.SetUp.Cables.FirstOrDefault(c => c.Run == run && c.Id != cable) is { } there
            ? $"That run is taken by the cable from {PortWords.Of(design, there.A)} to {PortWords.Of(design, there.B)}."
        : null;

    /// <summary>Why no new cable has this id; null where one can.</summary>
    public static string? WrongId(Design design, string id) =>
        !Cable.IsId(id) ? $"'{Ipv4Address.Shown(id)}' is no id of a cable: 1 to {Cable.LongestId} small letters, digits and hyphens."
        : design.SetUp.Cables.Any(c => c.Id == id) ? $"There is a cable '{Ipv4Address.Shown(id)}' already."
        : null;
}

/// <summary>Words for a port.</summary>
public static class PortWords
{
    /// <summary>"port in of Loft router", "Printer", "the street".</summary>
    public static string Of(Design design, PortRef end) =>
        design.Box(end.Owner)?.Profile.Port(end.Port) is { } port
            ? $"port {port.Label} of {design.NameOf(end.Owner)}"
            : design.NameOf(end.Owner);
}

/// <summary>Words for what a cable is made of.</summary>
internal static class MediumWords
{
    public static string Of(Medium medium) =>
        medium switch
        {
            Medium.Cat5 => "Cat 5",
            Medium.Cat5e => "Cat 5e",
            Medium.Cat6 => "Cat 6",
            Medium.Cat6a => "Cat 6A",
            Medium.Fibre => "fibre",
            Medium.Powerline => "powerline",
            Medium.Coax => "coax",
            _ => "not looked at",
        };
}
