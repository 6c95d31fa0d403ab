using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;

namespace Altrin.Data;

/// <summary>The database.</summary>
public sealed class AltrinContext(DbContextOptions<AltrinContext> options) : DbContext(options)
{
    /// <summary>Jobs.</summary>
    public DbSet<JobEntity> Jobs => Set<JobEntity>();

    /// <summary>Revisions of jobs.</summary>
    public DbSet<RevisionEntity> Revisions => Set<RevisionEntity>();

    /// <summary>Entries of the gear shelf that were made here.</summary>
    public DbSet<ProfileEntity> Profiles => Set<ProfileEntity>();

    /// <summary>Keys and passwords, encrypted.</summary>
    public DbSet<SecretEntity> Secrets => Set<SecretEntity>();

    /// <summary>Readings that were kept.</summary>
    public DbSet<ReadingEntity> Readings => Set<ReadingEntity>();

    /// <summary>Run sheets that a person typed.</summary>
    public DbSet<SheetEntity> Sheets => Set<SheetEntity>();

    /// <summary>How the installer goes about it.</summary>
    public DbSet<WaysEntity> Ways => Set<WaysEntity>();

    /// <summary>Keys of the hashes of secrets, encrypted.</summary>
    public DbSet<HashKeyEntity> HashKeys => Set<HashKeyEntity>();

    /// <inheritdoc/>
    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        // SQLite cannot sort or compare times with offsets; as milliseconds it can.
        configurationBuilder.Properties<DateTimeOffset>().HaveConversion<UnixMilliseconds>();

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        var job = modelBuilder.Entity<JobEntity>();
        job.Property(j => j.Name).HasMaxLength(80);
        job.Property(j => j.Version).IsConcurrencyToken();
        job.HasIndex(j => new { j.ArchivedAt, j.ChangedAt });
        var revision = modelBuilder.Entity<RevisionEntity>();
        revision.HasOne<JobEntity>().WithMany().HasForeignKey(r => r.JobId).OnDelete(DeleteBehavior.Cascade);
        revision.HasOne<RevisionEntity>().WithMany().HasForeignKey(r => r.ParentId).OnDelete(DeleteBehavior.Cascade);
        revision.HasIndex(r => new { r.JobId, r.Id });
        revision.HasIndex(r => r.ParentId);
        modelBuilder.Entity<ProfileEntity>().HasIndex(p => p.ShelfId).IsUnique();
        var secret = modelBuilder.Entity<SecretEntity>();
        secret.HasOne<JobEntity>().WithMany().HasForeignKey(s => s.JobId).OnDelete(DeleteBehavior.Cascade);
        secret.HasIndex(s => new { s.JobId, s.Reference }).IsUnique();
        var reading = modelBuilder.Entity<ReadingEntity>();
        reading.Property(r => r.Name).HasMaxLength(ReadingStore.LongestName);
        reading.HasOne<JobEntity>().WithMany().HasForeignKey(r => r.JobId).OnDelete(DeleteBehavior.Cascade);
        reading.HasIndex(r => new { r.JobId, r.TakenAt });
        var sheet = modelBuilder.Entity<SheetEntity>();
        sheet.Property(s => s.Name).HasMaxLength(SheetStore.LongestName);
        sheet.HasOne<JobEntity>().WithMany().HasForeignKey(s => s.JobId).OnDelete(DeleteBehavior.Cascade);
        var ways = modelBuilder.Entity<WaysEntity>();
        ways.HasOne<JobEntity>().WithMany().HasForeignKey(w => w.JobId).OnDelete(DeleteBehavior.Cascade);
        ways.HasIndex(w => w.JobId).IsUnique();
    }

    private sealed class UnixMilliseconds()
        : ValueConverter<DateTimeOffset, long>(t => t.ToUnixTimeMilliseconds(), m => DateTimeOffset.FromUnixTimeMilliseconds(m));
}

/// <summary>Lets the migration tool make a context.</summary>
internal sealed class DesignTimeFactory : IDesignTimeDbContextFactory<AltrinContext>
{
    public AltrinContext CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<AltrinContext>().UseSqlite("Data Source=design-time.db").Options);
}
