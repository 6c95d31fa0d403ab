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

    /// <summary>When it was put away; null while it is open.</summary>
    public DateTimeOffset? ArchivedAt { get; set; }

    /// <summary>The revision that counts.</summary>
    public long HeadId { get; set; }

    /// <summary>Raised by every move of the head and every change of the row; guards against stale saves.</summary>
    public long Version { get; set; }
}

/// <summary>One state of a job's design. Never altered and never deleted while the job is there.</summary>
public sealed class RevisionEntity
{
    /// <summary>Given by the database; later revisions have higher ids.</summary>
    public long Id { get; set; }

    /// <summary>Its job.</summary>
    public long JobId { get; set; }

    /// <summary>The revision that it was made from; null for the first.</summary>
    public long? ParentId { get; set; }

    /// <summary>What was done, in words, such as "Loft router becomes an access point".</summary>
    public required string Label { get; set; }

    /// <summary>Which browser tab made it.</summary>
    public required string Tab { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset CreatedAt { get; set; }

    /// <summary>
    /// The design file as it was written then, in the format version of that time; empty where it is kept packed. Not null, since the
    /// database could make it so only by writing the whole table anew, which a kill in between would not survive.
    /// </summary>
    public string Design { get; set; } = "";

    /// <summary>The same, packed; null in rows that an older Altrin wrote.</summary>
    public byte[]? Packed { get; set; }

    /// <summary>The whole revision that the packed design differs from; null where it is whole itself.</summary>
    public long? WholeId { get; set; }
}

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

/// <summary>A key or password of a job. Never altered: another value is another row.</summary>
public sealed class SecretEntity
{
    /// <summary>Given by the database.</summary>
    public long Id { get; set; }

    /// <summary>Its job.</summary>
    public long JobId { get; set; }

    /// <summary>What the job's designs call it.</summary>
    public required string Reference { get; set; }

    /// <summary>The value, encrypted with the key ring of the data folder.</summary>
    public required byte[] Protected { get; set; }

    /// <summary>A keyed hash of the value, by which equal values are found.</summary>
    public required byte[] Hash { get; set; }

    /// <summary>When it was typed or made.</summary>
    public DateTimeOffset CreatedAt { get; set; }
}

/// <summary>A reading that was kept: what a machine printed, where and when. Never altered; it can be put away.</summary>
public sealed class ReadingEntity
{
    /// <summary>Given by the database.</summary>
    public long Id { get; set; }

    /// <summary>Its job.</summary>
    public long JobId { get; set; }

    /// <summary>Where it came from: a file's name, or in words; 1 to 120 characters.</summary>
    public required string Name { get; set; }

    /// <summary>What was read in it, by kind, in order, with commas.</summary>
    public required string Kinds { get; set; }

    /// <summary>When it was taken, as the person who kept it says.</summary>
    public DateTimeOffset TakenAt { get; set; }

    /// <summary>When it was kept.</summary>
    public DateTimeOffset KeptAt { get; set; }

    /// <summary>The set-up that it was held against.</summary>
    public required string SetUp { get; set; }

    /// <summary>Where it was taken, by the seat's id; null where not said.</summary>
    public string? Seat { get; set; }

    /// <summary>The same in words, as the seat was called then.</summary>
    public string? SeatName { get; set; }

    /// <summary>In which place; null where not said.</summary>
    public string? Place { get; set; }

    /// <summary>Whether it is a packet capture; a text otherwise.</summary>
    public bool IsCapture { get; set; }

    /// <summary>The text in UTF-8, or the capture.</summary>
    public required byte[] Content { get; set; }

    /// <summary>What was accepted into the survey, a sentence a line; empty where nothing was.</summary>
    public string TakenOver { get; set; } = "";

    /// <summary>The revision that accepting made; null where nothing was accepted.</summary>
    public long? RevisionId { get; set; }

    /// <summary>When it was put away; null while it is in the list.</summary>
    public DateTimeOffset? AwayAt { get; set; }
}

/// <summary>The key of the hashes of secrets, itself encrypted with the key ring.</summary>
public sealed class HashKeyEntity
{
    /// <summary>Given by the database; the newest counts.</summary>
    public long Id { get; set; }

    /// <summary>The key, encrypted.</summary>
    public required byte[] Protected { get; set; }
}
