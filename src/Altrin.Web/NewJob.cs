namespace Altrin.Web;

/// <summary>A new job.</summary>
/// <param name="Name">What the installer calls it; 1 to 80 characters.</param>
/// <param name="From">A job whose design it begins with; null for an empty home.</param>
internal sealed record NewJob(string Name, long? From);
