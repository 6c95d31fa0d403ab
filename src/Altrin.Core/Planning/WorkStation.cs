namespace Altrin.Core.Planning;

/// <summary>Where the work on a job stands.</summary>
public enum WorkStation
{
    /// <summary>It is being surveyed: no plan was begun.</summary>
    Survey,

    /// <summary>It is being planned: the plan does not work yet, or not in all its parts.</summary>
    Plan,

    /// <summary>The plan works as far as is known.</summary>
    Proof,
}
