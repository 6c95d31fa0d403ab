using System.Text;
using System.Text.RegularExpressions;

namespace Altrin.Core.Readings;

/// <summary>
/// Finds keys and passwords in what machines print, so that a kept reading holds none: commands that list a saved Wi-Fi show its key, and
/// so do settings files and the text of a Wi-Fi's QR code.
/// </summary>
public static partial class KeysInText
{
    /// <summary>What stands in the place of a key.</summary>
    public const string Instead = "[key left out]";

    /// <summary>A known value that is shorter is not looked for: it would be found in words that are no key.</summary>
    private const int ShortestKnown = 8;

    /// <summary>The same text, line for line, without the keys.</summary>
    /// <param name="text">What was printed.</param>
    /// <param name="known">Values that are known to be keys.</param>
    public static string LeaveOut(string text, IEnumerable<string> known)
    {
        foreach (
            var value in known.Where(v => v.Length >= ShortestKnown).OrderByDescending(v => v.Length).ThenBy(v => v, StringComparer.Ordinal)
        )
        {
            text = text.Replace(value, Instead, StringComparison.Ordinal);
        }
        text = string.Join('\n', text.Split('\n').Select(WithoutNamed));
        text = Shown().Replace(text, m => $"{m.Groups["before"].Value}{Instead}");
        return Code().Replace(text, m => $"{m.Groups["before"].Value}{Instead}");
    }

    /// <summary>
    /// A line without the values that stand behind the names of keys. Each part of it is looked at once, however long it is.
    /// </summary>
    private static string WithoutNamed(string line)
    {
        var written = new StringBuilder();
        var from = 0;
        while (Named().Match(line, from) is { Success: true } named)
        {
            var begin = named.Index + named.Length;
            var end = EndOfValue(line, begin);
            written.Append(line, from, begin - from).Append(IsKey(line.AsSpan(begin, end - begin)) ? Instead : line[begin..end]);
            from = end;
        }
        return from == 0 ? line : written.Append(line, from, line.Length - from).ToString();
    }

    /// <summary>Where a value ends: with its quotation, else with the line, or with the quotation that the whole of it stands in.</summary>
    private static int EndOfValue(string line, int begin)
    {
        if (begin < line.Length && line[begin] is '"' or '\'' && line.IndexOf(line[begin], begin + 1) is var closed and > 0)
        {
            return closed + 1;
        }
        var outer = begin;
        while (outer < line.Length && !(line[outer] is '"' or '\'' && outer + 1 < line.Length && line[outer + 1] == ','))
        {
            outer++;
        }
        var end = begin + line.AsSpan(begin, outer - begin).TrimEnd().Length;
        return end > begin && outer == line.Length && line[end - 1] is ',' or ';' or '}'
            ? begin + line.AsSpan(begin, end - 1 - begin).TrimEnd().Length
            : end;
    }

    /// <summary>What only says that there is a key, or none, is no key.</summary>
    private static bool IsKey(ReadOnlySpan<char> value)
    {
        var plain = value.Trim("\"' ;,}");
        return !plain.IsEmpty && plain.TrimStart('*').Length > 0 && !NoKeys.Contains(plain.ToString(), StringComparer.OrdinalIgnoreCase);
    }

    private static readonly string[] NoKeys =
    [
        "--",
        "none",
        "no",
        "yes",
        "null",
        "present",
        "absent",
        "hidden",
        "<hidden>",
        "required",
        "optional",
        "n/a",
    ];

    // How commands and files call a key, in the languages that readings are taken in (from memory).
    [GeneratedRegex(
        """
            (?:^|[\s"'.{,;])(?:key\ content|schlüsselinhalt|contenu\ de\ la\ clé|contenido\ de\ la\ clave|содержимое\ ключа|关键内容|主要なコンテンツ
            |psk|wep-key\d?|wep_key\d?|leap-password|wpa_passphrase|wpa_psk|wpapsk|sae_password|sae-password|pre-?shared[\ -]key|passphrase
            |(?:wi-?fi|wlan|wireless|network|admin|login|router)?[\ _-]?(?:password|passwort|kennwort|mot\ de\ passe|contraseña|пароль|密码|パスワード)
            |(?:wi-?fi|wlan|wireless|network)[\ _-]?key|wlan-?schlüssel|netzwerkschlüssel)["']?\s*[:=：]\s*
            """,
        RegexOptions.IgnoreCase | RegexOptions.IgnorePatternWhitespace | RegexOptions.CultureInvariant
    )]
    private static partial Regex Named();

    /// <summary>As wireless tools show a key: Key:s:text, Encryption key:1234-5678-90.</summary>
    [GeneratedRegex(
        "(?<before>\\bkey:[ ]*)(?:s:\\S+|[0-9A-F]{4}(?:-[0-9A-F]{2,4}){2,})",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant
    )]
    private static partial Regex Shown();

    /// <summary>
    /// The text of a QR code that joins a Wi-Fi: WIFI:T:WPA;S:name;P:key;; (common practice). None is longer than some 300 characters.
    /// </summary>
    [GeneratedRegex("(?<before>\\bWIFI:[^\\r\\n]{0,300}?(?<![A-Za-z])P:)(?:\\\\.|[^;\\\\\\r\\n])+", RegexOptions.CultureInvariant)]
    private static partial Regex Code();
}
