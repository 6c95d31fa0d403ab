using Altrin.Core.Sites;
using Altrin.Formats;
using Microsoft.EntityFrameworkCore;

namespace Altrin.Data;

/// <summary>Jobs and their revisions.</summary>
public sealed class JobStore(AltrinContext context, TimeProvider time, ReadHomes homes)
{
    /// <summary>The largest page of a list.</summary>
    public const int MostPerPage = 100;

    /// <summary>One page of jobs, the last changed first.</summary>
    /// <param name="search">Part of the name, small or capital letters alike; null for all.</param>
    /// <param name="archived">Whether to list those put away instead of the open ones.</param>
    /// <param name="page">From 1.</param>
    /// <param name="perPage">1 to <see cref="MostPerPage"/>.</param>
    /// <param name="cancel">Stops the work.</param>
    public async Task<Page<JobEntity>> List(string? search, bool archived, int page, int perPage, CancellationToken cancel)
    {
        var jobs = context.Jobs.AsNoTracking().Where(j => archived == (j.ArchivedAt != null));
        if (!string.IsNullOrWhiteSpace(search))
        {
            var pattern = $"%{search.Trim().Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal).Replace("_", "\\_", StringComparison.Ordinal)}%";
            jobs = jobs.Where(j => EF.Functions.Like(j.Name, pattern, "\\"));
        }
        var total = await jobs.CountAsync(cancel);
        var items = await jobs.OrderByDescending(j => j.ChangedAt).ThenByDescending(j => j.Id).Skip((page - 1) * perPage).Take(perPage).ToListAsync(cancel);
        return new(items, page, perPage, total);
    }

    /// <summary>A new job with its first revision.</summary>
    public async Task<JobHead> Create(string name, HomeFile home, string label, string tab, CancellationToken cancel)
    {
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        var now = time.GetUtcNow();
        var job = new JobEntity { Name = name, CreatedAt = now, ChangedAt = now, Version = 1 };
        context.Jobs.Add(job);
        await context.SaveChangesAsync(cancel);
        var first = new RevisionEntity { JobId = job.Id, Label = label, Tab = tab, CreatedAt = now, Design = DesignFile.Write(home) };
        context.Revisions.Add(first);
        await context.SaveChangesAsync(cancel);
        job.HeadId = first.Id;
        await context.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return new(job, first, home, null, null);
    }

    /// <summary>A job with its head; null when there is none with this id.</summary>
    public async Task<JobHead?> Find(long id, CancellationToken cancel)
    {
        // One query: between two, the head could move. A transaction would hold up those who write.
        var rows = from job in context.Jobs.AsNoTracking() join revision in context.Revisions.AsNoTracking() on job.HeadId equals revision.Id where job.Id == id select new { job, revision };
        return await rows.FirstOrDefaultAsync(cancel) is { } found ? await Head(found.job, found.revision, cancel) : null;
    }

    /// <summary>Renames a job, or puts it away or back.</summary>
    public async Task<JobHead?> Edit(long id, string? name, bool? archived, CancellationToken cancel)
    {
        if (await context.Jobs.FirstOrDefaultAsync(j => j.Id == id, cancel) is not { } job)
        {
            return null;
        }
        job.Name = name ?? job.Name;
        job.ArchivedAt = archived switch { true => job.ArchivedAt ?? time.GetUtcNow(), false => null, null => job.ArchivedAt };
        await Save(job, cancel);
        return await Head(job, cancel);
    }

    /// <summary>Commits a design as the new head, if the head is still the one that the caller saw.</summary>
    /// <param name="id">The job.</param>
    /// <param name="version">The version that the caller saw.</param>
    /// <param name="home">The design.</param>
    /// <param name="label">What was done, in words.</param>
    /// <param name="tab">Who did it.</param>
    /// <param name="cancel">Stops the work.</param>
    /// <param name="also">Adds what belongs to the new revision, to be saved with it or not at all.</param>
    public Task<HeadMove> Commit(long id, long version, HomeFile home, string label, string tab, CancellationToken cancel, Action<long>? also = null) => Move(id, version, async (job, head) =>
    {
        var next = new RevisionEntity { JobId = job.Id, ParentId = head.Revision.Id, Label = label, Tab = tab, CreatedAt = time.GetUtcNow(), Design = DesignFile.Write(home) };
        context.Revisions.Add(next);
        await context.SaveChangesAsync(cancel);
        job.HeadId = next.Id;
        also?.Invoke(next.Id);
        return null;
    }, cancel);

