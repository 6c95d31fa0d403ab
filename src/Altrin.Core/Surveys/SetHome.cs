using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Names the home, or says how its Wi-Fi is named; what is not given stays.</summary>
public sealed record SetHome(Partial<HomeFacts> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var said = Known.On(new(home.Site.Name, home.Site.Naming));
        return Edit.Unless(Given.WrongName(said.Name), home.With(home.Site with { Name = said.Name.Trim(), Naming = said.Naming }));
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        Known.Gives(nameof(HomeFacts.Name))
            ? $"The home is called {Known.On(new(home.Site.Name, home.Site.Naming)).Name}"
            : "How Wi-Fi is named is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [.. Known.Given.Select(m => new Touch(m == nameof(HomeFacts.Name) ? Setting.HomeName : Setting.Naming, ""))];
}
