using System.Text.RegularExpressions;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>
/// How something is connected, as a part of its line says: "at Loft switch", "port 2", "by cable", "by radio", "at the line".
/// </summary>
internal sealed partial class QuickConnection(Site site)
{
    /// <summary>What may stand there, in words.</summary>
    public const string Expected = "'at' and a box, 'port 2', by cable, by radio";

    /// <summary>What was said so far.</summary>
    public Connection Said { get; private set; } = Connection.NotSaid;

    /// <summary>Takes a part that says how something is connected; null for one that does not.</summary>
    public Parsed<string>? Read(string text)
    {
        if (QuickWords.Is(text, "by cable", "cable", "wired", "cabled", "on a cable", "by wire", "lan"))
        {
            return Put(Said with { By = ConnectedBy.Cable }, "on a cable");
        }
        if (QuickWords.Is(text, "by radio", "by wifi", "by wi-fi", "wireless", "radio", "over wifi", "over wi-fi", "wirelessly"))
        {
            return Put(Said with { By = ConnectedBy.Radio }, "by radio");
        }
        if (Ports().Match(text) is { Success: true } alone)
        {
            return Put(Said with { Port = alone.Groups["port"].Value }, "port that its cable is in");
        }
        if (Boxes().Match(text) is not { Success: true } match)
        {
            return null;
        }
        var name = match.Groups["box"].Value;
        if (QuickWords.Is(name, "line", "the line", "street", "internet", "the internet", "the internet line", "internet line"))
        {
            return Put(Said with { To = PortRef.Street }, "at the internet line");
        }
        var (box, port) = (BoxOf(name), (string?)null);
        if (box is null && match.Groups["port"].Success)
        {
            (box, port) = (BoxOf(match.Groups["before"].Value), match.Groups["port"].Value);
        }
        return box is null && QuickWords.PlaceIn(site, name) is not null ? null
            : box is null ? Parsed<string>.Fail($"No box is called '{Ipv4Address.Shown(name)}'; {There()}")
            : Put(Said with { To = box.Id, Port = port ?? Said.Port }, $"connected to {box.Name}{(port is null ? "" : $", port {port}")}");
    }

    private string There() =>
        site.Boxes.Count == 0
            ? "gear comes first."
            : $"there {(site.Boxes.Count == 1 ? "is" : "are")} {string.Join(", ", site.Boxes.Take(8).Select(b => b.Name))}.";

    private Parsed<string>? Put(Connection said, string means)
    {
        Said = said;
        return QuickWords.Means(means);
    }

    /// <summary>The box that a name means, in full or by the beginning of one box's name.</summary>
    private Box? BoxOf(string name) =>
        site.Boxes.FirstOrDefault(b => string.Equals(b.Name, name, StringComparison.OrdinalIgnoreCase) || b.Id == name)
        ?? (
            name.Length >= 2 && site.Boxes.Where(b => b.Name.StartsWith(name, StringComparison.OrdinalIgnoreCase)).ToList() is [var one]
                ? one
                : null
        );

    [GeneratedRegex(
        @"^(?:port|lan|socket|lan port)\s*(?<port>(?:[a-z]{1,3}\s?)?\d{1,3}|up|uplink)$",
        RegexOptions.NonBacktracking | RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture
    )]
    private static partial Regex Ports();

    [GeneratedRegex(
        @"^(?:at|on|to|via|behind|from)\s+(?<box>(?<before>.+?)(?:\s+(?:port|lan|socket)\s*(?<port>(?:[a-z]{1,3}\s?)?\d{1,3}|up|uplink))?)$",
        RegexOptions.NonBacktracking | RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture
    )]
    private static partial Regex Boxes();
}
