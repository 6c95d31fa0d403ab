namespace Altrin.Data;

/// <summary>A reading that was kept: what a machine printed, where and when. Never altered; it can be archived.</summary>
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

    /// <summary>When it was archived; null while it is in the list.</summary>
    public DateTimeOffset? ArchivedAt { get; set; }
}
