using Altrin.Core.Addressing;
using Altrin.Core.Changes;
using Altrin.Core.Sites;

namespace Altrin.Formats;

/// <summary>Reads radios, radio links, and what a gateway passes on, against the site.</summary>
internal sealed class RadioReader(IReadOnlyDictionary<string, Box> boxes, ReadErrors errors)
{
    public List<RadioSetting> Radios(BoxSettingDocument setting, Box box, string pointer)
    {
        var radios = setting.Radios ?? [];
        errors.Unique(radios, r => r.Radio, i => $"{pointer}/{i}/radio", "a radio");
        if (
            !radios
                .Select(r => r.Radio)
                .Order(StringComparer.Ordinal)
                .SequenceEqual(box.Profile.Radios.Select(r => r.Id).Order(StringComparer.Ordinal))
        )
        {
            errors.Add(
                pointer,
                radios.Count == 0 ? "no radios" : string.Join(", ", radios.Select(r => r.Radio)),
                $"every radio of the profile once: {(box.Profile.Radios.Count == 0 ? "none" : string.Join(", ", box.Profile.Radios.Select(r => r.Id)))}"
            );
        }
        return [.. radios.Select((r, i) => Radio(r, box, $"{pointer}/{i}"))];
    }

    public Uplink? Link(UplinkDocument? link, Box box, string pointer)
    {
        if (link is null)
        {
            return null;
        }
        NoKeyWhenOpen(link.Security, link.Password, pointer);
        BoxOf(link.Box, $"{pointer}/box");
        if (link.Frames != UplinkFrames.Wds)
        {
            errors.Absent(
                $"{pointer}/channel",
                link.Channel,
                "only WDS fixes the channel of a link; others take that of the box they join"
            );
            errors.Absent($"{pointer}/widthMhz", link.WidthMhz, "only WDS fixes the width of a link");
        }
        var read = new Uplink(link.Radio, link.Box, link.Name, link.Security, link.Password, link.Frames)
        {
            Channel = link.Channel,
            WidthMhz = link.WidthMhz,
            Locked = link.Locked ?? false,
        };
        errors.Wrong(pointer, link.Radio, PageChecks.WrongUplink(box, read));
        return read;
    }

    public Uplink Needed(UplinkDocument? link, Box box, string pointer)
    {
        if (link is null)
        {
            errors.Add(pointer, "nothing", "this mode needs 'uplink'");
        }
        return Link(link, box, pointer) ?? new("none", box.Id, "none", WifiSecurity.Open, null, UplinkFrames.ThreeAddress);
    }

    public SatelliteMode Satellite(SatelliteDocument? satellite, Box box, string pointer)
    {
        if (satellite is null)
        {
            errors.Add(pointer, "nothing", "a satellite needs 'satellite'");
            return new(box.Id, null);
        }
        BoxOf(satellite.Main, $"{pointer}/main");
        if (satellite.By is { } by)
        {
            BoxOf(by, $"{pointer}/by");
        }
        return new(satellite.Main, satellite.By);
    }

    public Passing? Passing(PassingDocument? passing, Box box, string pointer)
    {
        if (passing is null)
        {
            return null;
        }
        if (passing.Kind == PassKind.Port)
        {
            errors.Absent($"{pointer}/to", passing.To, "by port no MAC address is named");
        }
        else
        {
            errors.Absent($"{pointer}/port", passing.Port, "only by port a port is named");
        }
        var read = new Passing(passing.Kind, passing.Port, errors.ReadOptional($"{pointer}/to", passing.To, MacAddress.Parse));
        errors.Wrong(pointer, passing.Kind.ToString(), PageChecks.WrongPassing(box, read));
        return read;
    }

    public LineSetting Line(LineSettingDocument? line, string pointer) =>
        line is null
            ? LineSetting.None
            : new(line.Login ?? false, line.Tag, errors.ReadOptional($"{pointer}/mac", line.Mac, MacAddress.Parse));

    private RadioSetting Radio(RadioSettingDocument radio, Box box, string pointer)
    {
        errors.Wrong($"{pointer}/name", radio.Name, PageChecks.WrongNetworkName(radio.Name));
        NoKeyWhenOpen(radio.Security, radio.Password, pointer);
        var band = box.Profile.Radios.FirstOrDefault(r => r.Id == radio.Radio)?.Band ?? default;
        errors.Wrong($"{pointer}/channel", $"{radio.Channel}", PageChecks.WrongChannel(band, radio.Channel, radio.WidthMhz));
        foreach (var (peer, i) in (radio.WdsPeers ?? []).Select((p, i) => (p, i)))
        {
            BoxOf(peer, $"{pointer}/wdsPeers/{i}");
        }
        for (var i = 0; i < (radio.FurtherNames?.Count ?? 0); i++)
        {
            var further = radio.FurtherNames![i];
            NoKeyWhenOpen(further.Security, further.Password, $"{pointer}/furtherNames/{i}");
        }
        var read = new RadioSetting(radio.Radio, radio.On, radio.Name, radio.Security, radio.Password)
        {
            Channel = radio.Channel,
            WidthMhz = radio.WidthMhz,
            Hidden = radio.Hidden ?? false,
            ProtectsFrames = radio.ProtectsFrames,
            WdsPeers = radio.WdsPeers ?? [],
            FurtherNames = radio.FurtherNames ?? [],
            Region = radio.Region,
        };
        errors.Wrong($"{pointer}/furtherNames", $"{read.FurtherNames.Count} names", PageChecks.WrongFurtherNames(read));
        errors.Wrong($"{pointer}/region", radio.Region ?? "", radio.Region is { } region ? Country.Wrong(region) : null);
        return read;
    }

    private void NoKeyWhenOpen(WifiSecurity security, string? key, string pointer)
    {
        if (security == WifiSecurity.Open)
        {
            errors.Absent($"{pointer}/password", key, "an open network has no password");
        }
    }

    private void BoxOf(string id, string pointer)
    {
        if (!boxes.ContainsKey(id))
        {
            errors.Add(pointer, $"\"{id}\"", "the id of a box of this site is expected");
        }
    }
}
