namespace Altrin.Core.Surveys;

/// <summary>Passwords that can be read out to a person: syllables and digits without letters that look or sound alike.</summary>
public static class SayableKey
{
    /// <summary>Consonants that are told apart by ear and eye; l, c, q, x, z and the like are left out.</summary>
    private const string Consonants = "bdfghkmnprstvw";

    private const string Vowels = "aeiu";

    /// <summary>Digits that look like no letter: neither 0 nor 1.</summary>
    private const string Digits = "23456789";

    /// <summary>How many groups of two syllables and a digit make a key.</summary>
    public const int Groups = 5;

    /// <summary>
    /// How many choices one key is made of, as a power of two: about 73 bits, far beyond guessing a Wi-Fi key by trying (common practice
    /// asks for 60 and more).
    /// </summary>
    public static double Bits => Groups * ((2 * Math.Log2(Consonants.Length * Vowels.Length)) + Math.Log2(Digits.Length));

    /// <summary>
    /// A key such as "tamu4-riwe7-badi2-kugi9-hepa3": 29 characters, which every box takes (a Wi-Fi key has 8 to 63 printable ASCII
    /// characters; IEEE 802.11, from memory).
    /// </summary>
    /// <param name="below">Gives a number from 0 to below its argument, each as likely as any other; from a source that cannot be
    /// foretold.</param>
    public static string Make(Func<int, int> below)
    {
        return string.Join('-', Enumerable.Range(0, Groups).Select(_ => $"{Syllable()}{Syllable()}{Digits[below(Digits.Length)]}"));

        string Syllable() => $"{Consonants[below(Consonants.Length)]}{Vowels[below(Vowels.Length)]}";
    }
}
