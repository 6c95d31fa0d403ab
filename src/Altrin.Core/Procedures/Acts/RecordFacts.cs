using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Acts;

/// <summary>Facts of a box are written down from its page or its label.</summary>
/// <param name="Box">Of which box.</param>
/// <param name="What">What.</param>
public sealed record RecordFacts(string Box, IReadOnlyList<Recordable> What) : Act
{
    /// <inheritdoc/>
    public override Parsed<IReadOnlyList<Outcome>> From(State now) =>
        now.Design.Box(Box) is null ? Refused(Missing.Box(now.Design, Box))
        : What.Count == 0 ? Refused("What is to be written down is missing.")
        : What.Any(IsOnPage) && PageOpens.LoggedIn(now, Box) is { Ok: false, Error: var closed } ? Refused(closed)
        : One(now, Durations.Note, l => l with { Recorded = [.. l.Recorded.Concat(What.Select(w => new Recorded(Box, w))).Distinct()] });

    /// <summary>Whether it stands on a page of the box and nowhere else.</summary>
    internal static bool IsOnPage(Recordable what) =>
        what is Recordable.Pages or Recordable.Forwards or Recordable.Telephone or Recordable.DeviceList;

    /// <inheritdoc/>
    public override string Describe(Design design) =>
        What is [var only]
            ? $"Write down of {design.NameOf(Box)}: {LedgerWords.Of(only)}"
            : $"Write down {What.Count} things of {design.NameOf(Box)}";

    /// <inheritdoc/>
    public override IReadOnlyList<PageField> Lines(Design design) =>
        What.Count == 1 ? [] : [.. What.Select(w => new PageField(LedgerWords.Of(w)))];
}
