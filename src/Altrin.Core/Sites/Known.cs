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

/// <summary>Works with what may not be known.</summary>
public static class Knowing
{
    /// <summary>Whether the opposite is so.</summary>
    public static Known Not(Known known) =>
        known switch
        {
            Known.Yes => Known.No,
            Known.No => Known.Yes,
            _ => Known.Unknown,
        };
}
