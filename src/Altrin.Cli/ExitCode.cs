namespace Altrin.Cli;

/// <summary>Exit statuses of the terminal program.</summary>
public static class ExitCode
{
    /// <summary>Nothing found that means it will not work (with --strict: nothing found at all).</summary>
    public const int Sound = 0;

    /// <summary>One or more such findings.</summary>
    public const int Findings = 1;

    /// <summary>Bad input: a file, an option, a name.</summary>
    public const int BadInput = 2;

    /// <summary>A fault of the program (EX_SOFTWARE of sysexits.h).</summary>
    public const int Fault = 70;
}
