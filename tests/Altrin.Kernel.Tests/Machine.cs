namespace Altrin.Kernel.Tests;

/// <summary>What these tests need of the machine.</summary>
internal static class Machine
{
    /// <summary>Skips a test where namespaces cannot be made, and says why; where CI=true, that is a failure.</summary>
    public static void Need()
    {
        if (Namespaces.Lacking is { } why)
        {
            if (Environment.GetEnvironmentVariable("CI") == "true")
            {
                Assert.Fail($"The kernel tests cannot run: {why}.");
            }
            Assert.Skip($"The kernel tests were skipped: {why}.");
        }
    }
}
