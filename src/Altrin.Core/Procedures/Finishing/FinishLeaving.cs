using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;

namespace Altrin.Core.Procedures.Finishing;

/// <summary>How the home is left.</summary>
internal static class FinishLeaving
{
    /// <summary>The items of a sheet.</summary>
    public static IEnumerable<CheckItem> Of(RunSheet sheet)
    {
        var (before, design) = (sheet.Start.Design, sheet.Aim.Planned.Design);
        yield return new(
            "leads",
            "Leads and labels",
            "No lead hangs loose in a box, and each box carries a label with its name and address.",
            [
                .. design
                    .SetUp.Boxes.Where(b => WanLeftFree(design, b))
                    .Select(b => $"the WAN port of {design.NameOf(b.Box)} is taped shut"),
                .. before
                    .SetUp.Boxes.Where(b => design.Mode(b.Box) is null)
                    .Select(b => $"{design.NameOf(b.Box)} is labelled as taken out, and what it was set to"),
            ]
        );
        yield return new("household", "Household", "Someone of the household has used the Wi-Fi once, on a phone of their own.", []);
        yield return new(
            "laptop",
            "Laptop and phone",
            "The laptop has its address automatically again; it and your phone forget the Wi-Fi and the logins of this home.",
            []
        );
        string[] open = [.. sheet.Undone.Select(u => u.Violation.Text), .. sheet.Play.LeftInWords()];
        yield return new(
            "records",
            "Records",
            "What was set, where each password is, and the readings from before and after stay with the customer. "
                + (open.Length == 0 ? "Nothing is left open." : "Left open, and told to the customer:"),
            open
        );
    }

    /// <summary>Whether a router joins by its LAN ports and would route again by its WAN port.</summary>
    private static bool WanLeftFree(Design design, BoxSetting box) =>
        box.Mode is RouterMode { Server.On: false }
        && design.Box(box.Box)!.Profile.Ports.Where(p => p.Role == PortRole.Wan).ToList() is { Count: > 0 } wan
        && wan.TrueForAll(p => design.CableAt(new(box.Box, p.Id)) is null);
}
