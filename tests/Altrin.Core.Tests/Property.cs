using CsCheck;

namespace Altrin.Core.Tests;

/// <summary>Properties with a fixed seed; CsCheck prints the seed of a failing case, which is small.</summary>
internal static class Property
{
    public const string Seed = "0000ALTRIN01";

    public static void Check<T>(Gen<T> gen, Action<T> holds, long times = 2000) => gen.Sample(holds, seed: Seed, iter: times, threads: 1);

    public static void Check<T1, T2>(Gen<(T1, T2)> gen, Action<T1, T2> holds, long times = 2000) => gen.Sample(x => holds(x.Item1, x.Item2), seed: Seed, iter: times, threads: 1);

    public static void Check<T1, T2, T3>(Gen<(T1, T2, T3)> gen, Action<T1, T2, T3> holds, long times = 2000) => gen.Sample(x => holds(x.Item1, x.Item2, x.Item3), seed: Seed, iter: times, threads: 1);
}
