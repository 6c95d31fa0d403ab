using System.Text.Json.Nodes;

namespace Altrin.Formats;

/// <summary>What version 7 of the design file calls by other words than the versions before it.</summary>
internal static class WordsOfVersion7
{
    /// <summary>Members of a label.</summary>
    private static readonly Dictionary<string, string> LabelMembers = new(StringComparer.Ordinal)
    {
        ["mended"] = "supported",
        ["mendedUntil"] = "supportedUntil",
    };

    /// <summary>Codes of findings; the others stayed.</summary>
    private static readonly Dictionary<string, string> Codes = new(StringComparer.Ordinal)
    {
        ["address-twice"] = "address-conflict",
        ["carrier-translation"] = "carrier-nat",
        ["device-at-street"] = "device-before-router",
        ["different-names"] = "split-wifi-name",
        ["fixed-inside-pool"] = "fixed-address-in-pool",
        ["forward-idle"] = "port-forward-idle",
        ["forward-to-lease"] = "port-forward-to-lease",
        ["guests-open"] = "guests-not-isolated",
        ["leases-through-bridge"] = "dhcp-through-bridge",
        ["lives-in-gateway"] = "service-in-gateway",
        ["mask-wrong"] = "subnet-mask-wrong",
        ["names-over-radio"] = "dns-over-wifi",
        ["names-wrong"] = "dns-server-wrong",
        ["no-address-server"] = "no-dhcp-server",
        ["no-loop-back"] = "no-hairpin",
        ["no-way-back"] = "no-return-route",
        ["no-way-out"] = "wan-port-empty",
        ["not-translated"] = "no-nat",
        ["one-name-two-keys"] = "wifi-password-differs",
        ["page-hidden"] = "management-page-hidden",
        ["page-not-reserved"] = "management-page-not-reserved",
        ["passed-on"] = "pass-through-cuts-off",
        ["passes-nowhere"] = "pass-through-unused",
        ["port-requests-on"] = "upnp-on",
        ["radio-chain"] = "repeater-chain",
        ["repeater-strays"] = "repeater-joins-other",
        ["routes-in-circle"] = "routing-loop",
        ["same-subnet-both-sides"] = "overlapping-subnets",
        ["server-wakes"] = "dhcp-server-wakes",
        ["several-at-street"] = "several-before-router",
        ["software-ended"] = "firmware-unsupported",
        ["supplies-apart"] = "powerline-across-supplies",
        ["television-astray"] = "tv-on-wrong-side",
        ["translated-twice"] = "double-nat",
        ["two-address-servers"] = "two-dhcp-servers",
    };

    /// <summary>Renames what labels hold and the findings that a design has accepted.</summary>
    public static void Upgrade(JsonObject home)
    {
        foreach (
            var label in ((home["site"] as JsonObject)?["boxes"] as JsonArray ?? [])
                .Select(b => (b as JsonObject)?["label"])
                .OfType<JsonObject>()
        )
        {
            foreach (var (before, now) in LabelMembers)
            {
                if (!label.ContainsKey(now) && label.Remove(before, out var value))
                {
                    label[now] = value;
                }
            }
        }
        foreach (
            var accepted in (home["setUps"] as JsonArray ?? [])
                .SelectMany(s => (s as JsonObject)?["accepted"] as JsonArray ?? [])
                .OfType<JsonObject>()
        )
        {
            if (
                accepted["finding"] is JsonValue value
                && value.TryGetValue<string>(out var identity)
                && identity.IndexOf('(', StringComparison.Ordinal) is > 0 and var end
                && Codes.TryGetValue(identity[..end], out var code)
            )
            {
                accepted["finding"] = code + identity[end..];
            }
        }
    }
}
