using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Where something stands, as a part of its line says: a place that is noted, or "new Barn", which notes one.</summary>
internal sealed class QuickRoom(Site site)
{
    private const string New = "new ";

    private Place? _made;

    /// <summary>Id of the place that was said; null for none.</summary>
    public string? Place { get; private set; }

    /// <summary>Takes a part that names a place; null for one that does not.</summary>
    public Parsed<string>? Read(string text)
    {
        var named =
            text.StartsWith("in ", StringComparison.OrdinalIgnoreCase) || text.StartsWith("at ", StringComparison.OrdinalIgnoreCase)
                ? text[3..].Trim()
                : text;
        if (QuickWords.PlaceIn(site, named) is { } place)
        {
            Place = place.Id;
            return QuickWords.Means($"in {place.Name}");
        }
        if (!text.StartsWith(New, StringComparison.OrdinalIgnoreCase) || text[New.Length..].Trim() is not { Length: > 0 } name)
        {
            return null;
        }
        if (QuickWords.PlaceIn(site, name) is { } there && string.Equals(there.Name, name, StringComparison.OrdinalIgnoreCase))
        {
            Place = there.Id;
            return QuickWords.Means($"in {there.Name}");
        }
        _made = QuickPlace.Named(site, Slugs.Of(name, site.Uses, "place"), name);
        Place = _made.Id;
        return QuickWords.Means("a new place");
    }

    /// <summary>What notes the place where it is new, before what stands in it.</summary>
    public IReadOnlyList<Correction> Making() => _made is null ? [] : [new SetPlace("", Partial<Place>.All(_made)) { NewId = _made.Id }];

    /// <summary>Offers to make a place of a part that is not understood.</summary>
    public static void Offer(QuickWords words, int piece)
    {
        var text = words.Text(piece);
        if (Given.WrongName(text) is null && char.IsLetter(text[0]))
        {
            words.Offer($"make \"{text}\" a place", piece, $"{New}{text}", []);
        }
    }
}
