using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>What is noted of the home itself.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Naming">How its Wi-Fi is named.</param>
/// <param name="Country">The country that it stands in, by its two letters; null where not noted.</param>
public sealed record HomeFacts(string Name, NamingSchool Naming, string? Country)
{
    /// <summary>What is noted of a home.</summary>
    public static HomeFacts Of(Site site) => new(site.Name, site.Naming, site.Country);
}
