using System.Buffers.Binary;
using System.Text;

namespace Altrin.Core.Radio;

/// <summary>
/// Which channels, widths and powers the law of a country allows, by the list that Linux kernels go by (wireless-regdb 2026.05.30, ISC
/// licence; the file is the one of Debian's package, unaltered). It is a help and no legal advice: local law decides.
/// </summary>
public sealed class CountryRules
{
    /// <summary>A width, channel and power are usual where at least this share of the countries on the list allows them.</summary>
    private const double NearlyAll = 0.93;

    private static readonly Lazy<IReadOnlyDictionary<string, CountryRules>> Listed = new(Read);

    private CountryRules(string code, RadarRegion region, IReadOnlyList<CountryRule> rules) =>
        (Code, Region, Rules) = (code, region, rules);

    /// <summary>Its two letters (ISO 3166-1).</summary>
    public string Code { get; }

    /// <summary>By whose rules radar comes first.</summary>
    public RadarRegion Region { get; }

    /// <summary>What it says of each stretch.</summary>
    public IReadOnlyList<CountryRule> Rules { get; }

    /// <summary>Every country on the list, by its letters.</summary>
    public static IEnumerable<CountryRules> All => Listed.Value.Values.OrderBy(c => c.Code, StringComparer.Ordinal);

    /// <summary>The rules of a country; null where none was noted, or it is not on the list.</summary>
    public static CountryRules? Of(string? country) => country is null ? null : Listed.Value.GetValueOrDefault(country);

    /// <summary>
    /// What may be sent in a block where a country is, or everywhere where none was noted: then the least of what all countries on the
    /// list allow; null where it is not allowed, or not everywhere.
    /// </summary>
    public static Allowance? Allowed(string? country, ChannelBlock block)
    {
        if (Of(country) is { } rules)
        {
            return rules.Allowed(block);
        }
        var all = All.Select(c => c.Allowed(block)).ToList();
        return all.Contains(null) ? null : all.Aggregate((a, b) => a!.And(b!));
    }

    /// <summary>Whether nearly every country on the list allows a block without a word about radar.</summary>
    public static bool IsUsual(ChannelBlock block) =>
        All.Count(c => c.Allowed(block) is { Radar: false }) >= NearlyAll * Listed.Value.Count;

    /// <summary>What may be sent in a block; null where it is not allowed.</summary>
    public Allowance? Allowed(ChannelBlock block)
    {
        var usable = Rules.Where(r => r.Usable).ToList();
        var within = usable.Where(r => r.LowMhz <= block.LowMhz && r.HighMhz >= block.HighMhz && r.WidestMhz >= block.WidthMhz).ToList();
        if (within.Count == 0)
        {
            // Stretches side by side that reach into each other count as one.
            within = [.. usable.Where(r => r.LowMhz < block.HighMhz && r.HighMhz > block.LowMhz).OrderBy(r => r.LowMhz)];
            var joined =
                within.Count > 0
                && within[0].LowMhz <= block.LowMhz
                && within[^1].HighMhz >= block.HighMhz
                && within.TrueForAll(r => r.Flags.HasFlag(CountryTerms.Joins))
                && within.Zip(within.Skip(1)).All(p => p.First.HighMhz >= p.Second.LowMhz);
            return joined ? within.Select(Of).Aggregate((a, b) => a.And(b)) : null;
        }
        return within.Select(Of).MaxBy(a => a.MostDbm);

        Allowance Of(CountryRule rule)
        {
            // Radar that gives way to none is found at 5 GHz only; the list has the mark at 2.4 GHz for one country, by mistake.
            var radar = block.Band == RadioBand.Ghz5 && rule.Flags.HasFlag(CountryTerms.Radar);
            return new(rule.MostDbm, rule.Flags.HasFlag(CountryTerms.Indoors), radar, radar ? RadarWait.Of(block, Region) : TimeSpan.Zero);
        }
    }

    /// <summary>
    /// The file: a mark and a version, pairs of letters with where their rules stand; there, how many rules, and where each stands. Numbers
    /// are big-endian, places count four octets (as Linux reads it, net/wireless/reg.c).
    /// </summary>
    private static Dictionary<string, CountryRules> Read()
    {
        using var stream = typeof(CountryRules).Assembly.GetManifestResourceStream("regulatory.db")!;
        using var memory = new MemoryStream();
        stream.CopyTo(memory);
        var file = memory.ToArray();
        var found = new Dictionary<string, CountryRules>(StringComparer.Ordinal);
        for (var at = 8; Word(at) != 0; at += 4)
        {
            var code = Encoding.ASCII.GetString(file, at, 2);
            var there = Place(at + 2);
            var firstRule = there + ((file[there] + 1) / 2 * 2);
            // The world as a whole stands there as "00": it is no country.
            if (char.IsAsciiLetter(code[0]))
            {
                var rules = Enumerable.Range(0, file[there + 1]).Select(i => Rule(Place(firstRule + (2 * i))));
                found[code] = new(code, (RadarRegion)file[there + 2], [.. rules]);
            }
        }
        return found;

        ushort Half(int at) => BinaryPrimitives.ReadUInt16BigEndian(file.AsSpan(at));
        uint Word(int at) => BinaryPrimitives.ReadUInt32BigEndian(file.AsSpan(at));
        int Place(int at) => Half(at) * 4;
        CountryRule Rule(int at) =>
            new(Word(at + 4) / 1000.0, Word(at + 8) / 1000.0, Word(at + 12) / 1000.0, Half(at + 2) / 100.0, (CountryTerms)file[at + 1]);
    }
}

/// <summary>What may be sent in a block of spectrum.</summary>
/// <param name="MostDbm">The most power that may leave the antenna (EIRP), in dBm.</param>
/// <param name="Indoors">Whether indoors only.</param>
/// <param name="Radar">Whether radar comes first.</param>
/// <param name="Wait">How long is listened for radar first; none where radar is no matter.</param>
public sealed record Allowance(double MostDbm, bool Indoors, bool Radar, TimeSpan Wait)
{
    /// <summary>What both allow.</summary>
    public Allowance And(Allowance other) =>
        new(Math.Min(MostDbm, other.MostDbm), Indoors || other.Indoors, Radar || other.Radar, Wait > other.Wait ? Wait : other.Wait);
}
