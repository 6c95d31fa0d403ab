using System.Collections;
using System.Collections.Concurrent;
using System.Globalization;
using System.Reflection;
using System.Text;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Set-ups as texts: equal for two that are set alike, and for no others.</summary>
internal static class SetUpKey
{
    private static readonly ConcurrentDictionary<Type, PropertyInfo[]> Members = new();

    /// <summary>A whole set-up, whatever it is called and in whichever order it was noted.</summary>
    public static string Of(SetUp setUp)
    {
        var text = new StringBuilder();
        text.AppendJoin('\n', setUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal).Select(Of)).Append('\n');
        text.AppendJoin('\n', setUp.Cables.Select(c => $"{c.A}={c.B}:{c.Known}").Order(StringComparer.Ordinal)).Append('\n');
        text.AppendJoin('\n', setUp.Devices.OrderBy(d => d.Device, StringComparer.Ordinal).Select(Written));
        return text.ToString();
    }

    /// <summary>Whether two boxes are set alike.</summary>
    public static bool Alike(BoxMode a, BoxMode b) => Written(a) == Written(b);

    /// <summary>One box.</summary>
    public static string Of(BoxSetting box) => Written(box);

    private static string Written(object value) => Write(new(), value).ToString();

    /// <summary>Every member of it, and of its members: what a record writes of itself leaves out what is in its lists.</summary>
    private static StringBuilder Write(StringBuilder text, object? value) =>
        value switch
        {
            null => text.Append('-'),
            string or ValueType => text.Append(CultureInfo.InvariantCulture, $"{value}"),
            IEnumerable many => many.Cast<object?>().Aggregate(text.Append('['), (t, one) => Write(t, one).Append(';')).Append(']'),
            _ => MembersOf(value.GetType())
                .Aggregate(text.Append(value.GetType().Name).Append('('), (t, m) =>
                    Write(t.Append(m.Name).Append('='), m.GetValue(value)).Append(',')
                )
                .Append(')'),
        };

    private static PropertyInfo[] MembersOf(Type type) =>
        Members.GetOrAdd(type, t =>
            [.. t.GetProperties(BindingFlags.Public | BindingFlags.Instance).Where(p => p.GetIndexParameters().Length == 0)]
        );
}
