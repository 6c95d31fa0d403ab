using Altrin.Core.Changes;

namespace Altrin.Web;

/// <summary>Changes of one set-up.</summary>
/// <param name="SetUp">Name of the set-up.</param>
/// <param name="Changes">The changes, in order.</param>
internal sealed record ChangeRequest(string SetUp, IReadOnlyList<Change> Changes);
