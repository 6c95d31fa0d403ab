using System.Globalization;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

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
