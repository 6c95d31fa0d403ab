using Altrin.Core.Facts;
using Altrin.Core.Networks;

namespace Altrin.Formats;

/// <summary>The address book as a table (RFC 4180): one row for each side that has or may have an address.</summary>
public static class AddressPlanFile
{
    private static readonly string[] Heads =
    [
        "territory",
        "name",
        "id",
        "side",
        "how",
        "address",
        "range",
        "prefix",
        "server",
        "gateway",
        "dns servers",
        "mac",
        "clash",
    ];

    /// <summary>The table.</summary>
    public static string Write(IReadOnlyList<BookEntry> book) =>
        CsvTable.Write(
            Heads,
            book.Select(e =>
                (IReadOnlyList<string?>)
                    [
                        e.Territory,
                        e.Name,
                        e.Owner,
                        Words(e.Side),
                        Words(e.Origin),
                        $"{e.Address}",
                        $"{e.From}",
                        $"{e.PrefixLength}",
                        string.Join(" or ", e.Servers),
                        $"{e.Gateway}",
                        string.Join(' ', e.DnsServers),
                        $"{e.Mac}",
                        e.Clashes ? "yes" : "",
                    ]
            )
        );

    private static string Words(Side side) =>
        side switch
        {
            Side.Lan => "inner",
            Side.Wan => "outer",
            Side.Guest => "guests",
            Side.Page => "page",
            Side.Provider => "provider",
            _ => "device",
        };

    private static string Words(AddressOrigin origin) =>
        origin switch
        {
            AddressOrigin.Fixed => "fixed",
            AddressOrigin.Reserved => "reserved",
            AddressOrigin.Leased => "leased",
            AddressOrigin.SelfAssigned => "self-assigned",
            _ => "none",
        };
}
