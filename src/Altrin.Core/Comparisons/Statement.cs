using System.Text.Json.Serialization;
using Altrin.Core.Changes;
using Altrin.Core.Surveys;

namespace Altrin.Core.Comparisons;

/// <summary>How what was found stands to what is recorded.</summary>
public enum Agreement
{
    /// <summary>As recorded.</summary>
    Agrees,

    /// <summary>Other than recorded.</summary>
    Disagrees,

    /// <summary>Nothing is recorded that it could be held to, or it proves nothing either way.</summary>
    Unknown,
}

/// <summary>What would make a reading right that disagrees: tried on the simulated network, not guessed.</summary>
/// <param name="Text">What would have happened.</param>
/// <param name="Findings">What would then be found wrong, in words; empty where nothing new.</param>
public sealed record Explanation(string Text, IReadOnlyList<string> Findings);

/// <summary>One thing that a reading says of the home.</summary>
/// <param name="Id">Stable for the same reading and home.</param>
/// <param name="Line">The line it stands in; 0 for something that is said by the whole.</param>
/// <param name="Found">What was found.</param>
/// <param name="Agreement">How it stands to what is recorded.</param>
public sealed record Statement(string Id, int Line, string Found, Agreement Agreement)
{
    /// <summary>What is recorded, or why nothing follows; null where there is nothing to say.</summary>
    public string? Recorded { get; init; }

    /// <summary>What would explain a disagreement.</summary>
    public IReadOnlyList<Explanation> Explanations { get; init; } = [];

    /// <summary>What accepting it would write into the survey; null where there is nothing to write.</summary>
    public string? Offer { get; init; }

    /// <summary>Whether accepting it is the likely wish: nothing is recorded that it contradicts, and it will stay true.</summary>
    public bool Suggested { get; init; }

    /// <summary>Corrections of what is given that accepting it makes.</summary>
    [JsonIgnore]
    public IReadOnlyList<Correction> Corrections { get; init; } = [];

    /// <summary>Changes of the set-up that accepting it makes, after the corrections.</summary>
    [JsonIgnore]
    public IReadOnlyList<Change> Changes { get; init; } = [];
}
