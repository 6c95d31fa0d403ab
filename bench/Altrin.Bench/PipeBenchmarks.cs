using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Testing;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>The pipe, step by step, for generated homes of growing size. Devices are the customer's; a box comes with every five.</summary>
[MemoryDiagnoser]
public class PipeBenchmarks
{
    private const int Seed = 7;
    private Design _design = null!;
    private Network _network = null!;
    private Observation _observation = null!;

    [Params(5, 50, 500)]
    public int Devices { get; set; }

    [GlobalSetup]
    public void Prepare()
    {
        _design = DesignGenerator.Make(Seed, Devices);
        _network = Compiler.Compile(_design, Situation.Settled);
        _observation = Observer.Observe(_network);
    }

    [Benchmark]
    public Network Compile() => Compiler.Compile(_design, Situation.Settled);

    [Benchmark]
    public Observation Observe() => Observer.Observe(_network);

    /// <summary>Findings with the remedies that rules propose.</summary>
    [Benchmark]
    public Proof Judge() => Judging.Judge(_observation);

    /// <summary>All of it, every offered remedy proven.</summary>
    [Benchmark]
    public Proof Prove() => Judging.Prove(_design);
}
