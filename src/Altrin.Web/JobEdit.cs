namespace Altrin.Web;

/// <summary>Changes of a job itself.</summary>
/// <param name="Name">A new name; null to keep it.</param>
/// <param name="Archived">Whether it is archived; null to keep it.</param>
internal sealed record JobEdit(string? Name, bool? Archived);
