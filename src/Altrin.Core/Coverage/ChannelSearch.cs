using Altrin.Core.Facts;
using Altrin.Core.Radio;

namespace Altrin.Core.Coverage;

/// <summary>
/// Looks for the channels of one band: all combinations where they are few, otherwise coordinate descent, which moves one radio at a
/// time to where all together have most, until none gains.
/// </summary>
internal sealed class ChannelSearch
{
    /// <summary>So many combinations are looked at one by one; beyond, radios are moved one by one.</summary>
    public const int MostCombinations = 50_000;

    /// <summary>Rounds of coordinate descent at most: it ends by itself long before.</summary>
    private const int MostRounds = 50;

    /// <summary>
    /// What a change has to be worth, in shares of a radio's capacity (natural logarithm): below it is not worth the trip.
    /// </summary>
    private const double WorthAChange = 0.03;

    /// <summary>
    /// What a channel on which radar comes first has to bring more than another, likewise: each start takes a minute there.
    /// </summary>
    private const double WorthRadar = 0.05;

    /// <summary>The level for which capacity is reckoned, in dBm: that of a device in the next room (common practice).</summary>
    private const double UsualDbm = -60;

    private readonly IReadOnlyList<PlanRadio> _radios;
    private readonly int[] _own;
    private readonly int[] _movable;
    private readonly Dictionary<int, ChannelBlock[]> _choices = [];
    private readonly ChannelBlock?[] _blocks;
    private readonly Dictionary<(int, int), double> _capacity = [];

    public ChannelSearch(IReadOnlyList<PlanRadio> radios, RadioBand band)
    {
        _radios = radios;
        _own = [.. Enumerable.Range(0, radios.Count).Where(i => radios[i].Air.Radio.Band == band)];
        _blocks = [.. radios.Select(r => r.Now)];
        foreach (var i in _own.Where(i => radios[i].Stays is null))
        {
            _choices[i] = [.. Stay(i).Concat(radios[i].Choices()).Distinct()];
        }
        _movable = [.. _own.Where(i => _choices.TryGetValue(i, out var choices) && choices.Length > 0)];
    }

    /// <summary>What was chosen, by the places of the radios of the band; where nothing is known of one, null.</summary>
    public IEnumerable<(int At, ChannelBlock? Block)> Chosen => _own.Select(i => (i, _blocks[i]));

    /// <summary>Chooses; says whether every combination was looked at.</summary>
    public bool Run()
    {
        var combinations = _movable.Aggregate(1.0, (n, i) => n * _choices[i].Length);
        if (combinations <= MostCombinations)
        {
            All();
            return true;
        }
        Descend();
        return false;
    }

    private IEnumerable<ChannelBlock> Stay(int at) => _radios[at].Now is { } now ? [now] : [];

    private void All()
    {
        var (best, bestValue) = (_blocks.ToArray(), double.NegativeInfinity);
        Next(0);
        best.CopyTo(_blocks, 0);

        void Next(int depth)
        {
            if (depth == _movable.Length)
            {
                if (Value() is var value && value > bestValue + 1e-12)
                {
                    (best, bestValue) = (_blocks.ToArray(), value);
                }
                return;
            }
            foreach (var block in _choices[_movable[depth]])
            {
                Put(_movable[depth], block);
                Next(depth + 1);
            }
        }
    }

    private void Descend()
    {
        foreach (var i in _movable)
        {
            Put(i, _choices[i][0]);
        }
        for (var (round, moved) = (0, true); moved && round < MostRounds; round++)
        {
            moved = false;
            foreach (var i in _movable)
            {
                var (before, best, bestValue) = (_blocks[i]!, _blocks[i]!, Value());
                foreach (var block in _choices[i])
                {
                    Put(i, block);
                    if (Value() is var value && value > bestValue + 1e-12)
                    {
                        (best, bestValue) = (block, value);
                    }
                }
                Put(i, best);
                moved |= best != before;
            }
        }
    }

    /// <summary>A radio goes to a block, and what joins it by radio goes along.</summary>
    private void Put(int at, ChannelBlock block)
    {
        _blocks[at] = block;
        foreach (var i in _own.Where(i => _radios[i].Follows == at))
        {
            _blocks[i] = block;
        }
    }

    /// <summary>
    /// What all radios have together: the product of their capacities as a logarithm, so that none is starved for another, less what the
    /// changes have to be worth.
    /// </summary>
    private double Value()
    {
        var value = 0.0;
        foreach (var i in _own)
        {
            if (ChannelPlan.Share(_radios, _blocks, i) is { } share)
            {
                value += Math.Log(Math.Max(1e-6, share * Capacity(i, _blocks[i]!.WidthMhz)));
            }
        }
        return value
            - (WorthAChange * _movable.Count(i => _blocks[i] != _radios[i].Now))
            - (WorthRadar * _movable.Count(i => _blocks[i] is { } block && _radios[i].IsRadar(block)));
    }

    private double Capacity(int at, int widthMhz)
    {
        if (!_capacity.TryGetValue((at, widthMhz), out var mbps))
        {
            var radio = _radios[at].Air.Radio;
            var level = new SignalLevel(UsualDbm, 0, LevelBasis.Rooms);
            mbps = AirRates
                .Of(radio.Band, level, new(radio.Generation, radio.Streams, widthMhz), new(WifiGeneration.Unknown, null, null))
                .Usual!.Value;
            _capacity[(at, widthMhz)] = mbps;
        }
        return mbps;
    }
}
