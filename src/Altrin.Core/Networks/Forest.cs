namespace Altrin.Core.Networks;

/// <summary>Groups that links make into segments, and the rings that links close.</summary>
internal sealed class Forest
{
    private readonly Dictionary<Group, Group> _parent = [];
    private readonly Dictionary<Group, List<(Group To, string Link)>> _tree = [];

    public void Add(Group group)
    {
        _parent[group] = group;
        _tree[group] = [];
    }

    public bool Has(Group group) => _parent.ContainsKey(group);

    public bool Same(Group a, Group b) => Has(a) && Has(b) && Root(a) == Root(b);

    /// <summary>The groups of each segment, groups in order, segments by their first group.</summary>
    public IEnumerable<Group[]> Domains() => _parent.Keys.GroupBy(Root).Select(g => g.Order().ToArray()).OrderBy(g => g[0]);

    public void Union(Group a, Group b)
    {
        var (low, high) = Root(a).CompareTo(Root(b)) <= 0 ? (Root(a), Root(b)) : (Root(b), Root(a));
        _parent[high] = low;
    }

    /// <summary>Adds a link; the links of the ring that it closes, in order, or null where it closes none.</summary>
    public IReadOnlyList<string>? Grow(Group a, Group b, string link)
    {
        if (Root(a) == Root(b))
        {
            return [.. PathBetween(a, b).Append(link).Order(StringComparer.Ordinal)];
        }
        Union(a, b);
        _tree[a].Add((b, link));
        _tree[b].Add((a, link));
        return null;
    }

    private Group Root(Group group)
    {
        while (_parent[group] != group)
        {
            group = _parent[group] = _parent[_parent[group]];
        }
        return group;
    }

    /// <summary>The links between two groups that links already join; a link from a group to itself has none between.</summary>
    private List<string> PathBetween(Group from, Group to)
    {
        var cameBy = new Dictionary<Group, (Group From, string Link)> { [from] = (from, "") };
        var queue = new Queue<Group>([from]);
        while (queue.TryDequeue(out var at) && !cameBy.ContainsKey(to))
        {
            foreach (var (next, link) in _tree[at])
            {
                if (cameBy.TryAdd(next, (at, link)))
                {
                    queue.Enqueue(next);
                }
            }
        }
        var path = new List<string>();
        for (var at = to; at != from; at = cameBy[at].From)
        {
            path.Add(cameBy[at].Link);
        }
        return path;
    }
}