    /// <summary>Moves the head to its parent. What another tab did is undone only when <paramref name="evenOthers"/> says so.</summary>
    public Task<HeadMove> Undo(long id, long version, string tab, bool evenOthers, CancellationToken cancel) => Move(id, version, (job, head) =>
    {
        HeadMove? refused = head.Undo is null ? new HeadMove.Nothing(head)
            : head.Revision.Tab != tab && !evenOthers ? new HeadMove.OtherTab(head)
            : null;
        job.HeadId = refused is null ? head.Revision.ParentId!.Value : job.HeadId;
        return Task.FromResult(refused);
    }, cancel);

    /// <summary>Moves the head to its newest child.</summary>
    public Task<HeadMove> Redo(long id, long version, CancellationToken cancel) => Move(id, version, async (job, head) =>
    {
        if (await NewestChild(head.Revision.Id, cancel) is not { } child)
        {
            return new HeadMove.Nothing(head);
        }
        job.HeadId = child.Id;
        return null;
    }, cancel);

    /// <summary>One page of a job's revisions, the newest first, without their designs.</summary>
    public async Task<Page<RevisionInfo>> Revisions(long id, int page, int perPage, CancellationToken cancel)
    {
        var all = context.Revisions.AsNoTracking().Where(r => r.JobId == id);
        var items = await all.OrderByDescending(r => r.Id).Skip((page - 1) * perPage).Take(perPage)
            .Select(r => new RevisionInfo(r.Id, r.ParentId, r.Label, r.CreatedAt)).ToListAsync(cancel);
        return new(items, page, perPage, await all.CountAsync(cancel));
    }

    /// <summary>The design of one revision of a job; null when the job has none with this id.</summary>
    public async Task<(RevisionInfo Revision, HomeFile Home)?> Revision(long id, long revision, CancellationToken cancel) =>
        await context.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.JobId == id && r.Id == revision, cancel) is { } found
            ? (new(found.Id, found.ParentId, found.Label, found.CreatedAt), homes.Of(found))
            : null;

    private async Task<HeadMove> Move(long id, long version, Func<JobEntity, JobHead, Task<HeadMove?>> move, CancellationToken cancel)
    {
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        if (await context.Jobs.FirstOrDefaultAsync(j => j.Id == id, cancel) is not { } job)
        {
            return new HeadMove.Missing();
        }
        var head = await Head(job, cancel);
        if (job.Version != version)
        {
            return new HeadMove.Stale(head);
        }
        if (await move(job, head) is { } refused)
        {
            return refused;
        }
        try
        {
            await Save(job, cancel);
        }
        catch (DbUpdateConcurrencyException)
        {
            await transaction.RollbackAsync(cancel);
            context.ChangeTracker.Clear();
            return new HeadMove.Stale((await Find(id, cancel))!);
        }
        var moved = new HeadMove.Done(await Head(job, cancel));
        await transaction.CommitAsync(cancel);
        return moved;
    }

    private async Task Save(JobEntity job, CancellationToken cancel)
    {
        job.Version++;
        job.ChangedAt = time.GetUtcNow();
        await context.SaveChangesAsync(cancel);
    }

    private async Task<JobHead> Head(JobEntity job, CancellationToken cancel) =>
        await Head(job, await context.Revisions.AsNoTracking().FirstAsync(r => r.Id == job.HeadId, cancel), cancel);

    private async Task<JobHead> Head(JobEntity job, RevisionEntity revision, CancellationToken cancel)
    {
        return new(job, revision, homes.Of(revision), revision.ParentId is null ? null : revision.Label, (await NewestChild(revision.Id, cancel))?.Label);
    }

    private Task<RevisionEntity?> NewestChild(long revision, CancellationToken cancel) =>
        context.Revisions.AsNoTracking().Where(r => r.ParentId == revision).OrderByDescending(r => r.Id).FirstOrDefaultAsync(cancel);
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
public sealed record Page<T>(IReadOnlyList<T> Items, int Number, int PerPage, int Total);

/// <summary>What became of moving a head.</summary>
public abstract record HeadMove
{
    private HeadMove()
    {
    }

    /// <summary>It moved.</summary>
    public sealed record Done(JobHead Head) : HeadMove;

    /// <summary>There is no such job.</summary>
    public sealed record Missing : HeadMove;

    /// <summary>Somebody moved it before; this is where it is now.</summary>
    public sealed record Stale(JobHead Head) : HeadMove;

    /// <summary>There is nothing to undo or redo.</summary>
    public sealed record Nothing(JobHead Head) : HeadMove;

    /// <summary>The head was made in another tab.</summary>
    public sealed record OtherTab(JobHead Head) : HeadMove;
}
