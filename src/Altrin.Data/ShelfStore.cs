using Altrin.Core.Addressing;
using Altrin.Core.Sites;
using Altrin.Core.Surveys;
using Altrin.Formats;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>The gear shelf: what comes with the program, hidden entry by entry by what was made or edited here.</summary>
public sealed class ShelfStore(Writing writing, TimeProvider time)
{
    private readonly AltrinContext context = writing.Context;

    /// <summary>The whole shelf, in the order of the program's own entries, new ones last.</summary>
    public async Task<Shelf> Read(CancellationToken cancel)
    {
        var own = (await context.Profiles.AsNoTracking().OrderBy(p => p.Id).ToListAsync(cancel)).Select(Profile).ToList();
        return new([
            .. ProfileFile.BuiltIn.Profiles.Select(p => own.Find(o => o.ShelfId == p.ShelfId) ?? p),
            .. own.Where(o => ProfileFile.BuiltIn.Find(o.ShelfId) is null),
        ]);
    }

    /// <summary>Ids of the entries that were made or edited here.</summary>
    public async Task<IReadOnlyList<string>> Own(CancellationToken cancel) =>
        await context.Profiles.AsNoTracking().OrderBy(p => p.Id).Select(p => p.ShelfId).ToListAsync(cancel);

    /// <summary>
    /// Takes profiles onto the shelf; one that is there already gets its next edition, unless it is the same to the letter.
    /// </summary>
    /// <returns>The entries as they stand there now, or why none was taken.</returns>
    public Task<Parsed<IReadOnlyList<Profile>>> Put(IReadOnlyList<Profile> profiles, CancellationToken cancel) =>
        writing.Do<Parsed<IReadOnlyList<Profile>>>(
            async () =>
            {
                var shelf = await Read(cancel);
                var kept = new List<Profile>();
                foreach (var profile in profiles)
                {
                    var there = shelf.Find(profile.ShelfId);
                    var next = profile with { Edition = (there?.Edition ?? 0) + 1 };
                    if (there is not null && Text(there with { Edition = 1 }) == Text(profile with { Edition = 1 }))
                    {
                        kept.Add(there);
                        continue;
                    }
                    var row = await context.Profiles.FirstOrDefaultAsync(p => p.ShelfId == profile.ShelfId, cancel);
                    if (row is null)
                    {
                        row = new ProfileEntity { ShelfId = profile.ShelfId, Profile = "" };
                        context.Profiles.Add(row);
                    }
                    (row.Edition, row.Profile, row.ChangedAt) = (next.Edition, Text(next), time.GetUtcNow());
                    kept.Add(next);
                }
                // Nothing was saved yet: what is refused is let go of.
                var added = kept.Select(k => k.ShelfId).Distinct().Count(id => shelf.Find(id) is null);
                if (shelf.Profiles.Count + added > Shelf.Most)
                {
                    context.ChangeTracker.Clear();
                    return Parsed<IReadOnlyList<Profile>>.Fail($"The shelf holds at most {Shelf.Most} entries.");
                }
                return kept;
            },
            cancel
        );

    /// <summary>Takes an entry that was made here off the shelf; where it hid one of the program, that shows again.</summary>
    public Task<bool> Drop(string shelfId, CancellationToken cancel) =>
        writing.Do(async () => await context.Profiles.Where(p => p.ShelfId == shelfId).ExecuteDeleteAsync(cancel) > 0, cancel);

    private static string Text(Profile profile) => ProfileFile.Write([profile]);

    private static Profile Profile(ProfileEntity row)
    {
        var read = ProfileFile.Read(row.Profile);
        return read.Value?.Profiles[0] ?? throw new InvalidDataException($"The shelf entry {row.ShelfId} cannot be read: {read.Errors[0]}");
    }
}
