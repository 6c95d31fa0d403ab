namespace Altrin.Data;

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
