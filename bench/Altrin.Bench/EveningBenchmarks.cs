using Altrin.Core.Networks;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;
using Altrin.Formats;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>
/// An evening that was typed by hand, act by act: done only, then with every invariant judged, then with what is seen after each act as
/// the run sheet tells it. Time is that of one act.
/// </summary>
[MemoryDiagnoser]
public class EveningBenchmarks
{
    /// <summary>How many acts the evening of the demo home has.</summary>
    private const int Acts = 65;

    private readonly State _morning;
    private readonly ActsDocument _acts;
    private readonly SetUp _target;

    public EveningBenchmarks()
    {
        var home = DesignFile.Read(File.ReadAllBytes(Sample("pottery-house.json"))).Value!;
        _acts = ActsFile.Read(File.ReadAllBytes(Sample("evenings/pottery-house.json"))).Value!;
        _morning = State.Morning(home.Design(_acts.Begins)!);
        _target = home.Design(_acts.Ends)!.SetUp;
        if (_acts.Acts.Count != Acts)
        {
            throw new InvalidOperationException($"The evening has {_acts.Acts.Count} acts.");
        }
    }

    [Benchmark(OperationsPerInvoke = Acts)]
    public State Do() => _acts.Acts.Aggregate(Anew(), (now, act) => act.From(now).Value[0].After);

    [Benchmark(Baseline = true, OperationsPerInvoke = Acts)]
    public Play Judge() => Play.Of(Anew(), _acts.Acts, _target);

    [Benchmark(OperationsPerInvoke = Acts)]
    public int Tell() => Play.Of(Anew(), _acts.Acts, _target).Steps.Sum(s => SeenItem.Of(s.After).Count);

    /// <summary>The same morning, with nothing of it looked at.</summary>
    private State Anew() => _morning with { Ledger = Ledger.Empty };

    private static string Sample(string name) => Path.Combine(AppContext.BaseDirectory, "samples", name);
}

/// <summary>
/// What the laptop sees in a sound home of 12 boxes and 40 devices: the goal is 20 ms for a state that was not looked at before.
/// </summary>
[MemoryDiagnoser]
public class ExpectationBenchmarks
{
    private readonly Moment _moment = Moment
        .Morning(Homes.Sound(10, 40))
        .After([new MoveLaptop(Laptop.At(PortRef.Read("gw/lan4"), new Automatic()))])
        .Value;

    [Benchmark]
    public Expectation Look() => Expectation.Of(new State(_moment, Ledger.Empty));
}
