namespace Altrin.Data;

/// <summary>How the installer goes about it: always, or in one job.</summary>
public sealed class WaysEntity
{
    /// <summary>Given by the database.</summary>
    public long Id { get; set; }

    /// <summary>The job; null for what holds in every job.</summary>
    public long? JobId { get; set; }

    /// <summary>Each way that was chosen, as a name, an equals sign and a value, a line each.</summary>
    public required string Text { get; set; }
}
