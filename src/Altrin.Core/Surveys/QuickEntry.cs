using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>The lists that a survey is typed into, line by line.</summary>
public enum QuickList
{
    /// <summary>What the provider delivers.</summary>
    Service,

    /// <summary>Boxes.</summary>
    Gear,

    /// <summary>Rooms and other places.</summary>
    Places,

    /// <summary>The customer's devices.</summary>
    Devices,

    /// <summary>What the customer asks for.</summary>
    Needs,
}

/// <summary>One part of a line, with what it was taken for.</summary>
/// <param name="Text">What was typed.</param>
/// <param name="Means">What it was taken for; null where it is not known.</param>
public sealed record QuickPart(string Text, string? Means);

/// <summary>One line of a survey as it was read.</summary>
/// <param name="Line">Which line of what was typed, from 1.</param>
/// <param name="Parts">Its parts, in order.</param>
/// <param name="Error">Why it cannot be taken; null where it can.</param>
/// <param name="Column">Where the error is, counted in characters from 1; null where there is none.</param>
public sealed record QuickLine(int Line, IReadOnlyList<QuickPart> Parts, string? Error, int? Column)
{
    /// <summary>How many offers are made for one line, so that each can be picked with one digit.</summary>
    public const int MostOffers = 9;

    /// <summary>What may have been meant; empty where the line is taken, or where nothing comes to mind.</summary>
    public IReadOnlyList<QuickOffer> Offers { get; init; } = [];
}

/// <summary>What a line that cannot be taken may have meant.</summary>
/// <param name="Says">What is offered, such as "Fibre gateway, four ports".</param>
/// <param name="Line">The line as it is written then; it may need a further answer.</param>
public sealed record QuickOffer(string Says, string Line);

/// <summary>What was typed, read.</summary>
/// <param name="Lines">Each line that is not empty.</param>
/// <param name="Corrections">What all of them do; empty where one of them cannot be taken.</param>
/// <param name="Home">The home after them; null where one cannot be taken.</param>
public sealed record QuickReading(IReadOnlyList<QuickLine> Lines, IReadOnlyList<Correction> Corrections, HomeFile? Home);

/// <summary>
/// Reads what is typed quickly: a line for each thing, its name first, then parts between commas in any order. Each part is known
/// by its shape or by its word, so that nothing has to be picked from a list.
/// </summary>
public static class QuickEntry
{
    /// <summary>How many lines are read at once.</summary>
    public const int MostLines = 200;

    /// <summary>The longest line, in characters.</summary>
    public const int LongestLine = 500;

    /// <summary>Reads lines for one list. Each line sees what the ones before it added.</summary>
    public static QuickReading Read(HomeFile home, Shelf shelf, QuickList list, string text)
    {
        var lines = text.ReplaceLineEndings("\n").Split('\n');
        var read = new List<QuickLine>();
        var corrections = new List<Correction>();
        var at = home;
        for (var i = 0; i < lines.Length; i++)
        {
            if (lines[i].Trim().Length == 0)
            {
                continue;
            }
            if (read.Count >= MostLines || lines[i].Length > LongestLine)
            {
                read.Add(
                    new(
                        i + 1,
                        [],
                        read.Count >= MostLines
                            ? $"At most {MostLines} lines are read at once."
                            : $"A line has at most {LongestLine} characters.",
                        1
                    )
                );
                break;
            }
            var words = new QuickWords(lines[i]);
            var (made, done) = Take(at, shelf, list, words);
            if (done is { Ok: true } taken)
            {
                at = taken.Value;
                corrections.AddRange(made!);
            }
            var wrong = words.Error ?? (done is { Ok: false } refused ? (refused.Error, 1) : null);
            read.Add(new(i + 1, words.Parts, wrong?.Text, wrong?.Column) { Offers = wrong is null ? [] : Offers(at, shelf, list, words) });
        }
        var ok = read.Count > 0 && read.All(l => l.Error is null);
        return new(read, ok ? corrections : [], ok ? at : null);
    }

    /// <summary>What one line does, and the home after it; nothing of either where it is not understood.</summary>
    private static (IReadOnlyList<Correction>? Made, Parsed<HomeFile>? Done) Take(
        HomeFile home,
        Shelf shelf,
        QuickList list,
        QuickWords words
    )
    {
        var made = list switch
        {
            QuickList.Service => QuickService.Read(home, words),
            QuickList.Gear => QuickGear.Read(home, shelf, words),
            QuickList.Places => QuickPlace.Read(home, words),
            QuickList.Devices => QuickDevice.Read(home, words),
            QuickList.Needs => QuickNeed.Read(home, words),
            _ => throw new ArgumentOutOfRangeException(nameof(list)),
        };
        return (made, words.Error is null && made is not null ? CorrectionList.Apply(home, shelf, made) : (Parsed<HomeFile>?)null);
    }

    /// <summary>What may have been meant: a comma that was left out first, since then all of the line is understood.</summary>
    private static IReadOnlyList<QuickOffer> Offers(HomeFile home, Shelf shelf, QuickList list, QuickWords words)
    {
        var comma = words.WithComma().FirstOrDefault(l => Take(home, shelf, list, new QuickWords(l)).Done is { Ok: true });
        return comma is null ? words.Offers : [new(comma, comma), .. words.Offers.Take(QuickLine.MostOffers - 1)];
    }
}
