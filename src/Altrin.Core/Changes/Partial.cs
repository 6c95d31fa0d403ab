using System.Collections.Frozen;
using System.ComponentModel.DataAnnotations;
using System.Linq.Expressions;
using System.Reflection;
using Altrin.Core.Addressing;

namespace Altrin.Core.Changes;

/// <summary>
/// Some members of a value: those that an edit touches, each with what it becomes. A member that is not here stays as it is, which is
/// something else than a member that becomes null. What identifies the value (<see cref="KeyAttribute"/>) is never edited.
/// </summary>
/// <typeparam name="T">A record; every member that can be set is one that an edit can touch.</typeparam>
public sealed class Partial<T> : IPartial, IEquatable<Partial<T>>
    where T : class
{
    private static readonly FrozenDictionary<string, PropertyInfo> Settable = typeof(T)
        .GetProperties()
        .Where(p => p.SetMethod is not null && p.GetCustomAttribute<KeyAttribute>() is null)
        .ToFrozenDictionary(p => p.Name, StringComparer.Ordinal);

    private static readonly MethodInfo Clone = typeof(T).GetMethod("<Clone>$")!;

    private readonly SortedDictionary<string, object?> _given;

    private Partial(SortedDictionary<string, object?> given) => _given = given;

    /// <summary>No member at all.</summary>
    public static Partial<T> Nothing { get; } = new([]);

    /// <summary>Names of all members that an edit can touch, in order.</summary>
    public static IReadOnlyList<string> Members { get; } = [.. Settable.Keys.Order(StringComparer.Ordinal)];

    /// <summary>Names of the members that are given, in order.</summary>
    public IReadOnlyCollection<string> Given => _given.Keys;

    /// <inheritdoc/>
    IReadOnlyDictionary<string, object?> IPartial.Values => _given;

    /// <summary>Members by name with what they become.</summary>
    /// <exception cref="ArgumentException">A name is no member that an edit can touch.</exception>
    public static Partial<T> Of(IEnumerable<KeyValuePair<string, object?>> given)
    {
        var taken = new SortedDictionary<string, object?>(StringComparer.Ordinal);
        foreach (var (name, value) in given)
        {
            taken[
                Settable.ContainsKey(name)
                    ? name
                    : throw new ArgumentException($"{typeof(T).Name} has no member {name} to edit.", nameof(given))
            ] = value;
        }
        return new(taken);
    }

    /// <summary>Every member of a value, as for one that is new.</summary>
    public static Partial<T> All(T value) => Of(Settable.Values.Select(p => KeyValuePair.Create(p.Name, p.GetValue(value))));

    /// <summary>The members in which two values differ, with what they are in the second. Lists are compared item by item.</summary>
    public static Partial<T> Between(T from, T to) =>
        Of(Settable.Values.Where(p => !Same(p.GetValue(from), p.GetValue(to))).Select(p => KeyValuePair.Create(p.Name, p.GetValue(to))));

    /// <summary>The same with one more member.</summary>
    public Partial<T> And<TMember>(Expression<Func<T, TMember>> member, TMember becomes) =>
        Of(_given.Append(new(((MemberExpression)member.Body).Member.Name, becomes)));

    /// <summary>One member with what it becomes.</summary>
    public static Partial<T> With<TMember>(Expression<Func<T, TMember>> member, TMember becomes) => Nothing.And(member, becomes);

    /// <summary>Whether a member is given.</summary>
    public bool Gives(string member) => _given.ContainsKey(member);

    /// <summary>A value with the given members exchanged; everything else of it stays.</summary>
    public T On(T value)
    {
        var edited = (T)Clone.Invoke(value, null)!;
        foreach (var (name, becomes) in _given)
        {
            Settable[name].SetValue(edited, becomes);
        }
        return edited;
    }

    /// <summary>
    /// A new value of these members alone; or which ones are missing. What may be null, or has a usual value, may be left out.
    /// </summary>
    /// <param name="keys">What identifies it, by member.</param>
    public Parsed<T> Alone(params ReadOnlySpan<(string Member, object Value)> keys)
    {
        var values = new Dictionary<string, object?>(_given, StringComparer.Ordinal);
        foreach (var (member, value) in keys)
        {
            values[member] = value;
        }
        var constructor = typeof(T).GetConstructors().MaxBy(c => c.GetParameters().Length)!;
        var nullability = new NullabilityInfoContext();
        var parameters = constructor.GetParameters();
        var missing = parameters
            .Where(p => !values.ContainsKey(p.Name!) && nullability.Create(p).WriteState != NullabilityState.Nullable)
            .Select(p => char.ToLowerInvariant(p.Name![0]) + p.Name[1..])
            .ToList();
        if (missing.Count > 0)
        {
            return Parsed<T>.Fail($"Not there yet: for that it needs {string.Join(", ", missing)}.");
        }
        var made = (T)constructor.Invoke([.. parameters.Select(p => values.GetValueOrDefault(p.Name!))]);
        return On(made);
    }

    /// <inheritdoc/>
    public bool Equals(Partial<T>? other) =>
        other is not null
        && _given.Keys.SequenceEqual(other._given.Keys, StringComparer.Ordinal)
        && _given.All(g => Same(g.Value, other._given[g.Key]));

    /// <inheritdoc/>
    public override bool Equals(object? obj) => Equals(obj as Partial<T>);

    /// <inheritdoc/>
    public override int GetHashCode() => string.Join(',', _given.Keys).GetHashCode(StringComparison.Ordinal);

    /// <summary>Such as "{ Name = home, Key = null }".</summary>
    public override string ToString() =>
        $"{{ {string.Join(", ", _given.Select(g => $"{g.Key} = {(g.Value is null ? "null" : g.Value is not string and System.Collections.IEnumerable list ? $"[{string.Join(", ", list.Cast<object>())}]" : g.Value)}"))} }}";

    private static bool Same(object? a, object? b) =>
        (a, b) is (System.Collections.IEnumerable x and not string, System.Collections.IEnumerable y and not string)
            ? x.Cast<object?>().SequenceEqual(y.Cast<object?>())
            : Equals(a, b);
}

/// <summary>Some members of a value, whatever its type: for those who write them down.</summary>
public interface IPartial
{
    /// <summary>The members by name, with what they become.</summary>
    IReadOnlyDictionary<string, object?> Values { get; }
}
