namespace Altrin.Core.Tests;

/// <summary>Texts as machines print them, shipped with the project.</summary>
internal static class SampleReadings
{
    /// <summary>Where they are beside the tests.</summary>
    public static string Folder => Path.Combine(AppContext.BaseDirectory, "readings");
}
