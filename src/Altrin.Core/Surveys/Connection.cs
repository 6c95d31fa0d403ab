using System.ComponentModel.DataAnnotations;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>By what something is connected.</summary>
public enum ConnectedBy
{
    /// <summary>A cable.</summary>
    Cable,

    /// <summary>Wi-Fi.</summary>
    Radio,
}

/// <summary>How a box or device was said to be connected; what was not said is null and is taken as is usual of its kind.</summary>
/// <param name="By">By cable or by radio.</param>
/// <param name="To">Id of the box that it is connected to, or <see cref="PortRef.Street"/> for the internet line.</param>
/// <param name="Port">The port there, by its id or by what is printed beside it.</param>
public sealed record Connection(ConnectedBy? By, string? To, [property: StringLength(Limits.Name)] string? Port)
{
    /// <summary>Nothing was said.</summary>
    public static Connection NotSaid { get; } = new(null, null, null);

    /// <summary>A cable or Wi-Fi, wherever to.</summary>
    public static Connection Only(ConnectedBy by) => new(by, null, null);

    /// <summary>What carries it as far as it was said: a port takes a cable.</summary>
    public ConnectedBy? Carrier() => By ?? (Port is null ? null : ConnectedBy.Cable);
}
