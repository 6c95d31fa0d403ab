using System.Diagnostics.CodeAnalysis;

namespace Altrin.Core.Addressing;

/// <summary>The outcome of reading or checking something typed by a person: a value, or one sentence that says what was expected.</summary>
/// <typeparam name="T">What was wanted.</typeparam>
public readonly record struct Parsed<T>
{
    private readonly T _value;

    private Parsed(T value, string? error)
    {
        _value = value;
        Error = error;
    }

    /// <summary>Why there is no value, as a sentence for the person who typed it; null when there is one.</summary>
    public string? Error { get; }

    /// <summary>Whether a value is there.</summary>
    [MemberNotNullWhen(false, nameof(Error))]
    public bool Ok => Error is null;

    /// <summary>The value. Throws <see cref="InvalidOperationException"/> when there is none: ask <see cref="Ok"/> first.</summary>
    public T Value => Ok ? _value : throw new InvalidOperationException(Error);

    /// <summary>A success.</summary>
    public static implicit operator Parsed<T>(T value) => new(value, null);

    /// <summary>A failure with its sentence.</summary>
    public static Parsed<T> Fail(string error) => new(default!, error);

    /// <summary>Carries a value on into the next step, or the first error past it.</summary>
    public Parsed<TNext> Then<TNext>(Func<T, Parsed<TNext>> next) => Ok ? next(_value) : Parsed<TNext>.Fail(Error);
}
