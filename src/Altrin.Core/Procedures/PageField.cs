using Altrin.Core.Changes;
using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures;

/// <summary>One line of what is typed into a page: its field in general words, and its value.</summary>
/// <param name="What">The field, such as "Wi-Fi name, 2.4 GHz"; the whole change in words where there is no one value.</param>
/// <param name="Value">What is typed or chosen; null where <paramref name="What"/> says all of it.</param>
/// <param name="IsSecret">Whether the value is a reference to a password, which is shown on request only.</param>
public sealed record PageField(string What, string? Value = null, bool IsSecret = false)
{
    /// <summary>What is typed for several changes, one after the other: each is told as it is once those before it are made.</summary>
    public static IReadOnlyList<PageField> Of(Design design, IReadOnlyList<Change> changes)
    {
        var lines = new List<PageField>();
        foreach (var change in changes)
        {
            lines.AddRange(Of(design, change));
            design = change.ApplyTo(design) is { Ok: true, Value: var after } ? design with { SetUp = after } : design;
        }
        return lines;
    }

    /// <summary>What is typed for a change, line by line.</summary>
    public static IReadOnlyList<PageField> Of(Design design, Change change) =>
        change switch
        {
            SetMode mode => [new(SettingWords.Of(Setting.Mode), ModeWords.Of(mode.Mode))],
            SetLanAddress lan => [new(SettingWords.Of(Setting.LanAddress), $"{lan.Address}")],
            SetPageAddress { Address: Fixed typed } => Typed(typed),
            SetPageAddress => [new(SettingWords.Of(Setting.PageAddress), "automatic (DHCP)")],
            SwitchDhcpServer server => [new(SettingWords.Of(Setting.DhcpServer), OnOff(server.On))],
            MovePool pool =>
            [
                .. Line(SettingWords.Of(Setting.PoolFirst), pool.First),
                .. Line(SettingWords.Of(Setting.PoolLast), pool.Last),
            ],
            Reserve reserve =>
            [
                new($"{SettingWords.Of(Setting.Reservation)} for {reserve.For(design)}, MAC address", $"{reserve.Mac}"),
                new("its address", $"{reserve.Address}"),
            ],
            AddForward { Forward: var forward } =>
            [
                new($"{SettingWords.Of(Setting.Forward)}, port", $"{forward.Protocol.ToString().ToUpperInvariant()} {forward.OutsidePort}"),
                new("to address", $"{forward.To}"),
                new("to port", $"{forward.InsidePort}"),
            ],
            SetPagePassword { Password: { } reference } => [new(SettingWords.Of(Setting.AdminPassword), reference, IsSecret: true)],
            SetRadio radio => Radio(design, radio),
            _ => [new(change.Describe(design))],
        };

    private static List<PageField> Typed(Fixed typed) =>
        [
            new(SettingWords.Of(Setting.PageAddress), $"{typed.Address.Address}"),
            new("subnet mask", $"{typed.Address.Subnet.Mask}"),
            .. Line("default gateway", typed.Gateway),
            .. typed.DnsServers.Count == 0 ? (PageField[])[] : [new("DNS servers", string.Join(", ", typed.DnsServers))],
        ];

    private static List<PageField> Radio(Design design, SetRadio change)
    {
        if (design.Mode(change.Box)?.Radios.FirstOrDefault(r => r.Radio == change.Radio) is not { } there)
        {
            return [new(change.Describe(design))];
        }
        var set = change.Setting.On(there);
        var band = design
            .Box(change.Box)!
            .Profile.Radios.Where(r => r.Id == change.Radio)
            .Select(r => $", {BandWords.Of(r.Band)}")
            .FirstOrDefault();
        return
        [
            .. Given(nameof(set.On), Setting.RadioOn, OnOff(set.On)),
            .. Given(nameof(set.Name), Setting.WifiName, set.Name),
            .. Given(nameof(set.Security), Setting.WifiSecurity, SecurityWords.Of(set.Security)),
            .. Given(nameof(set.Password), Setting.WifiPassword, set.Password, isSecret: true),
            .. Given(nameof(set.Channel), Setting.Channel, set.Channel is { } channel ? $"{channel}" : "automatic"),
            .. Given(nameof(set.WidthMhz), Setting.ChannelWidth, set.WidthMhz is { } width ? $"{width} MHz" : "automatic"),
            .. Given(nameof(set.Hidden), Setting.HiddenName, set.Hidden ? "yes" : "no"),
            .. Given(nameof(set.ProtectsFrames), Setting.FrameProtection, $"{set.ProtectsFrames}".ToLowerInvariant()),
            .. Given(nameof(set.WdsPeers), Setting.WdsPeers, string.Join(", ", set.WdsPeers.Select(design.NameOf))),
            .. change.Setting.Gives(nameof(set.FurtherNames)) ? Further(there, set) : [],
            .. Given(nameof(set.Region), Setting.Region, set.Region),
        ];

        IEnumerable<PageField> Further(RadioSetting was, RadioSetting now) =>
            [
                .. now
                    .FurtherNames.Except(was.FurtherNames)
                    .SelectMany(n =>
                        new[]
                        {
                            new PageField($"further Wi-Fi name{band}", n.Name),
                            new PageField($"security of \"{n.Name}\"", SecurityWords.Of(n.Security)),
                        }.Concat(n.Password is { } key ? [new PageField($"password of \"{n.Name}\"", key, IsSecret: true)] : [])
                    ),
                .. was
                    .FurtherNames.Where(w => now.FurtherNames.All(n => n.Name != w.Name))
                    .Select(w => new PageField($"take the further Wi-Fi name{band} off", w.Name)),
            ];

        IEnumerable<PageField> Given(string member, Setting setting, string? value, bool isSecret = false) =>
            change.Setting.Gives(member) && value is { Length: > 0 } ? [new($"{SettingWords.Of(setting)}{band}", value, isSecret)] : [];
    }

    private static IEnumerable<PageField> Line<T>(string what, T? value)
        where T : struct => value is { } given ? [new PageField(what, $"{given}")] : [];

    private static string OnOff(bool on) => on ? "on" : "off";
}
