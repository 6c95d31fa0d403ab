namespace Altrin.Data;

/// <summary>A run sheet that a person typed: a list of acts. Never altered; the newest is the one that is worked from.</summary>
public sealed class SheetEntity
{
    /// <summary>Given by the database.</summary>
    public long Id { get; set; }

    /// <summary>Its job.</summary>
    public long JobId { get; set; }

    /// <summary>What it is called: a file's name, or words; 1 to 120 characters.</summary>
    public required string Name { get; set; }

    /// <summary>When it was kept.</summary>
    public DateTimeOffset KeptAt { get; set; }

    /// <summary>The list of acts, as it was given, in UTF-8.</summary>
    public required byte[] Content { get; set; }
}
