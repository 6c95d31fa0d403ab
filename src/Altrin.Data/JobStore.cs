using System.Text;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;
using Altrin.Formats;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>A home that can be committed: written, and read back as it will be.</summary>
/// <param name="Home">The home as it is read.</param>
/// <param name="Text">Its design file.</param>
public sealed record PreparedHome(HomeFile Home, string Text);

/// <summary>What becomes a revision.</summary>
/// <param name="Home">The home, ready to be kept.</param>
/// <param name="Label">What was done, in words.</param>
/// <param name="Tab">Who did it.</param>
public sealed record NewRevision(PreparedHome Home, string Label, string Tab);

/// <summary>Jobs and their revisions.</summary>
public sealed class JobStore(Writing writing, TimeProvider time, ReadHomes homes)
{
    private readonly AltrinContext context = writing.Context;

    /// <summary>The largest page of a list.</summary>
    public const int MostPerPage = 100;

    /// <summary>One page of jobs.</summary>
    /// <param name="search">Part of the name, small or capital letters alike; null for all.</param>
    /// <param name="archived">Whether to list those archived instead of the open ones.</param>
    /// <param name="order">In which order.</param>
    /// <param name="page">From 1.</param>
    /// <param name="perPage">1 to <see cref="MostPerPage"/>.</param>
    /// <param name="cancel">Stops the work.</param>
    public async Task<Paged<JobEntity>> List(string? search, bool archived, JobOrder order, int page, int perPage, CancellationToken cancel)
    {
        var jobs = context.Jobs.AsNoTracking().Where(j => archived == (j.ArchivedAt != null));
        if (!string.IsNullOrWhiteSpace(search))
        {
            var pattern =
                $"%{search.Trim().Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal).Replace("_", "\\_", StringComparison.Ordinal)}%";
            jobs = jobs.Where(j => EF.Functions.Like(j.Name, pattern, "\\"));
        }
        var total = await jobs.CountAsync(cancel);
        var ordered = order switch
        {
            JobOrder.Changed => jobs.OrderByDescending(j => j.ChangedAt),
            JobOrder.Created => jobs.OrderByDescending(j => j.CreatedAt),
            JobOrder.Name => jobs.OrderBy(j => EF.Functions.Collate(j.Name, "NOCASE")),
            _ => throw new ArgumentOutOfRangeException(nameof(order)),
        };
        var items = await ordered.ThenByDescending(j => j.Id).Skip((page - 1) * perPage).Take(perPage).ToListAsync(cancel);
        return new(items, page, perPage, total);
    }

    /// <summary>
    /// Makes a home ready to be committed, before anybody has to wait for it: it is written and read back, so that no revision is kept that
    /// could not be opened again. Or says why it cannot be kept.
    /// </summary>
    public Parsed<PreparedHome> Prepare(HomeFile home)
    {
        var text = DesignFile.Write(home);
        if (Encoding.UTF8.GetByteCount(text) > DesignFile.MostBytes)
        {
            return Parsed<PreparedHome>.Fail($"The design would be larger than the {DesignFile.MostBytes:#,0} bytes that are kept of one.");
        }
        var read = homes.Read(text);
        return read.Value is { } same
            ? new PreparedHome(same, text)
            : Parsed<PreparedHome>.Fail($"The design could not be read again: {read.Errors[0]}");
    }

