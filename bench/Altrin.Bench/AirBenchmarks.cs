using Altrin.Core.Coverage;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using Altrin.Core.Radio;
using Altrin.Core.Sites;
using Altrin.Testing;
using BenchmarkDotNet.Attributes;

namespace Altrin.Bench;

/// <summary>
/// Levels of 12 radios in 200 places, rates of 1,000 devices, and a channel plan for 12 radios among 60 neighbours: the goals are 5, 20 and
/// 200 ms. Proving the same home is what they are measured against.
/// </summary>
[MemoryDiagnoser]
public class AirBenchmarks
{
    private readonly Design _places = House(12, 200, 12, 0);
    private readonly Observation _devices = Seen(House(12, 12, 1000, 0));
    private readonly Design _crowded = House(12, 12, 12, 60);
    private readonly PathRates _crowdedRates;
    private readonly IReadOnlyList<Air> _airs;

    public AirBenchmarks()
    {
        _crowdedRates = new(Seen(_crowded));
        _airs = Air.Of(_places);
        // What is worked out once for a home, and asked for by all that follows.
        _ = _devices.Internet.Count;
    }

    [Benchmark(Baseline = true)]
    public int Observe() => Seen(_crowded).Sheet.Internet.Count;

    [Benchmark]
    public double Levels()
    {
        var signals = new Signals(_places);
        return _places.Site.Places.Sum(p => _airs.Sum(a => signals.Of(a, p)!.Dbm));
    }

    [Benchmark]
    public int Rates() => new PathRates(_devices).ToInternet().Count;

    [Benchmark]
    public ChannelPlan Plan() => ChannelPlan.Of(_crowded, _crowdedRates);

    private static Observation Seen(Design design) => Observer.Observe(Compiler.Compile(design, Situation.Settled));

    private static Design House(int boxes, int places, int devices, int neighbours)
    {
        var home = Home.New().Gateway(lan: "172.16.0.1/16", pool: "172.16.1.0-172.16.99.255").Cable("street", "gw/wan").Country("AT");
        HeardNetwork[] scan =
        [
            .. Enumerable
                .Range(0, neighbours)
                .Select(i => new HeardNetwork($"n{i}")
                {
                    Band = RadioBand.Ghz5,
                    Channel = 36 + (4 * (i % 8)),
                    LevelDbm = -50 - (i / 2),
                }),
        ];
        for (var i = 0; i < places; i++)
        {
            var at = i;
            home.Place($"r{i}", p =>
                p with
                {
                    EastMetres = at % 20 * 5,
                    NorthMetres = at / 20 * 5,
                    LengthMetres = 5,
                    WidthMetres = 5,
                    Walls = WallKind.Brick,
                    Air = at == 0 && scan.Length > 0 ? new(scan) : null,
                }
            );
        }
        home.Switch("core", boxes + 1).Cable("gw/lan1", "core/lan1").Stands("gw", "r0");
        for (var i = 1; i < boxes; i++)
        {
            home.Point($"p{i}", $"172.16.0.{10 + i}/16")
                .Cable($"core/lan{i + 1}", $"p{i}/wan")
                .Stands($"p{i}", $"r{i * (places / boxes)}")
                .Edit<AccessPointMode>($"p{i}", m => m with { Wifi = [m.Wifi[0] with { Channel = 36, WidthMhz = 80 }] });
        }
        home.Edit<RouterMode>("gw", m => m with { Wifi = [m.Wifi[0] with { Channel = 36, WidthMhz = 80 }] });
        for (var i = 0; i < devices; i++)
        {
            home.Wifi($"d{i}", i % boxes == 0 ? "gw" : $"p{i % boxes}").Stands($"d{i}", $"r{i % places}");
        }
        return home.Design;
    }
}
