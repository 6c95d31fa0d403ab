using Altrin.Core.Networks;
using Altrin.Core.Procedures;

namespace Altrin.Kernel.Tests.Evenings;

/// <summary>What Altrin expects after an act, written down before anything is built.</summary>
/// <param name="Step">The act, and the state after it.</param>
/// <param name="Expects">What the laptop sees then, and who has the internet.</param>
internal sealed record Foreseen(PlayedStep Step, Expectation Expects)
{
    public Moment Moment => Step.After.Moment;

    /// <summary>An evening, act by act.</summary>
    public static IReadOnlyList<Foreseen> Of(Play play) => [.. play.Steps.Select(s => new Foreseen(s, Expectation.Of(s.After)))];
}
