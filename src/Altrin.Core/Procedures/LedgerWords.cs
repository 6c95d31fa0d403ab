namespace Altrin.Core.Procedures;

/// <summary>Entries of the ledger in words.</summary>
public static class LedgerWords
{
    /// <summary>What is written down.</summary>
    public static string Of(Recordable what) =>
        what switch
        {
            Recordable.Pages => "its pages",
            Recordable.WanLogin => "login of the line",
            Recordable.VlanTag => "VLAN tag",
            Recordable.MacLock => "MAC lock of the line",
            Recordable.WanMac => "WAN MAC address",
            Recordable.Ipv4Kind => "how IPv4 arrives",
            Recordable.Ipv6Prefix => "whether there is an IPv6 prefix",
            Recordable.Forwards => "port forwardings",
            Recordable.Telephone => "telephone settings",
            Recordable.LineRate => "rate of the line",
            _ => "list of devices",
        };

    /// <summary>What is fetched.</summary>
    public static string Of(Fetchable what) =>
        what switch
        {
            Fetchable.Firmware => "firmware",
            Fetchable.Manual => "manual",
            _ => "label facts",
        };

    /// <summary>What the provider is asked for.</summary>
    public static string Of(ProviderQuestion question) =>
        question switch
        {
            ProviderQuestion.Login => "the login of the line",
            ProviderQuestion.Tag => "the VLAN tag of the line",
            ProviderQuestion.MacLock => "to let another MAC address on",
            ProviderQuestion.Bridge => "to set the gateway to bridge mode",
            ProviderQuestion.RadiosOff => "to switch the gateway's radios off",
            ProviderQuestion.PublicAddress => "for a public address",
            _ => "how long each step takes",
        };
}
