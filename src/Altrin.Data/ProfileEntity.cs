namespace Altrin.Data;

/// <summary>One entry of the gear shelf that was made or edited here. Entries that come with the program are not in the database.</summary>
public sealed class ProfileEntity
{
    /// <summary>Given by the database.</summary>
    public long Id { get; set; }

    /// <summary>Its id on the shelf; hides an entry of the program with the same one.</summary>
    public required string ShelfId { get; set; }

    /// <summary>Raised whenever it is edited.</summary>
    public int Edition { get; set; }

    /// <summary>The profile as a file of one profile holds it.</summary>
    public required string Profile { get; set; }

    /// <summary>When it was last edited.</summary>
    public DateTimeOffset ChangedAt { get; set; }
}
