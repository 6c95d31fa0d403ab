namespace Altrin.Core.Sites;

/// <summary>What may live in a provider's gateway beside the internet.</summary>
public enum LineService
{
    /// <summary>The telephone.</summary>
    Telephone,

    /// <summary>The provider's television.</summary>
    Television,

    /// <summary>An alarm that calls out.</summary>
    Alarm,
}
