using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets members of one radio of a box.</summary>
public sealed record SetRadio(string Box, string Radio, Partial<RadioSetting> Setting) : Change
{
    private static readonly Dictionary<string, Setting> Settings = new(StringComparer.Ordinal)
    {
        [nameof(RadioSetting.On)] = Sites.Setting.RadioOn,
        [nameof(RadioSetting.Name)] = Sites.Setting.WifiName,
        [nameof(RadioSetting.Security)] = Sites.Setting.WifiSecurity,
        [nameof(RadioSetting.Password)] = Sites.Setting.WifiPassword,
        [nameof(RadioSetting.Channel)] = Sites.Setting.Channel,
        [nameof(RadioSetting.WidthMhz)] = Sites.Setting.ChannelWidth,
        [nameof(RadioSetting.Hidden)] = Sites.Setting.HiddenName,
        [nameof(RadioSetting.ProtectsFrames)] = Sites.Setting.FrameProtection,
        [nameof(RadioSetting.WdsPeers)] = Sites.Setting.WdsPeers,
        [nameof(RadioSetting.FurtherNames)] = Sites.Setting.FurtherNames,
        [nameof(RadioSetting.Region)] = Sites.Setting.Region,
    };

    /// <summary>Whether it switches the radio off.</summary>
    public bool IsOff() => ((IPartial)Setting).Values.TryGetValue(nameof(RadioSetting.On), out var on) && on is false;

    /// <summary>The settings that are given, without what follows from them: an open network has no password.</summary>
    public IEnumerable<Setting> Given() => Setting.Given.Select(m => Settings[m]);

    /// <summary>What makes one setting of a radio into another.</summary>
    public static SetRadio Between(string box, RadioSetting from, RadioSetting to) =>
        new(box, from.Radio, Partial<RadioSetting>.Between(from, to));

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) => Edit.Mode<BoxMode>(design, Box, "radio", mode =>
        {
            if (mode.Radios.FirstOrDefault(r => r.Radio == Radio) is not { } there)
            {
                return Parsed<BoxMode>.Fail($"The {design.NameOf(Box)} has no radio '{Ipv4Address.Shown(Radio)}' in its present mode.");
            }
            var set = Setting.On(there);
            var radios = design.Box(Box)!.Profile.Radios.Where(r => r.Id == Radio).ToList();
            if (
                (
                    PageChecks.WrongNetworkName(set.Name)
                    ?? PageChecks.WrongKeyReference(set.Password)
                    ?? PageChecks.WrongChannel(radios.Select(r => r.Band).FirstOrDefault(), set.Channel, set.WidthMhz)
                    ?? PageChecks.WrongPeers(design, set.WdsPeers)
                    ?? PageChecks.WrongSecurity(Setting, radios, set.Security)
                    ?? PageChecks.WrongFurtherNames(set)
                    ?? (set.Region is { } region ? Country.Wrong(region) : null)
                ) is
                { } wrong
            )
            {
                return Parsed<BoxMode>.Fail(wrong);
            }
            set = set.Security == WifiSecurity.Open ? set with { Password = null } : set;
            set = set with
            {
                FurtherNames = [.. set.FurtherNames.Select(n => n.Security == WifiSecurity.Open ? n with { Password = null } : n)],
            };
            var after = mode.WithRadios([.. mode.Radios.Select(r => r.Radio == Radio ? set : r)]);
            return Edit.Unless<BoxMode>(PageChecks.TooManyNames(design.Box(Box)!, after), after);
        });

    /// <inheritdoc/>
    public override string Describe(Design design)
    {
        if (design.Mode(Box)?.Radios.FirstOrDefault(r => r.Radio == Radio) is not { } there)
        {
            return $"A radio of {design.NameOf(Box)} is set";
        }
        var (set, box) = (Setting.On(there), design.NameOf(Box));
        return OnlyGives(nameof(RadioSetting.Region)) ? $"{box} is set to region {set.Region ?? "not read"}"
            : OnlyGives(nameof(RadioSetting.FurtherNames))
                ? set.FurtherNames.Count == 0 ? $"{box} sends \"{set.Name}\" alone"
                    : $"{box} sends {string.Join(" and ", set.FurtherNames.Select(n => $"\"{n.Name}\""))} beside \"{set.Name}\""
            : set.On ? $"{box} sends \"{set.Name}\""
            : $"A radio of {box} goes off";
    }

    private bool OnlyGives(string member) => Setting.Given.Count == 1 && Setting.Gives(member);

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) =>
        [
            .. Given().Select(s => new Touch(s, Box, Radio)),
            // An open network has no password.
            .. Setting.Gives(nameof(RadioSetting.Security)) ? [new Touch(Sites.Setting.WifiPassword, Box, Radio)] : (Touch[])[],
        ];
}
