namespace Altrin.Core.Sites;

/// <summary>A home as a design file holds it: one site and its named set-ups.</summary>
/// <param name="Site">What is given.</param>
/// <param name="SetUps">What is chosen, at least one.</param>
public sealed record HomeFile(Site Site, IReadOnlyList<SetUp> SetUps)
{
    /// <summary>How many set-ups a home has at most.</summary>
    public const int MostSetUps = 20;

    /// <summary>The name of the set-up that a survey records.</summary>
    public const string FoundName = "found";

    /// <summary>The name of the set-up that is planned.</summary>
    public const string PlannedName = "planned";

    /// <summary>One set-up with its site; null when no set-up has the name.</summary>
    public Design? Design(string setUp) => SetUps.FirstOrDefault(s => s.Name == setUp) is { } found ? new(Site, found) : null;

    /// <summary>The set-up that is shown first: "planned" where there is one, else the last.</summary>
    public SetUp Foremost => SetUps.FirstOrDefault(s => s.Name == PlannedName) ?? SetUps[^1];

    /// <summary>The site with what was found; with the foremost set-up where a file has no such one.</summary>
    public Design AsFound() => Design(FoundName) ?? new(Site, Foremost);

    /// <summary>The same home with one set-up exchanged for its successor of the same name.</summary>
    public HomeFile With(SetUp changed) => this with { SetUps = [.. SetUps.Select(s => s.Name == changed.Name ? changed : s)] };
}
