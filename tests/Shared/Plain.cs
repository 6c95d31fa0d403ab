using System.Collections;
using System.Globalization;
using System.Reflection;
using System.Runtime.CompilerServices;
using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Testing;

/// <summary>Values as text that is read and approved: every member with its name, those left out that say nothing.</summary>
internal static class Plain
{
    /// <summary>A value and all that it holds, on one line; null, false, zero, empty and not known members are left out.</summary>
    public static string Of(object? value) =>
        value switch
        {
            null => "-",
            string text => text,
            Enum or bool => $"{value}",
            TimeSpan time => time.ToString("g", CultureInfo.InvariantCulture),
            IFormattable number when number.GetType().IsPrimitive => number.ToString(null, CultureInfo.InvariantCulture),
            _ when value.GetType().Namespace == typeof(Ipv4Address).Namespace => $"{value}",
            ITuple tuple => $"({string.Join(", ", Enumerable.Range(0, tuple.Length).Select(i => Of(tuple[i])))})",
            IDictionary pairs => $"[{string.Join("; ", pairs.Keys.Cast<object>().Select(k => $"{Of(k)} = {Of(pairs[k])}"))}]",
            IEnumerable list => $"[{string.Join("; ", list.Cast<object?>().Select(Of))}]",
            _ => $"{value.GetType().Name}({string.Join(", ", Members(value))})",
        };

    private static IEnumerable<string> Members(object value) =>
        value
            .GetType()
            .GetProperties(BindingFlags.Instance | BindingFlags.Public)
            .Where(p => p.GetIndexParameters().Length == 0)
            .Select(p => (p.Name, Value: p.GetValue(value)))
            .Where(m => m.Value is not (null or false or 0 or 0L or 0u or "" or Known.Unknown) && m.Value is not ICollection { Count: 0 })
            .Select(m => $"{m.Name}: {Of(m.Value)}");
}
