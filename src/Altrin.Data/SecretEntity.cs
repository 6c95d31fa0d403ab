namespace Altrin.Data;

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
