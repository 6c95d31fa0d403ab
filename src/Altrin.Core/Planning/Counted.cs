namespace Altrin.Core.Planning;

/// <summary>One thing that speaks against an option.</summary>
/// <param name="Weight">The weight that it has: the name of a member of <see cref="PlanWeights"/>.</param>
/// <param name="Says">What is counted, in words.</param>
/// <param name="Count">How much of it there is.</param>
/// <param name="Each">What each of it counts, in points.</param>
internal readonly record struct Counted(string Weight, string Says, double Count, double Each);
