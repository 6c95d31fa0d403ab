using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>What is noted of the home itself.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Naming">How its Wi-Fi is named.</param>
public sealed record HomeFacts(string Name, NamingSchool Naming);
