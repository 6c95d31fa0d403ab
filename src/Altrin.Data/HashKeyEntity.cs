namespace Altrin.Data;

/// <summary>The key of the hashes of secrets, itself encrypted with the key ring.</summary>
public sealed class HashKeyEntity
{
    /// <summary>Given by the database; the newest counts.</summary>
    public long Id { get; set; }

    /// <summary>The key, encrypted.</summary>
    public required byte[] Protected { get; set; }
}
