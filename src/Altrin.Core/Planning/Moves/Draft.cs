using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>A set-up in the making: acts one after the other, until one is refused.</summary>
internal sealed class Draft(Design design)
{
    private bool _refused;

    /// <summary>The home as far as it is made.</summary>
    public Design Design { get; private set; } = design;

    /// <summary>The home with all that was done; null where something was refused.</summary>
    public Design? Made => _refused ? null : Design;

    /// <summary>Does one act.</summary>
    public Draft Do(Change change)
    {
        if (!_refused && change.ApplyTo(Design) is var done)
        {
            (_refused, Design) = done.Ok ? (false, Design with { SetUp = done.Value }) : (true, Design);
        }
        return this;
    }

    /// <summary>Goes on from a home that was made of this one.</summary>
    public Draft From(Design made) => new(made) { _refused = _refused };

    /// <summary>Does each act.</summary>
    public Draft Do(IEnumerable<Change> changes) => changes.Aggregate(this, (d, c) => d.Do(c));

    /// <summary>Sets what a box in use is set to, as its page would take it.</summary>
    public Draft Set(string box, Func<BoxMode, BoxMode> mode)
    {
        Design = Design with
        {
            SetUp = Design.SetUp with { Boxes = [.. Design.SetUp.Boxes.Select(b => b.Box == box ? b with { Mode = mode(b.Mode) } : b)] },
        };
        return this;
    }

    /// <summary>Lets the radios of a box send the name of the home.</summary>
    public Draft Name(string box, HomeName? name)
    {
        var others = Air.Of(Design).Any(a => a.Box != box && !a.Guest && a.Setting.Name == name?.Name);
        return name is null || Design.Box(box) is not { } gear ? this : Set(box, m => name.On(gear, m, Design.Site.Naming, first: !others));
    }
}