    /// <summary>A new job with its first revision.</summary>
    public Task<JobHead> Create(string name, NewRevision made, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                var now = time.GetUtcNow();
                var job = new JobEntity
                {
                    Name = name,
                    CreatedAt = now,
                    ChangedAt = now,
                    Version = 1,
                };
                context.Jobs.Add(job);
                await context.SaveChangesAsync(cancel);
                var first = await Revise(job, null, made, cancel);
                job.HeadId = first.Id;
                return new JobHead(job, first, made.Home.Home, null, null);
            },
            cancel
        );

    /// <summary>A job with its head; null when there is none with this id.</summary>
    public async Task<JobHead?> Find(long id, CancellationToken cancel)
    {
        // One query: between two, the head could move. A transaction would hold up those who write.
        var rows =
            from job in context.Jobs.AsNoTracking()
            join revision in context.Revisions.AsNoTracking() on job.HeadId equals revision.Id
            where job.Id == id
            select new { job, revision };
        return await rows.FirstOrDefaultAsync(cancel) is { } found ? await Head(found.job, found.revision, cancel) : null;
    }

    /// <summary>Renames a job, or archives it or brings it back; null where there is none with this id.</summary>
    public Task<JobEntity?> Edit(long id, string? name, bool? archived, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                if (await context.Jobs.FirstOrDefaultAsync(j => j.Id == id, cancel) is not { } job)
                {
                    return null;
                }
                job.Name = name ?? job.Name;
                job.ArchivedAt = archived switch
                {
                    true => job.ArchivedAt ?? time.GetUtcNow(),
                    false => null,
                    null => job.ArchivedAt,
                };
                Moved(job);
                return job;
            },
            cancel
        );

    /// <summary>Commits a design as the new head, if the head is still the one that the caller saw.</summary>
    /// <param name="id">The job.</param>
    /// <param name="version">The version that the caller saw.</param>
    /// <param name="made">The design, and what was done.</param>
    /// <param name="cancel">Stops the work.</param>
    /// <param name="also">Adds what belongs to the new revision, to be saved with it or not at all.</param>
    public async Task<HeadMove> Commit(long id, long version, NewRevision made, CancellationToken cancel, Action<long>? also = null)
    {
        JobHead? head = null;
        var moved = await Move(
            id,
            version,
            async job =>
            {
                var next = await Revise(job, job.HeadId, made, cancel);
                job.HeadId = next.Id;
                also?.Invoke(next.Id);
                head = new(job, next, made.Home.Home, made.Label, null);
                return Moving.Done;
            },
            cancel
        );
        return moved == Moving.Done ? new HeadMove.Done(head!) : await Told(id, moved, cancel);
    }

    /// <summary>Moves the head to its parent. What another tab did is undone only when <paramref name="evenOthers"/> says so.</summary>
    public async Task<HeadMove> Undo(long id, long version, string tab, bool evenOthers, CancellationToken cancel) =>
        await Told(
            id,
            await Move(
                id,
                version,
                async job =>
                {
                    var head = await context
                        .Revisions.AsNoTracking()
                        .Where(r => r.Id == job.HeadId)
                        .Select(r => new { r.ParentId, r.Tab })
                        .FirstAsync(cancel);
                    if (head.ParentId is not { } parent)
                    {
                        return Moving.Nothing;
                    }
                    if (head.Tab != tab && !evenOthers)
                    {
                        return Moving.OtherTab;
                    }
                    job.HeadId = parent;
                    return Moving.Done;
                },
                cancel
            ),
            cancel
        );

    /// <summary>Moves the head to its newest child.</summary>
    public async Task<HeadMove> Redo(long id, long version, CancellationToken cancel) =>
        await Told(
            id,
            await Move(
                id,
                version,
                async job =>
                {
                    if (await NewestChild(job.HeadId, cancel) is not var (child, _))
                    {
                        return Moving.Nothing;
                    }
                    job.HeadId = child;
                    return Moving.Done;
                },
                cancel
            ),
            cancel
        );

    /// <summary>One page of a job's revisions, the newest first, without their designs.</summary>
    public async Task<Paged<RevisionInfo>> Revisions(long id, int page, int perPage, CancellationToken cancel)
    {
        var all = context.Revisions.AsNoTracking().Where(r => r.JobId == id);
        var items = await all.OrderByDescending(r => r.Id)
            .Skip((page - 1) * perPage)
            .Take(perPage)
            .Select(r => new RevisionInfo(r.Id, r.ParentId, r.Label, r.CreatedAt))
            .ToListAsync(cancel);
        return new(items, page, perPage, await all.CountAsync(cancel));
    }

    /// <summary>The design of one revision of a job; null when the job has none with this id.</summary>
    public async Task<(RevisionInfo Revision, HomeFile Home)?> Revision(long id, long revision, CancellationToken cancel) =>
        await context.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.JobId == id && r.Id == revision, cancel) is { } found
            ? (new(found.Id, found.ParentId, found.Label, found.CreatedAt), await Home(found, cancel))
            : null;

    /// <summary>Moves the head, if it is still the one that the caller saw. No home is read in here: others wait.</summary>
    private Task<Moving> Move(long id, long version, Func<JobEntity, Task<Moving>> move, CancellationToken cancel) =>
        writing.Do(
            async () =>
            {
                if (await context.Jobs.FirstOrDefaultAsync(j => j.Id == id, cancel) is not { } job)
                {
                    return Moving.Missing;
                }
                if (job.Version != version)
                {
                    return Moving.Stale;
                }
                var moved = await move(job);
                if (moved == Moving.Done)
                {
                    Moved(job);
                }
                return moved;
            },
            cancel
        );

    /// <summary>What became of it, with the head as it is now.</summary>
    private async Task<HeadMove> Told(long id, Moving moved, CancellationToken cancel) =>
        moved == Moving.Missing || await Find(id, cancel) is not { } head
            ? new HeadMove.Missing()
            : moved switch
            {
                Moving.Done => new HeadMove.Done(head),
                Moving.Stale => new HeadMove.Stale(head),
                Moving.OtherTab => new HeadMove.OtherTab(head),
                _ => new HeadMove.Nothing(head),
            };

    private enum Moving
    {
        Done,
        Missing,
        Stale,
        Nothing,
        OtherTab,
    }

    private void Moved(JobEntity job)
    {
        job.Version++;
        job.ChangedAt = time.GetUtcNow();
    }

    /// <summary>One revision more. The last whole one of the job, where there is one, is what it is packed against.</summary>
    private async Task<RevisionEntity> Revise(JobEntity job, long? parent, NewRevision made, CancellationToken cancel)
    {
        var whole = await context
            .Revisions.AsNoTracking()
            .Where(r => r.JobId == job.Id && r.WholeId == null && r.Packed != null)
            .OrderByDescending(r => r.Id)
            .FirstOrDefaultAsync(cancel);
        var (packed, differs) = PackedDesign.Pack(made.Home.Text, whole is null ? null : PackedDesign.Unpack(whole.Packed!, null));
        var next = new RevisionEntity
        {
            JobId = job.Id,
            ParentId = parent,
            Label = made.Label,
            Tab = made.Tab,
            CreatedAt = time.GetUtcNow(),
            Packed = packed,
            WholeId = differs ? whole!.Id : null,
        };
        context.Revisions.Add(next);
        await context.SaveChangesAsync(cancel);
        return next;
    }

    private async Task<JobHead> Head(JobEntity job, RevisionEntity revision, CancellationToken cancel) =>
        new(
            job,
            revision,
            await Home(revision, cancel),
            revision.ParentId is null ? null : revision.Label,
            (await NewestChild(revision.Id, cancel))?.Label
        );

    private async Task<HomeFile> Home(RevisionEntity revision, CancellationToken cancel)
    {
        var whole = revision.WholeId is { } id ? await context.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.Id == id, cancel) : null;
        return homes.Of(revision, whole);
    }

    private async Task<(long Id, string Label)?> NewestChild(long revision, CancellationToken cancel) =>
        await context
            .Revisions.AsNoTracking()
            .Where(r => r.ParentId == revision)
            .OrderByDescending(r => r.Id)
            .Select(r => new { r.Id, r.Label })
            .FirstOrDefaultAsync(cancel)
            is { } child
            ? (child.Id, child.Label)
            : null;
}

