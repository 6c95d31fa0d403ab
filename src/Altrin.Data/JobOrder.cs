namespace Altrin.Data;

/// <summary>In which order jobs are listed.</summary>
public enum JobOrder
{
    /// <summary>The last changed first.</summary>
    Changed,

    /// <summary>The newest first.</summary>
    Created,

    /// <summary>By name, small or capital letters alike.</summary>
    Name,
}
