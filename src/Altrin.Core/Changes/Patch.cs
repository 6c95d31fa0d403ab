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
        return !exists ? Missing.Port(design, end)
            : design.Box(end.Owner) is { } box && design.Mode(end.Owner) is null
                ? $"The {box.Name} is not in use in this set-up; set its mode first."
            // The provider's end may have several ports: an ONT, a modem, a line for each service.
            : end != PortRef.AtStreet && design.CableAt(end) is { } there
                ? $"{PortWords.Of(design, end)} is taken by the cable to {PortWords.Of(design, there.OtherEnd(end))}."
            : null;
    }
}
