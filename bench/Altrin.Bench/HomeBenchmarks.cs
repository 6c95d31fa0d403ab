using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>A sound home of 12 boxes and 40 devices: the goal is 5 ms and 2 MB.</summary>
[MemoryDiagnoser]
public class HomeBenchmarks
{
    private readonly Design _design = Homes.Sound(10, 40);

    [Benchmark]
    public Proof Prove() => Judging.Prove(_design);
}

/// <summary>Growth from 100 to 1,000 devices, a box for every ten: the goal is at most 12 times.</summary>
[MemoryDiagnoser]
public class GrowthBenchmarks
{
    private readonly Design _hundred = Homes.Sound(10, 100);
    private readonly Design _thousand = Homes.Sound(100, 1000);

    [Benchmark(Baseline = true)]
    public Proof Hundred() => Judging.Judge(Observer.Observe(Compiler.Compile(_hundred, Situation.Settled)));

    [Benchmark]
    public Proof Thousand() => Judging.Judge(Observer.Observe(Compiler.Compile(_thousand, Situation.Settled)));
}
