using System.Globalization;
using Altrin.Core.Facts;
using Altrin.Core.Networks;
using CsvHelper;
using CsvHelper.Configuration;

namespace Altrin.Formats;

/// <summary>The address book as a table (RFC 4180): one row for each side that has or may have an address.</summary>
public static class AddressPlanFile
{
    private static readonly string[] Heads = ["territory", "name", "id", "side", "how", "address", "range", "prefix", "server", "gateway", "names", "hardware", "clash"];

    /// <summary>The table. Text that a spreadsheet would take for a formula is written with an apostrophe before it.</summary>
    public static string Write(IReadOnlyList<BookEntry> book)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture) { NewLine = "\r\n" };
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n", InjectionOptions = InjectionOptions.Escape, InjectionEscapeCharacter = '\'' }))
        {
            Row(csv, Heads);
            foreach (var e in book)
            {
                Row(csv,
                [
                    e.Territory, e.Name, e.Owner, Words(e.Side), Words(e.Origin), $"{e.Address}", $"{e.From}", $"{e.PrefixLength}",
                    string.Join(" or ", e.Servers), $"{e.Gateway}", string.Join(' ', e.NameServers), $"{e.Hardware}", e.Clashes ? "yes" : "",
                ]);
            }
        }
        return text.ToString();
    }

    private static void Row(CsvWriter csv, IEnumerable<string> cells)
    {
        foreach (var cell in cells)
        {
            csv.WriteField(cell);
        }
        csv.NextRecord();
    }

    private static string Words(Side side) => side switch
    {
        Side.Lan => "inner",
        Side.Wan => "outer",
        Side.Guest => "guests",
        Side.Page => "page",
        Side.Provider => "provider",
        _ => "device",
    };

    private static string Words(AddressOrigin origin) => origin switch
    {
        AddressOrigin.Fixed => "fixed",
        AddressOrigin.Reserved => "reserved",
        AddressOrigin.Leased => "leased",
        AddressOrigin.SelfAssigned => "self-assigned",
        _ => "none",
    };
}
