using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Readings;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;

namespace Altrin.Core.Comparisons;

/// <summary>
/// What a scan of the air says: which of the home's own networks are heard and as what, what was left on, and who sends beside them.
/// </summary>
internal static class AirStatements
{
    /// <summary>How many networks of one reading are spoken of.</summary>
    public const int MostNetworks = 1000;

    public static IEnumerable<Statement> Of(Design design, Taken? taken, Reading reading)
    {
        var scan = reading
            .Networks.Take(MostNetworks)
            .Where(n => reading.Blocks.Any(b => b.Kind == ReadingKind.WifiScan && b.First <= n.Line && n.Line <= b.Last))
            .ToList();
        if (scan.Count == 0)
        {
            yield break;
        }
        var ours = new HashSet<NetworkRead>();
        var senders = scan.Distinct().ToDictionary(n => n, n => MacKin.Owner(design.Site, n.Radio)?.Box);
        foreach (var air in design.SetUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal).SelectMany(b => Air.Of(design, b.Box)))
        {
            var seen = scan.Where(n =>
                    n.Name == air.Setting.Name
                    && (n.Band is null || n.Band == air.Radio.Band)
                    && (senders[n] is not { } sender || sender.Id == air.Box)
                )
                .OrderByDescending(n => n.Level?.Dbm ?? -200)
                .FirstOrDefault();
            // Names count capitals: one that differs by them alone is the same one, written otherwise in the survey.
            seen ??= scan.FirstOrDefault(n =>
                n.Name.Trim().Equals(air.Setting.Name.Trim(), StringComparison.OrdinalIgnoreCase)
                && n.Band == air.Radio.Band
                && senders[n]?.Id == air.Box
            );
            ours.UnionWith(scan.Where(n => n.Name == air.Setting.Name || n == seen));
            yield return One(design, air, seen);
        }
        foreach (var (network, box) in scan.Where(n => !ours.Contains(n)).Select(n => (n, senders[n])).Where(n => n.Item2 is not null))
        {
            ours.Add(network);
            yield return new(
                $"left-on:{network.Radio}",
                network.Line,
                $"{box!.Name} also sends \"{network.Name}\"{(network.Channel is { } c ? $" on channel {c}" : "")}{(network.Security == WifiSecurity.Open ? ", open to everybody" : "")}.",
                Agreement.Disagrees
            )
            {
                Recorded = "No such name is recorded of it.",
                Explanations =
                [
                    new(
                        design.Mode(box.Id) is null
                            ? "It is on, although it is recorded as not in use."
                            : "A factory or guest name was left on, or its radios are not as recorded.",
                        []
                    ),
                ],
            };
        }
        yield return Heard(
            design.Site,
            taken,
            [.. scan.Select(n => AsHeard(n) with { StoodIn = senders[n] is { } box ? design.Setting(box.Id)?.Place : null })],
            [.. scan.Where(n => !ours.Contains(n)).Select(AsHeard)]
        );
    }

    /// <summary>What was heard as a fact of the place where it was heard.</summary>
    private static Statement Heard(Site site, Taken? taken, List<HeardNetwork> scan, List<HeardNetwork> others)
    {
        var heard = new AirScan([
            .. scan.Where(n => n.Name.Length <= HeardNetwork.LongestName)
                .Distinct()
                .OrderByDescending(n => n.LevelDbm ?? AirScan.WeakestDbm)
                .ThenBy(n => n.Name, StringComparer.Ordinal)
                .ThenBy(n => n.Radio)
                .Take(AirScan.MostNetworks),
        ])
        {
            At = taken?.At,
        };
        var said = new Statement(
            "air:others",
            0,
            $"{(others.Count == 0 ? "No network" : Count(others.Count))} of neighbours.{(others.Count == 0 ? "" : $" {PlaceAir.Channels(others)}.")}",
            Agreement.Unknown
        );
        if (site.Place(taken?.Place) is not { } place)
        {
            return said with { Recorded = "Say in which place it was taken to have it noted there, for the choice of channels." };
        }
        if (place.Air?.Networks.SequenceEqual(heard.Networks) == true)
        {
            return said with { Agreement = Agreement.Agrees, Recorded = $"Noted of {place.Name}." };
        }
        return said with
        {
            Recorded = place.Air is { } before
                ? $"Noted of {place.Name}: {Count(before.Networks.Count)}{(before.At is { } at ? $" on {at[..10]}" : "")}."
                : $"Nothing is noted of the air in {place.Name}.",
            Offer =
                $"In {place.Name} {Count(heard.Networks.Count)} {(heard.Networks.Count == 1 ? "is" : "are")} heard{(scan.Count > AirScan.MostNetworks ? ", the strongest of them all" : "")}",
            Corrections = [new SetPlace(place.Id, Partial<Place>.With(p => p.Air, heard))],
        };
    }

    private static string Count(int networks) => $"{networks} {(networks == 1 ? "network" : "networks")}";

    private static HeardNetwork AsHeard(NetworkRead read) =>
        new(read.Name)
        {
            Radio = IpReader.Own(read.Radio),
            Band = read.Band,
            Channel = read.Channel is >= 1 and <= HeardNetwork.HighestChannel ? read.Channel : null,
            LevelDbm = read.Level is { Dbm: >= AirScan.WeakestDbm and <= AirScan.StrongestDbm } level ? Math.Round(level.Dbm, 1) : null,
            EitherDb = read.Level is { EitherDb: > 0 and <= AirScan.MostEitherDb } rough ? rough.EitherDb : null,
            BusyPercent = read.BusyPercent is >= 0 and <= 100 ? read.BusyPercent : null,
            Security = read.Security,
        };

    private static Statement One(Design design, Air air, NetworkRead? seen)
    {
        var id = $"air:{air.Box}/{(air.Guest ? "guest-" : "")}{air.Radio.Id}{(air.Further ? $":{air.Setting.Name}" : "")}";
        var what = $"\"{air.Setting.Name}\" of {design.NameOf(air.Box)}, {BandWords.Of(air.Radio.Band)}";
        if (seen is null)
        {
            return new(id, 0, $"{what}: not heard.", Agreement.Unknown)
            {
                Recorded = air.Setting.Hidden ? "It hides its name." : "Too far from here, off, or named otherwise.",
            };
        }
        var said =
            $"{what}: {(seen.Channel is { } channel ? $"channel {channel}" : "heard")}{(seen.Level is { } level ? $", {LinkStatements.Words(level)}" : "")}.";
        var (offChannel, offSecurity) = (
            air.Setting.Channel is { } set && seen.Channel is { } now && set != now,
            seen.Security is { } security && security != air.Setting.Security
        );
        var offName = seen.Name != air.Setting.Name;
        if (!offChannel && !offSecurity && !offName)
        {
            return new(id, seen.Line, said, air.Setting.Channel is null && seen.Channel is not null ? Agreement.Unknown : Agreement.Agrees)
            {
                Recorded = air.Setting.Channel is null
                    ? "Recorded: the box chooses its channel."
                    : $"Recorded: channel {air.Setting.Channel}.",
            };
        }
        // What guests get and further names are set elsewhere, and what a main node sends is set there.
        var setting = air.Setting with
        {
            Name = seen.Name,
            Channel = offChannel ? seen.Channel : air.Setting.Channel,
            Security = offSecurity ? seen.Security!.Value : air.Setting.Security,
        };
        var change = air.Guest || air.Further ? null : SetRadio.Between(air.Box, air.Setting, setting);
        var offered = change?.ApplyTo(design).Ok == true ? change : null;
        return new(id, seen.Line, said, Agreement.Disagrees)
        {
            Recorded =
                $"Recorded: {string.Join(", ", new[] { offName ? $"\"{air.Setting.Name}\", heard \"{seen.Name}\": capitals and blanks count" : null, offChannel ? $"channel {air.Setting.Channel}" : null, offSecurity ? $"{SecurityWords.Of(air.Setting.Security)}, heard {SecurityWords.Of(seen.Security!.Value)}" : null }.OfType<string>())}.",
            Offer = offered is null
                ? null
                : $"{design.NameOf(air.Box)} sends \"{setting.Name}\"{(offChannel ? $" on channel {seen.Channel}" : "")}{(offSecurity ? $" with {SecurityWords.Of(setting.Security)}" : "")}",
            Changes = offered is null ? [] : [offered],
        };
    }
}
