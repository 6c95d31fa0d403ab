using Altrin.Core.Addressing;

namespace Altrin.Core.Sites;

/// <summary>
/// Says that a home has no such box, device or port, and what it has instead: people type a name or the label where an id is meant.
/// </summary>
internal static class Missing
{
    /// <summary>How many ids are named.</summary>
    private const int Most = 12;

    /// <summary>There is no box of that id.</summary>
    public static string Box(Design design, string id) => Named("box", id, [.. design.Site.Boxes.Select(b => (b.Id, b.Name))]);

    /// <summary>There is no device of that id.</summary>
    public static string Device(Design design, string id) => Named("device", id, [.. design.Site.Devices.Select(d => (d.Id, d.Name))]);

    private static string Named(string kind, string id, IReadOnlyList<(string Id, string Name)> all)
    {
        var shown = $"There is no {kind} '{Ipv4Address.Shown(id)}'";
        var named = all.FirstOrDefault(n => string.Equals(n.Name, id, StringComparison.OrdinalIgnoreCase));
        return named.Id is null ? $"{shown}{Instead(all.Select(n => n.Id))}." : $"{shown}: the id of {named.Name} is '{named.Id}'.";
    }

    /// <summary>There is no such port.</summary>
    public static string Port(Design design, PortRef end)
    {
        if (design.Box(end.Owner) is not { } box)
        {
            return Box(design, end.Owner);
        }
        var labelled = box.Profile.Ports.FirstOrDefault(p => string.Equals(p.Label, end.Port, StringComparison.OrdinalIgnoreCase));
        return $"There is no port '{Ipv4Address.Shown(end.ToString())}'"
            + (
                labelled is not null
                    ? $": what is marked {labelled.Label} on {box.Name} is '{box.Id}/{labelled.Id}'."
                    : $"{Instead(box.Profile.Ports.Select(p => $"{box.Id}/{p.Id}"))}."
            );
    }

    private static string Instead(IEnumerable<string> ids)
    {
        var all = ids.ToList();
        return all.Count == 0
            ? ""
            : $"; there is {string.Join(", ", all.Take(Most))}{(all.Count > Most ? $" and {all.Count - Most} more" : "")}";
    }
}