/// <summary>A job at its head.</summary>
/// <param name="Job">The row.</param>
/// <param name="Revision">The head.</param>
/// <param name="Home">Its design.</param>
/// <param name="Undo">What undo would take back; null when nothing.</param>
/// <param name="Redo">What redo would bring back; null when nothing.</param>
public sealed record JobHead(JobEntity Job, RevisionEntity Revision, HomeFile Home, string? Undo, string? Redo);

/// <summary>A revision without its design.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Parent">The revision that it was made from.</param>
/// <param name="Label">What was done.</param>
/// <param name="CreatedAt">When.</param>
public sealed record RevisionInfo(long Id, long? Parent, string Label, DateTimeOffset CreatedAt);

/// <summary>One page of a list.</summary>
/// <typeparam name="T">What is listed.</typeparam>
/// <param name="Items">The items of this page.</param>
/// <param name="Number">Which page, from 1.</param>
/// <param name="PerPage">How many items a page holds.</param>
/// <param name="Total">How many there are in all.</param>
public sealed record Paged<T>(IReadOnlyList<T> Items, int Number, int PerPage, int Total);

/// <summary>What became of moving a head.</summary>
public abstract record HeadMove
{
    private HeadMove() { }

    /// <summary>It moved.</summary>
    public sealed record Done(JobHead Head) : HeadMove;

    /// <summary>There is no such job.</summary>
    public sealed record Missing : HeadMove;

    /// <summary>Another user moved it before; this is where it is now.</summary>
    public sealed record Stale(JobHead Head) : HeadMove;

    /// <summary>There is nothing to undo or redo.</summary>
    public sealed record Nothing(JobHead Head) : HeadMove;

    /// <summary>The head was made in another tab.</summary>
    public sealed record OtherTab(JobHead Head) : HeadMove;
}
