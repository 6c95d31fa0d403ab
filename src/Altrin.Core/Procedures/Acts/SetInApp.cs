using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>Settings that no page has are made with an application on a telephone, in its order.</summary>
/// <param name="Box">Which box.</param>
/// <param name="Changes">What is set.</param>
public sealed record SetInApp(string Box, IReadOnlyList<Change> Changes) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        Changes.Count is 0 or > SavePage.MostChanges
            ? Refused($"1 to {SavePage.MostChanges} settings are made at once.")
            : Running(now, Box)
                .Then(box =>
                {
                    if (box.Profile.Traits.App is not { } app)
                    {
                        return Refused($"{box.Name} is not set with an application.");
                    }
                    foreach (var change in Changes)
                    {
                        var typed = TypedSettings.Of(now.Design, Box, change);
                        if (typed.Count == 0 || typed.Any(s => !app.Sets.Contains(s)))
                        {
                            return Refused($"{change.Describe(now.Design)}: its application does not set that.");
                        }
                    }
                    if (app.InternetFirst == Known.Yes && now.Design.Mode(Box) is RouterMode && !HasInternet(now))
                    {
                        return Refused($"The application asks for internet at the WAN port of {box.Name} before anything can be set.");
                    }
                    var hands = Durations.Open + Durations.Typing(Changes.Count);
                    var then = Durations.SaveAndRestart(box.Profile);
                    var mode = Changes.OfType<SetMode>().LastOrDefault();
                    var others = Changes.Where(c => c is not SetMode).Select(c => (Event)new TypeIn(Box, c)).ToList();
                    return One(
                            now,
                            hands,
                            [
                                .. mode is null ? Array.Empty<Event>() : [new ChangeMode(Box, mode.Mode)],
                                .. others,
                                new Occupy(Box, BusyKind.Starting, then.Usual),
                                .. others.Count > 0 ? [new Save(Box)] : Array.Empty<Event>(),
                            ]
                        )
                        .Then<IReadOnlyList<Outcome>>(o => new[] { o[0] with { Then = then } });
                });

    private bool HasInternet(State now) =>
        now.Seen() is var seen && seen.Network.Find(Box, Side.Wan) is { } wan && seen.Tracer.ToInternet(wan).Answer.IsYes;

    /// <inheritdoc/>
    public override string Describe(Design design) => $"Set {design.NameOf(Box)} in its application";

    /// <inheritdoc/>
    public override IReadOnlyList<PageField> Lines(Design design) => PageField.Of(design, Changes);
}
