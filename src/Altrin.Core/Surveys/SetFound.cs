using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Notes what was read on the page of a box in use. It reaches what was found, and another set-up where that still holds what was
/// assumed; what joins the box by Wi-Fi follows.
/// </summary>
/// <param name="Box">The box.</param>
/// <param name="Read">What was read; what is not given stays, and stays assumed.</param>
public sealed record SetFound(string Box, Partial<FoundSettings> Read) : Correction
{
    private static readonly Shelf NoShelf = new([]);

    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf) =>
        home.Site.Boxes.FirstOrDefault(b => b.Id == Box) is not { } box
            ? Parsed<HomeFile>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.")
            : ReadSettings.Into(home, box, Read, sure: true);

    /// <inheritdoc/>
    public override string Describe(HomeFile home)
    {
        var name = home.Site.Boxes.FirstOrDefault(b => b.Id == Box)?.Name ?? Box;
        var changed = ApplyTo(home, NoShelf) is { Ok: true } done
            ? done.Value.SetUps.Zip(home.SetUps).Where(s => !ReferenceEquals(s.First, s.Second)).Select(s => s.First.Name).ToList()
            : [];
        return $"How {name} is set is noted{(changed.Count > 1 ? $", in {string.Join(" and ", changed)}" : "")}";
    }

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            new(Setting.Box, Box, nameof(Sites.Box.Assumed)),
            .. Given.Connected(home, ApplyTo(home, shelf)),
            .. Given.Set(home, Box, Read.Given),
        ];
}
