using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>Names the home, or says how its Wi-Fi is named or where it stands; what is not given stays.</summary>
public sealed record SetHome(Partial<HomeFacts> Known) : Correction
{
    /// <inheritdoc/>
    public override Parsed<HomeFile> ApplyTo(HomeFile home, Shelf shelf)
    {
        var said = Known.On(HomeFacts.Of(home.Site));
        return Edit.Unless(
            Given.WrongName(said.Name) ?? (said.Country is { } country ? Country.Wrong(country) : null),
            home.With(home.Site with { Name = said.Name.Trim(), Naming = said.Naming, Country = said.Country })
        );
    }

    /// <inheritdoc/>
    public override string Describe(HomeFile home) =>
        Known.Gives(nameof(HomeFacts.Name)) ? $"The home is called {Known.On(HomeFacts.Of(home.Site)).Name}"
        : Known.Gives(nameof(HomeFacts.Country))
            ? Known.On(HomeFacts.Of(home.Site)).Country is { } country ? $"The country of the home is noted: {country}"
                : "The country of the home is not noted"
        : "How Wi-Fi is named is noted";

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(HomeFile home, Shelf shelf) =>
        [
            .. Known.Given.Select(m => new Touch(
                m switch
                {
                    nameof(HomeFacts.Name) => Setting.HomeName,
                    nameof(HomeFacts.Country) => Setting.Country,
                    _ => Setting.Naming,
                },
                ""
            )),
        ];
}
