using System.Text.RegularExpressions;

namespace Altrin.Core.Readings;

/// <summary>
/// Finds keys and passwords in what machines print, so that a kept reading holds none: commands that list a saved Wi-Fi show its key, and so do
/// settings files and the text of a Wi-Fi's QR code.
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
        foreach (var value in known.Where(v => v.Length >= ShortestKnown).OrderByDescending(v => v.Length).ThenBy(v => v, StringComparer.Ordinal))
        {
            text = text.Replace(value, Instead, StringComparison.Ordinal);
        }
        text = Named().Replace(text, m => $"{m.Groups["before"].Value}{Instead}");
        text = Shown().Replace(text, m => $"{m.Groups["before"].Value}{Instead}");
        return Code().Replace(text, m => $"{m.Groups["before"].Value}{Instead}");
    }

    // How commands and files call a key, in the languages that readings are taken in (from memory). What only says that there is one, or
    // none, is no key.
    [GeneratedRegex(
        """
        (?<before>(?:^|[\s"'.{,;])(?:key\ content|schlüsselinhalt|contenu\ de\ la\ clé|contenido\ de\ la\ clave|содержимое\ ключа|关键内容|主要なコンテンツ
        |psk|wep-key\d?|wep_key\d?|leap-password|wpa_passphrase|wpa_psk|wpapsk|sae_password|sae-password|pre-?shared[\ -]key|passphrase
        |(?:wi-?fi|wlan|wireless|network|admin|login|router)?[\ _-]?(?:password|passwort|kennwort|mot\ de\ passe|contraseña|пароль|密码|パスワード)
        |(?:wi-?fi|wlan|wireless|network)[\ _-]?key|wlan-?schlüssel|netzwerkschlüssel)["']?[^\S\r\n]*[:=：][^\S\r\n]*)
        (?!(?:--|none|no|yes|null|present|absent|hidden|<hidden>|required|optional|n/a|\*+)[^\S\r\n]*(?:["',;}]|\r?$))
        (?:"[^"\r\n]*"|'[^'\r\n]*'|\S[^\r\n]*?(?=[^\S\r\n]*[,;}]?[^\S\r\n]*\r?$|["'],))
        """,
        RegexOptions.Multiline | RegexOptions.IgnoreCase | RegexOptions.IgnorePatternWhitespace | RegexOptions.CultureInvariant,
        matchTimeoutMilliseconds: 5_000)]
    private static partial Regex Named();

    /// <summary>As wireless tools show a key: Key:s:text, Encryption key:1234-5678-90.</summary>
    [GeneratedRegex("(?<before>\\bkey:[ ]*)(?:s:\\S+|[0-9A-F]{4}(?:-[0-9A-F]{2,4}){2,})", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 5_000)]
    private static partial Regex Shown();

    /// <summary>The text of a QR code that joins a Wi-Fi: WIFI:T:WPA;S:name;P:key;; (common practice).</summary>
    [GeneratedRegex("(?<before>\\bWIFI:[^\\r\\n]*?(?<![A-Za-z])P:)(?:\\\\.|[^;\\\\\\r\\n])+", RegexOptions.CultureInvariant, matchTimeoutMilliseconds: 5_000)]
    private static partial Regex Code();
}
