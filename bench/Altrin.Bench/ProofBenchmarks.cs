using System.Text.Json;
using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Sites;
using Altrin.Core.Trials;
using Altrin.Formats;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>
/// The whole answer that the page asks for, and its parts, for 12, 100 and 1,000 devices; what goes over the wire is printed once.
/// </summary>
[MemoryDiagnoser]
public class ProofBenchmarks
{
    private Design _design = Homes.Sound(3, 12);

    [Params(12, 100, 1000)]
    public int Devices { get; set; }

    [GlobalSetup]
    public void Make()
    {
        _design = Homes.Sound(Devices == 12 ? 3 : Devices / 10, Devices);
        Console.WriteLine($"// bytes for {Devices} devices: proof {Answer().Length}, address book {Book().Length}, one way {Way().Length}");
    }

    /// <summary>Proves the home and writes the answer: what is sent when a job is opened.</summary>
    [Benchmark(Baseline = true)]
    public byte[] Answer() => JsonSerializer.SerializeToUtf8Bytes(ProofDocument.Of(Judging.Prove(_design)), AltrinJson.Options);

    [Benchmark]
    public byte[] Book() => JsonSerializer.SerializeToUtf8Bytes(AddressBook.Of(See()), AltrinJson.Options);

    /// <summary>One connection, explained.</summary>
    [Benchmark]
    public byte[] Way()
    {
        var devices = _design.SetUp.Devices;
        return JsonSerializer.SerializeToUtf8Bytes(Paths.Between(See(), devices[0].Device, devices[^1].Device), AltrinJson.Options);
    }

    /// <summary>A box that is off, at once and later.</summary>
    [Benchmark]
    public byte[] Trial() =>
        JsonSerializer.SerializeToUtf8Bytes(WhatIf.Try(_design, $"off:{_design.SetUp.Boxes[0].Box}").Value, AltrinJson.Options);

    private Observation See() => Observer.Observe(Compiler.Compile(_design, Situation.Settled));
}
