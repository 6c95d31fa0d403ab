using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>
/// Changes one member of a value, found by reflection wherever it lies inside, so that a test sees a member that was added and forgotten.
/// </summary>
internal static class Members
{
    private static readonly ConcurrentDictionary<PropertyInfo, bool> Nullables = new();

    /// <summary>Every way to change one member of a record or of what it holds: which member, and the whole with it changed.</summary>
    /// <param name="whole">A record.</param>
    /// <param name="texts">Texts that a member may refer by, such as ids.</param>
    public static IEnumerable<(string Member, object Whole)> Altered(object whole, IReadOnlyList<string> texts)
    {
        foreach (var property in Written(whole.GetType()))
        {
            var value = property.GetValue(whole);
            foreach (var (member, other) in Others(property.PropertyType, value, texts))
            {
                yield return (member ?? Name(property), With(whole, property, other));
            }
            if (value is not null && IsNullable(property))
            {
                yield return (Name(property), With(whole, property, null));
            }
        }
    }

    /// <summary>The members of a record type and of all that it can hold, of every kind of each, by type and name.</summary>
    public static IReadOnlySet<string> Of(Type root)
    {
        var (found, seen) = (new SortedSet<string>(StringComparer.Ordinal), new HashSet<Type>());
        Add(root);
        return found;

        void Add(Type type)
        {
            if (type.IsGenericType)
            {
                type = type.GetGenericArguments()[0];
            }
            if (!IsRecord(type) || !seen.Add(type))
            {
                return;
            }
            foreach (var kind in type.Assembly.GetTypes().Where(t => !t.IsAbstract && type.IsAssignableFrom(t)))
            {
                foreach (var property in Written(kind))
                {
                    // A record that is always there is told by its members.
                    if (!IsRecord(property.PropertyType) || IsNullable(property))
                    {
                        found.Add(Name(property));
                    }
                    Add(property.PropertyType);
                }
            }
        }
    }

    private static IEnumerable<PropertyInfo> Written(Type type) =>
        type.GetProperties().Where(p => p is { CanWrite: true, CanRead: true } && p.GetIndexParameters().Length == 0);

    private static string Name(PropertyInfo property) => $"{property.DeclaringType!.Name}.{property.Name}";

    private static bool IsNullable(PropertyInfo property) =>
        Nullables.GetOrAdd(property, p =>
            Nullable.GetUnderlyingType(p.PropertyType) is not null
            || new NullabilityInfoContext().Create(p).WriteState == NullabilityState.Nullable
        );

    private static bool IsRecord(Type type) => type.IsClass && type.GetMethod("<Clone>$") is not null;

    private static object With(object whole, PropertyInfo property, object? value)
    {
        var copy = whole.GetType().GetMethod("<Clone>$")!.Invoke(whole, null)!;
        property.SetValue(copy, value);
        return copy;
    }

    /// <summary>Other values of a member; named where the change lies deeper inside.</summary>
    private static IEnumerable<(string? Member, object? Value)> Others(Type type, object? value, IReadOnlyList<string> texts)
    {
        if (value is not null && IsRecord(value.GetType()))
        {
            return Altered(value, texts).Select(a => ((string?)a.Member, (object?)a.Whole));
        }
        if (value is IEnumerable and not string)
        {
            var items = ((IEnumerable)value).Cast<object?>().ToList();
            var element = type.GetGenericArguments()[0];
            var inside = items.SelectMany((item, i) => Others(element, item, texts).Select(o => (o.Member, Replaced(items, i, o.Value))));
            return
            [
                .. inside.Select(x => (x.Member, (object?)Listed(element, x.Item2))),
                (null, Listed(element, [.. items.SkipLast(1)])),
                .. Plain(element, null, texts).Select(o => ((string?)null, (object?)Listed(element, [o]))),
            ];
        }
        return Plain(Nullable.GetUnderlyingType(type) ?? type, value, texts).Where(o => !Equals(o, value)).Select(o => ((string?)null, o));
    }

    private static List<object?> Replaced(List<object?> items, int at, object? with) => [.. items[..at], with, .. items[(at + 1)..]];

    private static Array Listed(Type element, List<object?> items)
    {
        var made = Array.CreateInstance(element, items.Count);
        for (var i = 0; i < items.Count; i++)
        {
            made.SetValue(items[i], i);
        }
        return made;
    }

    private static IEnumerable<object?> Plain(Type type, object? value, IReadOnlyList<string> texts) =>
        type == typeof(bool) ? [true, false]
        : type == typeof(string) ? texts
        : type == typeof(int) ? [1, 2, 5, 36, 40, value is int whole ? whole + 1 : 3]
        : type == typeof(double) ? [1.5, value is double real ? real + 0.5 : 2.5]
        : type.IsEnum ? Enum.GetValues(type).Cast<object?>()
        : type == typeof(Ipv4Address)
            ? [Home.At("192.168.8.33"), Home.At("192.168.20.33"), Home.At("9.9.9.9"), value is Ipv4Address at ? at.Plus(1) : null]
        : type == typeof(InterfaceAddress) ? [Home.Own("192.168.8.3/24"), Home.Own("192.168.77.1/24"), Home.Own("203.0.113.9/24")]
        : type == typeof(AddressRange)
            ?
            [
                Home.Range("192.168.8.30-192.168.8.90"),
                Home.Range("192.168.20.30-192.168.20.90"),
                Home.Range("192.168.30.30-192.168.30.90"),
            ]
        : type == typeof(Subnet) ? [Subnet.Parse("10.64.0.0/16").Value, Subnet.Parse("192.168.40.0/24").Value]
        : type == typeof(MacAddress) ? [MacAddress.Parse("02:00:5e:00:53:71").Value]
        : type == typeof(PortRef) ? texts.Where(t => t.Contains('/', StringComparison.Ordinal)).Select(t => (object?)PortRef.Read(t))
        : type == typeof(DateOnly) ? [new DateOnly(2027, 3, 31)]
        : [];
}
