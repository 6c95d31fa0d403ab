namespace Altrin.Core.Procedures;

/// <summary>
/// How an installer goes about it where good ones differ: schools, none of which is wrong. An act that departs from them says so and
/// is done all the same.
/// </summary>
public sealed record Ways
{
    /// <summary>What is usual where nothing was said.</summary>
    public static Ways Usual { get; } = new();

    /// <summary>When a further box is reset before it is set up. Always is a clean slate; never the gateway's (common practice).</summary>
    public ResetSchool Reset { get; init; } = ResetSchool.Always;

    /// <summary>When the admin password of a further box is changed: first it is never exposed, last there is less to type.</summary>
    public PasswordSchool Password { get; init; } = PasswordSchool.First;

    /// <summary>
    /// Where a further box gets its address: typed low below the pool, typed high above it, or leased and reserved.
    /// </summary>
    public AddressSchool Address { get; init; } = AddressSchool.Any;

    /// <summary>Whether customer's devices may be touched; switching one off and on is no touch.</summary>
    public bool TouchesDevices { get; init; } = true;

    /// <summary>Whether the settings of the gateway may be changed.</summary>
    public bool TouchesGateway { get; init; } = true;

    /// <summary>Whether the laptop has an Ethernet socket, or an adapter with one; otherwise it comes to every page by Wi-Fi.</summary>
    public bool Socket { get; init; } = true;
}

/// <summary>Schools of resetting a further box.</summary>
public enum ResetSchool
{
    /// <summary>Always, but for one that comes from its factory.</summary>
    Always,

    /// <summary>Only where its login is not known.</summary>
    IfLoginUnknown,
}

/// <summary>Schools of changing the admin password.</summary>
public enum PasswordSchool
{
    /// <summary>Before any other setting.</summary>
    First,

    /// <summary>After all others, before it meets the live network.</summary>
    Last,
}

/// <summary>Schools of the address of a further box.</summary>
public enum AddressSchool
{
    /// <summary>As it comes.</summary>
    Any,

    /// <summary>Typed, below the pool: .2, .3.</summary>
    Low,

    /// <summary>Typed, above the pool: .250 to .254.</summary>
    High,

    /// <summary>Leased and reserved.</summary>
    Reserved,
}
