using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// Notes what a box that is not in use holds; what is not given stays. A value of it is one of its last home, and settings of the factory
/// hold none of these.
/// </summary>
public sealed record SetStored(string Box, Partial<StoredSettings> Stored) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        if (home.Site.Boxes.FirstOrDefault(b => b.Id == Box) is not { } box)
        {
            return Parsed<HomeFile>.Fail($"There is no box '{Ipv4Address.Shown(Box)}'.");
        }
        if (home.AsFound().Mode(Box) is not null)
        {
            return Parsed<HomeFile>.Fail($"{box.Name} is in use: how it is set is read on its page.");
        }
        var said = Said(box);
        return Edit.Unless(
            PageChecks.WrongStored(box.Profile, said),
            home.With(home.Site with { Boxes = Given.With(home.Site.Boxes, box with { Stored = said }, b => b.Id) })
        );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        $"What {home.Site.Boxes.FirstOrDefault(b => b.Id == Box)?.Name ?? Box} holds on the shelf is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) => [new(Setting.Box, Box, nameof(Sites.Box.Stored))];

    private StoredSettings Said(Box box)
    {
        var state = Stored.Gives(nameof(StoredSettings.State)) ? Stored.On(box.Stored).State : StoredState.LastHome;
        return state == StoredState.LastHome ? Stored.On(box.Stored) with { State = state } : new(state);
    }
}
