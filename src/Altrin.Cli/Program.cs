using Altrin.Cli;

// Measured (docs/performance.md): a program that runs for half a second starts sooner where JSON is read without code that is made on
// the way. The database knows no other way.
if (args is [not ("backup" or "restore"), ..])
{
    AppContext.SetSwitch("System.Runtime.CompilerServices.RuntimeFeature.IsDynamicCodeSupported", false);
}

return Terminal.Run(
    args,
    Console.OpenStandardInput(),
    Console.Out,
    Console.Error,
    Environment.GetEnvironmentVariable("NO_COLOR") is { Length: > 0 } || Console.IsOutputRedirected,
    // Beside results on the same terminal it would be in their way.
    Console.IsOutputRedirected && !Console.IsErrorRedirected
);
