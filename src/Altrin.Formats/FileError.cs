namespace Altrin.Formats;

/// <summary>One thing that is wrong with a file or a request.</summary>
/// <param name="Pointer">Where, as a JSON pointer (RFC 6901); for text that is not JSON, the line and column.</param>
/// <param name="Found">What stands there.</param>
/// <param name="Allowed">What may stand there.</param>
public sealed record FileError(string Pointer, string Found, string Allowed)
{
    /// <summary>How many are listed at once.</summary>
    public const int Most = 20;

    /// <summary>One line.</summary>
    public override string ToString() => $"{(Pointer.Length == 0 ? "the whole file" : Pointer)}: found {Found}; {Allowed}";
}

/// <summary>A value read from a file, or everything that is wrong with it.</summary>
/// <typeparam name="T">What was wanted.</typeparam>
/// <param name="Value">The value; null when there are errors.</param>
/// <param name="Errors">Up to <see cref="FileError.Most"/>; empty when there is a value.</param>
public sealed record FileRead<T>(T? Value, IReadOnlyList<FileError> Errors)
    where T : class;
