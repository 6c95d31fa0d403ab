using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Plugs a cable into two empty ports. Its id is made of its ends, so that the same cable keeps its id.</summary>
public sealed record Patch(PortRef A, PortRef B, Medium Medium, double? LengthMetres) : Change
{
    /// <summary>The longest link that is taken, in metres; whether it works is judged elsewhere.</summary>
    public const double LongestMetres = 10_000;

    /// <summary>How many pairs are connected, 2 or 4; null where not looked at.</summary>
    public int? Pairs { get; init; }

    /// <summary>The run in the walls that it goes through; null for none.</summary>
    public string? Run { get; init; }

    /// <summary>A cable as it is, plugged into other ports.</summary>
    public static Patch Moved(Cable cable, PortRef a, PortRef b) => new(a, b, cable.Medium, cable.LengthMetres) { Pairs = cable.Pairs, Run = cable.Run };

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design)
    {
        var wrong = WrongEnd(design, A) ?? WrongEnd(design, B)
            ?? (A == B ? "A cable has two ends; both were the same port." : null)
            ?? WrongLength(LengthMetres) ?? WrongPairs(Pairs) ?? WrongRun(design, null, Run);
        if (wrong is not null)
        {
            return Parsed<SetUp>.Fail(wrong);
        }
        var id = IdOf(A, B);
        for (var n = 2; design.SetUp.Cables.Any(c => c.Id == id); n++)
        {
            id = $"{IdOf(A, B)}-{n}";
        }
        return design.SetUp with { Cables = [.. design.SetUp.Cables, new(id, A, B, Medium, LengthMetres) { Pairs = Pairs, Run = Run }] };
    }

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Cable from {PortWords.Of(design, A)} to {PortWords.Of(design, B)}";

    internal static string? WrongLength(double? metres) =>
        metres is { } length && !(length > 0 && length <= LongestMetres) ? $"A length is more than 0 and at most {LongestMetres:0} metres." : null;

    internal static string? WrongPairs(int? pairs) => pairs is null or 2 or 4 ? null : "A lead has 2 or 4 pairs connected.";

    internal static string? WrongRun(Design design, string? cable, string? run) =>
        run is null ? null
        : design.Site.Runs.All(r => r.Id != run) ? $"There is no run '{Ipv4Address.Shown(run)}' in the walls."
        : design.SetUp.Cables.FirstOrDefault(c => c.Run == run && c.Id != cable) is { } there ? $"That run is taken by the cable from {PortWords.Of(design, there.A)} to {PortWords.Of(design, there.B)}."
        : null;

    private static string IdOf(PortRef a, PortRef b) => string.Join('-', new[] { a, b }.Order().Select(e => e.ToString().Replace('/', '-')));

    private static string? WrongEnd(Design design, PortRef end)
    {
        var exists = end == PortRef.AtStreet
            || (design.Device(end.Owner) is not null && end.Port.Length == 0)
            || design.Box(end.Owner)?.Profile.Port(end.Port) is not null;
        return !exists ? $"There is no port '{Ipv4Address.Shown(end.ToString())}'."
            : design.Box(end.Owner) is { } box && design.Mode(end.Owner) is null ? $"The {box.Name} is not in use in this set-up; set its mode first."
            : design.CableAt(end) is { } there ? $"{PortWords.Of(design, end)} is taken by the cable to {PortWords.Of(design, there.OtherEnd(end))}."
            : null;
    }
}

/// <summary>Says what a cable is made of and how long it is; it stays in its ports.</summary>
public sealed record SetCable(string Cable, Medium Medium, double? LengthMetres) : Change
{
    /// <summary>How many pairs are connected, 2 or 4; null where not looked at.</summary>
    public int? Pairs { get; init; }

    /// <summary>The run in the walls that it goes through; null for none.</summary>
    public string? Run { get; init; }

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        design.SetUp.Cables.All(c => c.Id != Cable) ? Parsed<SetUp>.Fail($"There is no cable '{Ipv4Address.Shown(Cable)}'.")
        : Edit.Unless(Patch.WrongLength(LengthMetres) ?? Patch.WrongPairs(Pairs) ?? Patch.WrongRun(design, Cable, Run), design.SetUp with { Cables = [.. design.SetUp.Cables.Select(c => c.Id == Cable ? c with { Medium = Medium, LengthMetres = LengthMetres, Pairs = Pairs, Run = Run } : c)] });

    /// <inheritdoc/>
    public override string Describe(Design design) => design.SetUp.Cables.FirstOrDefault(c => c.Id == Cable) is { } cable
        ? $"Cable from {PortWords.Of(design, cable.A)} to {PortWords.Of(design, cable.B)} is {MediumWords.Of(Medium)}{(LengthMetres is { } length ? $", {length.ToString(CultureInfo.InvariantCulture)} m" : "")}"
        : "A cable is described";
}

/// <summary>Pulls a cable out of both its ports.</summary>
public sealed record Unpatch(string Cable) : Change
{
    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => design.SetUp.Cables.All(c => c.Id != Cable)
        ? Parsed<SetUp>.Fail($"There is no cable '{Ipv4Address.Shown(Cable)}'.")
        : design.SetUp with { Cables = [.. design.SetUp.Cables.Where(c => c.Id != Cable)] };

    /// <inheritdoc/>
    public override string Describe(Design design) => design.SetUp.Cables.FirstOrDefault(c => c.Id == Cable) is { } cable
        ? $"Pull the cable from {PortWords.Of(design, cable.A)} to {PortWords.Of(design, cable.B)}"
        : "Pull a cable";
}

/// <summary>Words for a port.</summary>
public static class PortWords
{
    /// <summary>"port in of Loft router", "Printer", "the street".</summary>
    public static string Of(Design design, PortRef end) => design.Box(end.Owner)?.Profile.Port(end.Port) is { } port
        ? $"port {port.Label} of {design.NameOf(end.Owner)}"
        : design.NameOf(end.Owner);
}

/// <summary>Words for what a cable is made of.</summary>
internal static class MediumWords
{
    public static string Of(Medium medium) => medium switch
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
