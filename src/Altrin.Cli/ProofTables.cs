using Altrin.Core.Facts;
using Altrin.Core.Findings;
using Altrin.Core.Networks;
using Altrin.Core.Packets;
using Altrin.Core.Sites;
using Spectre.Console;

namespace Altrin.Cli;

/// <summary>A proof as tables that a person reads.</summary>
internal static class ProofTables
{
    public static void Print(IAnsiConsole console, Proof proof)
    {
        var design = proof.Observation.Network.Design;
        var sheet = proof.Observation.Sheet;
        console.MarkupLineInterpolated($"[bold]{design.Site.Name}[/], set-up {design.SetUp.Name}");
        var (word, colour) = proof.Verdict.Kind switch
        {
            VerdictKind.WillNotWork => ("Will not work", "red"),
            VerdictKind.Works => ("Works", "yellow"),
            VerdictKind.Partly => ("Works in part", "yellow"),
            VerdictKind.Empty => ("Empty", "grey"),
            _ => ("Sound", "green"),
        };
        console.MarkupLine($"[bold {colour}]{word}.[/] {Markup.Escape(proof.Verdict.Sentence)}");
        console.WriteLine();
        Findings(console, proof);
        Table(
            console,
            "Addresses",
            ["Who", "Side", "Network", "Address", "How", "Gateway"],
            sheet
                .Addresses.Where(a => a.Side != Side.Provider)
                .Select(a =>
                    new[]
                    {
                        design.NameOf(a.Owner),
                        SideWord(a.Side),
                        design.NameOf(a.Segment),
                        Address(a),
                        Origin(design, a),
                        a.Gateway?.ToString() ?? "",
                    }
                )
        );
        Table(
            console,
            "Internet",
            ["Device", "Answer", "NAT by", "Why"],
            sheet.Internet.Select(i =>
                new[]
                {
                    design.NameOf(i.Device),
                    AnswerWords.Of(i.Answer.Kind),
                    string.Join(", then ", i.NatBy.Select(t => t == PortRef.Street ? "the provider" : design.NameOf(t))),
                    i.Answer.Why,
                }
            )
        );
        Table(
            console,
            "Needs",
            ["Who", "Asked for", "Answer", "Why"],
            sheet.Needs.Select(n =>
                new[] { Need(design, n.Need).Subject, Need(design, n.Need).Asked, AnswerWords.Of(n.Answer.Kind), n.Answer.Why }
            )
        );
        Table(
            console,
            "Who reaches whom",
            ["From", "To", "Answer", "Why"],
            sheet.Reach.Cells.Select(c =>
                new[]
                {
                    Members(design, sheet, c.From),
                    c.From == c.To ? "each other" : Members(design, sheet, c.To),
                    AnswerWords.Of(c.Answer.Kind),
                    c.Answer.Why,
                }
            )
        );
    }

    private static void Findings(IAnsiConsole console, Proof proof)
    {
        foreach (var finding in proof.Findings.Where(f => f.CausedBy.Count == 0))
        {
            Print(console, finding, "");
            foreach (var consequence in proof.Findings.Where(f => f.CausedBy.Count > 0 && f.CausedBy[0] == finding.Identity))
            {
                Print(console, consequence, "    ");
            }
        }
        if (proof.Findings.Count > 0)
        {
            console.WriteLine();
        }
    }

    private static void Print(IAnsiConsole console, Finding finding, string indent)
    {
        var (word, colour) = finding.Severity == Severity.WillNotWork ? ("will not work", "red") : ("concern", "yellow");
        console.MarkupLine(
            indent.Length == 0
                ? $"[bold {colour}]{word}[/]  {Markup.Escape(finding.What)}  [dim]{finding.Code}[/]"
                : $"{indent}so: {Markup.Escape(finding.What)}"
        );
        if (indent.Length == 0)
        {
            console.MarkupLineInterpolated($"    {finding.Notice}");
        }
        if (finding.Accepted is { } said)
        {
            console.MarkupLineInterpolated($"    {indent}accepted by {said.By}: {said.Reason}");
        }
        foreach (var remedy in finding.Remedies)
        {
            console.MarkupLineInterpolated(
                $"    {indent}cure: {remedy.Label}{(remedy.Settles.Count > 1 ? $" (settles {remedy.Settles.Count})" : "")}"
            );
        }
        foreach (var advice in finding.Advice)
        {
            console.MarkupLineInterpolated($"    {indent}advice: {advice}");
        }
    }

    /// <summary>A table; nothing where it has no rows.</summary>
    public static void Table(IAnsiConsole console, string title, string[] heads, IEnumerable<string[]> rows)
    {
        var table = new Table
        {
            Border = TableBorder.Simple,
            Title = new(title),
            UseSafeBorder = true,
        };
        table.Title!.Style = new Style(decoration: Decoration.Bold);
        foreach (var head in heads)
        {
            table.AddColumn(new TableColumn(head) { NoWrap = head is "Address" or "Gateway" });
        }
        var any = false;
        foreach (var row in rows)
        {
            table.AddRow([.. row.Select(Markup.Escape)]);
            any = true;
        }
        if (any)
        {
            console.Write(table);
        }
    }

    private static string Address(AddressFact fact) =>
        fact.Origin switch
        {
            AddressOrigin.Leased => fact.From is not { } pool ? "not known"
            : fact.Address is { } chosen ? $"{chosen}/{fact.PrefixLength}, or another of {pool.First} to {pool.Last}"
            : $"one of {pool.First} to {pool.Last}",
            AddressOrigin.SelfAssigned => "169.254.x.x",
            AddressOrigin.None => "none",
            _ => $"{fact.Address}/{fact.PrefixLength}",
        };

    private static string Origin(Design design, AddressFact fact) =>
        fact.Origin switch
        {
            AddressOrigin.Fixed => "fixed",
            AddressOrigin.Reserved => $"reserved by {design.NameOf(fact.Servers[0])}",
            AddressOrigin.Leased =>
                $"leased by {string.Join(" or ", fact.Servers.Select(s => s == PortRef.Street ? "the provider" : design.NameOf(s)))}",
            AddressOrigin.SelfAssigned => "no DHCP server answers",
            _ => "not connected",
        };

    private static string Members(Design design, FactSheet sheet, string id) =>
        string.Join(", ", sheet.Reach.Classes.First(c => c.Id == id).Devices.Select(design.NameOf));

    private static (string Subject, string Asked) Need(Design design, string id) =>
        NeedWords.Of(design, design.Site.Needs.First(n => n.Id == id));

    private static string SideWord(Side side) =>
        side switch
        {
            Side.Lan => "LAN side",
            Side.Wan => "WAN side",
            Side.Page => "page",
            Side.Guest => "among guests",
            _ => "",
        };
}
