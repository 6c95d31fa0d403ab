namespace Altrin.Core.Sites;

/// <summary>Whether something is so, that may not be known yet.</summary>
public enum Known
{
    /// <summary>Not found out.</summary>
    Unknown,

    /// <summary>It is so.</summary>
    Yes,

    /// <summary>It is not so.</summary>
    No,
}
