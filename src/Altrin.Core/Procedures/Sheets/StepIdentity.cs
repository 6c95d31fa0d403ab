using System.Security.Cryptography;
using System.Text;
using Altrin.Core.Changes;
using Altrin.Core.Procedures.Acts;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Sheets;

/// <summary>What a step is, whatever its number: kind of act, subjects, settings or target.</summary>
internal static class StepIdentity
{
    /// <summary>How long one is at most, in characters; a longer one ends in a digest of the whole.</summary>
    private const int Longest = 80;

    /// <summary>The identity of a step that is about an act, such as "save-loft-router-wireless-wifi-name".</summary>
    public static string Of(PlayedStep main)
    {
        var words = Slug(Words(main.Before.Design, main.Act));
        return words.Length <= Longest ? words : $"{words[..(Longest - 9)].TrimEnd('-')}-{Digest(words)}";
    }

    private static string Words(Design design, Act act) =>
        act switch
        {
            Fetch a => $"fetch {a.What}",
            AskProvider a => $"ask {a.Question}",
            RecordFacts a => $"record {a.Box}",
            TryLogin a => $"login {a.Box}",
            Export a => $"export {a.Box}",
            ResetBox a => $"reset {a.Box}",
            PowerOn a => $"power on {a.Id}",
            PowerOff a => $"power off {a.Id}",
            UpdateFirmware a => $"firmware {a.Box}",
            SavePage a => $"save {a.Box} {Settings(design, a.Box, a.Changes)}",
            SetInApp a => $"app {a.Box} {Settings(design, a.Box, a.Changes)}",
            OpenPage a => $"page {a.Box}",
            FindPage a => $"find {a.Box}",
            PatchCable a => $"patch {a.Id ?? $"{a.A} {a.B}"}",
            UnpatchCable a => $"unpatch {a.Cable}",
            CarryBox a => $"carry {a.Box} {a.Place}",
            PutBoxAway a => $"away {a.Box}",
            NewLink a => $"link {a.Device}",
            DeviceJoins a => $"join {a.Device} {a.Wifi?.Box} {a.Wifi?.Name}",
            DeviceTakesAddress a => $"address {a.Device} {(a.Address as Fixed)?.Address.Address}",
            Verify a => $"see {a.What} {a.Of}",
            LaptopToPort a => $"laptop {a.Port}",
            LaptopAddress a => $"laptop address {(a.Address as Fixed)?.Address.Address}",
            LaptopOffWifi a => a.Forget ? "laptop home" : "laptop off wifi",
            WaitFor a => $"wait {a.Seconds}",
            var other => other.GetType().Name,
        };

    private static string Settings(Design design, string box, IReadOnlyList<Change> changes) =>
        string.Join(' ', changes.SelectMany(c => TypedSettings.Of(design, box, c).Select(s => $"{s}{Target(c)}")).Distinct());

    /// <summary>What tells two saves of one setting apart.</summary>
    private static string Target(Change change) =>
        change switch
        {
            SetRadio radio when radio.Setting.Gives(nameof(RadioSetting.On)) => radio.Setting.On(Blank).On ? " on" : " off",
            SetMode mode => $" {mode.Mode}",
            SetLanAddress lan => $" {lan.Address.Address}",
            SwitchDhcpServer server => server.On ? " on" : " off",
            _ => "",
        };

    private static RadioSetting Blank { get; } = new("", false, "", WifiSecurity.Open, null);

    private static string Slug(string words)
    {
        var slug = new StringBuilder();
        var before = '-';
        foreach (var c in words)
        {
            if (char.IsAsciiLetterUpper(c) && char.IsAsciiLetterLower(before))
            {
                slug.Append('-');
            }
            before = char.IsAsciiLetterOrDigit(c) ? c : '-';
            if (before != '-' || (slug.Length > 0 && slug[^1] != '-'))
            {
                slug.Append(char.ToLowerInvariant(before));
            }
        }
        return slug.ToString().Trim('-');
    }

    private static string Digest(string words) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(words)))[..8];
}
