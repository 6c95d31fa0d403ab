using System.Text;

namespace Altrin.Cli.Tests;

/// <summary>One run of the terminal, with what it wrote.</summary>
internal static class TerminalRun
{
    /// <summary>The path of a home among the samples.</summary>
    public static string Sample(string name) => Path.Combine(AppContext.BaseDirectory, "samples", name);

    /// <summary>Runs the terminal with a text as its standard input.</summary>
    public static (int Status, string Output, string Errors) Run(string? input, params string[] args) => Run(input, progress: false, args);

    /// <summary>The same with the progress that a person sees beside a file.</summary>
    public static (int Status, string Output, string Errors) RunShown(params string[] args) => Run(null, progress: true, args);

    private static (int Status, string Output, string Errors) Run(string? input, bool progress, string[] args)
    {
        using var source = new MemoryStream(Encoding.UTF8.GetBytes(input ?? ""));
        using var output = new StringWriter();
        using var errors = new StringWriter();
        return (Terminal.Run(args, source, output, errors, plain: true, progress), output.ToString(), errors.ToString());
    }
}
