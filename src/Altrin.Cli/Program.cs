using Altrin.Cli;

return Terminal.Run(
    args,
    Console.OpenStandardInput(),
    Console.Out,
    Console.Error,
    Environment.GetEnvironmentVariable("NO_COLOR") is { Length: > 0 } || Console.IsOutputRedirected
);
