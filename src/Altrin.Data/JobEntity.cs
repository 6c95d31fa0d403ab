namespace Altrin.Data;

/// <summary>A job: one home that is worked on.</summary>
public sealed class JobEntity
{
    /// <summary>Given by the database.</summary>
    public long Id { get; set; }

    /// <summary>What the installer calls the job; 1 to 80 characters.</summary>
    public required string Name { get; set; }

    /// <summary>When it was made.</summary>
    public DateTimeOffset CreatedAt { get; set; }

    /// <summary>When anything of it last changed.</summary>
    public DateTimeOffset ChangedAt { get; set; }

    /// <summary>When it was archived; null while it is open.</summary>
    public DateTimeOffset? ArchivedAt { get; set; }

    /// <summary>The revision that counts.</summary>
    public long HeadId { get; set; }

    /// <summary>Raised by every move of the head and every change of the row; guards against stale saves.</summary>
    public long Version { get; set; }
}
