using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;

namespace Altrin.Core.Sites;

/// <summary>What an application on a telephone sets that no page of the box does, and what it asks for.</summary>
/// <param name="Sets">What is set with it only.</param>
public sealed record AppSetUp([property: MinLength(1), MaxLength(40)] IReadOnlyList<Setting> Sets)
{
    /// <summary>Whether it asks for an account: the customer's, not the installer's (common practice).</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known Account { get; init; }

    /// <summary>Whether the telephone's Bluetooth must be on.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known Bluetooth { get; init; }

    /// <summary>Whether the telephone's mobile data must be on: yes; off: no.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known MobileData { get; init; }

    /// <summary>Whether the box must have the internet at its WAN port before anything can be set.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public Known InternetFirst { get; init; }
}
