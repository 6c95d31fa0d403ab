using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Networks;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>Settings are typed into one page of a box and saved together.</summary>
/// <param name="Box">Which box.</param>
/// <param name="Changes">What is typed, in order; all of it stands on one page.</param>
public sealed record SavePage(string Box, IReadOnlyList<Change> Changes) : Act
{
    /// <summary>How many changes one save may carry.</summary>
    public const int MostChanges = 50;

    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now)
    {
        if (Changes.Count is 0 or > MostChanges)
        {
            return Refused($"A save carries 1 to {MostChanges} settings.");
        }
        return PageOpens.LoggedIn(now, Box).Then(box => Page(now, box).Then(page => Saved(now, box, page)));
    }

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        Area(design) is { } area ? $"Save the page \"{area}\" of {design.NameOf(Box)}" : $"Save a page of {design.NameOf(Box)}";

    /// <inheritdoc/>
    public override IReadOnlyList<PageField> Lines(Design design) => PageField.Of(design, Changes);

    /// <summary>The page of what is typed first; null where there is none.</summary>
    private string? Area(Design design) =>
        design.Box(Box) is { } box
        && design.Mode(Box) is { } mode
        && Changes is [var first, ..]
        && TypedSettings.Of(design, Box, first) is [var setting, ..]
            ? PageAt.Of(box.Profile, mode.Kind, setting)?.Area
            : null;

    /// <summary>The one page that has all of it, or why there is none.</summary>
    private Parsed<PageAt> Page(State now, Box box)
    {
        PageAt? page = null;
        foreach (var change in Changes)
        {
            var typed = change.Subjects().Contains(Box) ? TypedSettings.Of(now.Design, Box, change) : [];
            if (typed.Count == 0)
            {
                return Parsed<PageAt>.Fail($"{change.Describe(now.Design)}: no page of {box.Name} sets that.");
            }
            foreach (var setting in typed)
            {
                var here = PageAt.Of(box.Profile, now.Design.Mode(Box)!.Kind, setting);
                if (here is null)
                {
                    return Parsed<PageAt>.Fail(
                        PageAt.IsInApp(box.Profile, setting)
                            ? $"The {SettingWords.Of(setting)} of {box.Name} is set in its application only."
                            : $"No page of {box.Name} has the {SettingWords.Of(setting)} in its present mode."
                    );
                }
                if (page is not null && !page.Sets.SequenceEqual(here.Sets))
                {
                    return Parsed<PageAt>.Fail(
                        $"The {SettingWords.Of(setting)} of {box.Name} is not on the page \"{page.Area}\" but on \"{here.Area}\": save one after the other."
                    );
                }
                page = here;
            }
        }
        return page!;
    }

    private Parsed<IReadOnlyList<Outcome>> Saved(State now, Box box, PageAt page)
    {
        var hands = Durations.Open + Durations.Typing(Changes.Count);
        var outcomes = new List<Outcome>();
        var ways = Changes.OfType<SetMode>().Any() ? Modes(box) : Saves(box, page);
        foreach (var (events, says) in ways)
        {
            var after = After(now, hands, Noted, events);
            if (!after.Ok)
            {
                return Refused(after.Error);
            }
            outcomes.Add(new(after.Value, hands) { Then = page.Takes, If = ways.Count == 1 ? null : says });
        }
        return outcomes;

        Ledger Noted(Ledger ledger) =>
            Changes.OfType<SetPagePassword>().Any()
                ? ledger with
                {
                    AtFactory = [.. ledger.AtFactory.Where(b => b != Box)],
                    Logins = [.. ledger.Logins.Append(Box).Distinct()],
                }
                : ledger;

        List<(Event[] Events, string Says)> Modes(Box of)
        {
            var mode = Changes.OfType<SetMode>().Last().Mode;
            var others = Changes.Where(c => c is not SetMode).Select(c => (Event)new TypeIn(Box, c)).ToList();
            return
            [
                .. ModeEffects
                    .Of(of.Profile, mode)
                    .Select(e =>
                        (
                            (Event[])
                                [
                                    .. others,
                                    .. others.Count > 0 ? [new Save(Box)] : Array.Empty<Event>(),
                                    new Occupy(Box, BusyKind.Starting, page.Takes.Usual),
                                    new ChangeMode(Box, mode, e),
                                ],
                            $"its address is {(e.Address == AddressAfter.Leased ? "leased" : "kept")} and it clears {(e.Clears.Count == 0 ? "nothing" : "its Wi-Fi and password")}"
                        )
                    ),
            ];
        }

        List<(Event[] Events, string Says)> Saves(Box of, PageAt on)
        {
            var typed = Changes.Select(c => (Event)new TypeIn(Box, c)).ToList();
            var made = new List<(Event[], string)>();
            if (on.Restarts != Known.No)
            {
                made.Add(([.. typed, new Occupy(Box, BusyKind.Starting, on.Takes.Usual), new Save(Box)], "the save restarts it"));
            }
            if (on.Restarts != Known.Yes && (on.DropsWifi != Known.No && of.Profile.Radios.Count > 0))
            {
                made.Add(
                    (
                        [
                            .. typed,
                            new Occupy(Box, BusyKind.Saving, on.Takes.Usual),
                            new Occupy(Box, BusyKind.Radios, on.Takes.Usual),
                            new Save(Box, Restarts: false),
                        ],
                        "the save drops its Wi-Fi"
                    )
                );
            }
            if (on.Restarts != Known.Yes && (on.DropsWifi != Known.Yes || of.Profile.Radios.Count == 0))
            {
                made.Add(
                    ([.. typed, new Occupy(Box, BusyKind.Saving, on.Takes.Usual), new Save(Box, Restarts: false)], "nothing is interrupted")
                );
            }
            return made;
        }
    }
}
