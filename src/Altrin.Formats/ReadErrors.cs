using Altrin.Core.Addressing;

namespace Altrin.Formats;

/// <summary>Collects what is wrong with a document whose shape is right.</summary>
internal sealed class ReadErrors
{
    private readonly List<FileError> _errors = [];

    public IReadOnlyList<FileError> All => _errors;

    public void Add(string pointer, string found, string allowed)
    {
        if (_errors.Count < FileError.Most)
        {
            _errors.Add(new(pointer, found, allowed));
        }
    }

    /// <summary>The value, or its default with an error noted.</summary>
    public T Read<T>(string pointer, string? text, Func<string?, Parsed<T>> parse)
        where T : struct
    {
        var read = parse(text);
        if (!read.Ok)
        {
            Add(pointer, $"\"{text}\"", read.Error);
        }
        return read.Ok ? read.Value : default;
    }

    /// <summary>The value where there is one.</summary>
    public T? ReadOptional<T>(string pointer, string? text, Func<string?, Parsed<T>> parse)
        where T : struct => text is null ? null : Read(pointer, text, parse);

    /// <summary>Notes a text that holds control characters, or begins or ends with a space.</summary>
    public string Plain(string pointer, string text)
    {
        if (text.Any(char.IsControl) || text.Trim().Length == 0)
        {
            Add(pointer, "text that is empty or holds control characters", "plain text on one line is expected");
        }
        return text;
    }

    /// <summary>Notes what a box would not take; nothing where there is no reason.</summary>
    public void Wrong(string pointer, string? found, string? reason)
    {
        if (reason is not null)
        {
            Add(pointer, $"\"{found}\"", reason);
        }
    }

    /// <summary>Notes a part that does not belong there.</summary>
    public void Absent(string pointer, object? part, string why)
    {
        if (part is not null)
        {
            Add(pointer, "a value", why);
        }
    }

    /// <summary>Notes every second use of a key.</summary>
    public void Unique<T>(IReadOnlyList<T> items, Func<T, string?> key, Func<int, string> pointer, string what)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < items.Count; i++)
        {
            if (key(items[i]) is { } value && !seen.Add(value))
            {
                Add(pointer(i), $"\"{value}\"", $"{what} is used once");
            }
        }
    }
}
