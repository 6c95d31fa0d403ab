using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Keeps a speed that was measured, in the place of the one that was measured alike; an empty id is made anew.
/// </summary>
public sealed record KeepSpeed(SpeedMeasure Speed) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var kept = Speed with { Id = IdIn(home) };
        return
            (kept.Wrong(home.Site) ?? Given.WrongId(home.Site, kept.Id, [.. home.Site.Speeds.Select(s => s.Id)], Site.MostSpeeds, "speeds"))
                is { } wrong
            ? Parsed<HomeFile>.Fail(wrong)
            : home.With(home.Site with { Speeds = Given.With(home.Site.Speeds, kept, s => s.Id) });
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"{Speed.Down.Median:0.#} Mb/s measured at {new Design(home.Site, home.Foremost).NameOf(Speed.Box)} are kept";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => [new(Setting.Speed, IdIn(home))];

    private string IdIn(HomeFile home) =>
        Speed.Id.Length > 0
            ? Speed.Id
            : home.Site.Speeds.FirstOrDefault(s => s.IsLike(Speed))?.Id
                ?? Slugs.Of($"speed {Speed.Place ?? Speed.Box}", home.Site.Uses, "speed");
}
