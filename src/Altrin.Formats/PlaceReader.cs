namespace Altrin.Formats;

/// <summary>Checks what a schema cannot say of places, sockets, runs and speeds: that ids are used once and lead somewhere.</summary>
internal static class PlaceReader
{
    public static void Check(SiteDocument site, ReadErrors errors)
    {
        var (buildings, places, sockets, runs) = (site.Buildings ?? [], site.Places ?? [], site.Sockets ?? [], site.Runs ?? []);
        List<(string Id, string Pointer)> ids =
        [
            .. site.Boxes.Select((b, i) => (b.Id, $"/site/boxes/{i}/id")),
            .. site.Devices.Select((d, i) => (d.Id, $"/site/devices/{i}/id")),
            .. buildings.Select((b, i) => (b.Id, $"/site/buildings/{i}/id")),
            .. places.Select((p, i) => (p.Id, $"/site/places/{i}/id")),
            .. sockets.Select((s, i) => (s.Id, $"/site/sockets/{i}/id")),
            .. runs.Select((r, i) => (r.Id, $"/site/runs/{i}/id")),
            .. (site.Speeds ?? []).Select((s, i) => (s.Id, $"/site/speeds/{i}/id")),
        ];
        errors.Unique(ids, i => i.Id, i => ids[i].Pointer, "an id of a box, device, building, place, socket, run or speed");
        for (var i = 0; i < buildings.Count; i++)
        {
            errors.Plain($"/site/buildings/{i}/name", buildings[i].Name);
        }
        for (var i = 0; i < places.Count; i++)
        {
            errors.Plain($"/site/places/{i}/name", places[i].Name);
            for (var n = 0; n < (places[i].Air?.Networks.Count ?? 0); n++)
            {
                // Who hides a network sends it without a name.
                var name = places[i].Air!.Networks[n].Name;
                errors.Wrong(
                    $"/site/places/{i}/air/networks/{n}/name",
                    name,
                    name.Any(char.IsControl) ? "plain text on one line is expected" : null
                );
            }
            Leads($"/site/places/{i}/building", places[i].Building, buildings.Select(b => b.Id), "a building");
        }
        for (var i = 0; i < sockets.Count; i++)
        {
            errors.Plain($"/site/sockets/{i}/name", sockets[i].Name);
            Leads($"/site/sockets/{i}/place", sockets[i].Place, places.Select(p => p.Id), "a place");
        }
        var used = runs.SelectMany((r, i) => new[] { (End: r.A, Pointer: $"/site/runs/{i}/a"), (End: r.B, Pointer: $"/site/runs/{i}/b") })
            .ToList();
        errors.Unique(used, u => u.End, i => used[i].Pointer, "a socket of a run");
        foreach (var (end, pointer) in used)
        {
            Leads(pointer, end, sockets.Select(s => s.Id), "a socket");
        }
        for (var i = 0; i < runs.Count; i++)
        {
            errors.Wrong($"/site/runs/{i}/pairs", $"{runs[i].Pairs}", runs[i].Pairs == 3 ? "2 or 4 pairs are expected" : null);
        }
        for (var i = 0; i < site.Devices.Count; i++)
        {
            Leads($"/site/devices/{i}/place", site.Devices[i].Place, places.Select(p => p.Id), "a place");
        }
        for (var i = 0; i < site.Boxes.Count; i++)
        {
            Leads($"/site/boxes/{i}/place", site.Boxes[i].Place, places.Select(p => p.Id), "a place");
        }
        Leads("/site/service/handOff", site.Service.HandOff, site.Boxes.Select(b => b.Id), "a box");

        void Leads(string pointer, string? id, IEnumerable<string> there, string what)
        {
            if (id is not null && !there.Contains(id))
            {
                errors.Add(pointer, $"\"{id}\"", $"the id of {what} of this site is expected");
            }
        }
    }
}
