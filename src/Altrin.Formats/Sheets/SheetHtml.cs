using System.Globalization;
using System.Net;
using System.Security.Cryptography;
using System.Text;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats;

/// <summary>
/// A run sheet as one page that needs no server and no network: steps are ticked and timed in it, it is printed on A4, and where scripts
/// do not run it says so.
/// </summary>
public static class SheetHtml
{
    /// <summary>
    /// The page in its parts, in order: what stands before the steps, each step, what stands after them. What may go wrong at a step, and
    /// the way back from a rest point, is worked out when its part is asked for.
    /// </summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="title">Its heading.</param>
    /// <returns>Two more than there are steps; each gives the same text whenever it is asked, and gives up between two acts.</returns>
    public static IReadOnlyList<Func<CancellationToken, string>> Parts(RunSheet sheet, string title) =>
        SheetParts.Of(sheet, () => Head(sheet, title), (i, cancel) => Part(sheet, i, cancel), () => Tail(sheet));

    private static string Head(RunSheet sheet, string title)
    {
        var text = new StringBuilder();
        // What was ticked is kept by the browser for this very sheet: another order of another home is another sheet.
        var key = Convert.ToHexStringLower(
            SHA256.HashData(Encoding.UTF8.GetBytes($"{title} {string.Join(' ', sheet.Steps.Select(s => s.Id))}"))
        )[..16];
        text.Append(
            CultureInfo.InvariantCulture,
            $"<!doctype html>\n<html lang=\"en\" data-sheet=\"{key}\">\n<head>\n<meta charset=\"utf-8\">\n"
        );
        text.Append("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\">\n");
        text.Append(
            CultureInfo.InvariantCulture,
            $"<title>{Plain(title)}</title>\n<style>\n{Resources.Text("sheet.css")}</style>\n</head>\n<body>\n"
        );
        text.Append(CultureInfo.InvariantCulture, $"<header>\n<h1>{Plain(title)}</h1>\n");
        text.Append(CultureInfo.InvariantCulture, $"<p>{Plain(SheetWords.Totals(sheet))} {Plain(SheetWords.Window(sheet))}</p>\n");
        Verdict(text, sheet);
        text.Append("<noscript><p class=\"bad\">Scripts do not run here: tick the steps on paper, and use a clock.</p></noscript>\n");
        text.Append(
            CultureInfo.InvariantCulture,
            $"<p class=\"live\" hidden><span id=\"done\">0</span> of {sheet.Steps.Count} steps ticked. "
        );
        text.Append("<button type=\"button\" id=\"clear\">Clear all ticks</button></p>\n</header>\n<main>\n");
        if (sheet.Material.Count > 0)
        {
            text.Append("<section>\n<h2>Take along</h2>\n<ul class=\"ticks\">\n");
            foreach (var (item, i) in sheet.Material.Select((m, i) => (m, i)))
            {
                text.Append(
                    CultureInfo.InvariantCulture,
                    $"<li><label><input type=\"checkbox\" data-tick=\"material-{i}\"> {Plain(item)}</label></li>\n"
                );
            }
            text.Append("</ul>\n</section>\n");
        }
        Checks(text, SheetChecks.Before(sheet));
        return text.ToString();
    }

    /// <summary>A step with all that is known of it, and the heading of its phase before the first of one.</summary>
    private static string Part(RunSheet sheet, int i, CancellationToken cancel)
    {
        var (text, step) = (new StringBuilder(), sheet.Steps[i]);
        if (SheetParts.Phase(sheet, i) is { } phase)
        {
            text.Append(i == 0 ? "" : "</ol>\n</section>\n");
            text.Append(CultureInfo.InvariantCulture, $"<section>\n<h2>{phase}</h2>\n<ol start=\"{i + 1}\">\n");
        }
        Step(text, step, sheet.Start.Design);
        IfNot(text, step, i + 1, StepIfNot.Of(sheet, i + 1, cancel));
        Otherwise(text, StepBranch.Of(sheet, i + 1, cancel));
        // First, for what is said of a risk is then known of it.
        var back = step.IsRest && i + 1 < sheet.Steps.Count ? WayBack.After(sheet, i + 1, cancel) : null;
        text.AppendJoin("", SheetWords.Warnings(sheet, i, cancel).Select(w => $"<p class=\"note\">{Plain(w)}</p>\n"));
        if (back is not null)
        {
            Back(text, back);
        }
        return text.Append("</li>\n").ToString();
    }

    private static string Tail(RunSheet sheet)
    {
        var text = new StringBuilder(sheet.Steps.Count == 0 ? "" : "</ol>\n</section>\n");
        Checks(text, SheetChecks.After(sheet));
        text.Append(CultureInfo.InvariantCulture, $"</main>\n<script>\n{Resources.Text("sheet.js")}</script>\n</body>\n</html>\n");
        return text.ToString();
    }

    private static void Step(StringBuilder text, SheetStep step, Core.Sites.Design design)
    {
        var seconds = (int)step.Takes.Usual.TotalSeconds;
        text.Append(CultureInfo.InvariantCulture, $"<li id=\"{step.Id}\">\n<label><input type=\"checkbox\" data-tick=\"{step.Id}\"> ");
        text.Append(
            CultureInfo.InvariantCulture,
            $"<b>{Plain(step.Says)}</b></label>\n<span class=\"time\">{Plain(SheetWords.About(step.Takes.Usual))}</span>\n"
        );
        text.Append(
            CultureInfo.InvariantCulture,
            $"<button type=\"button\" class=\"live\" hidden data-timer=\"{step.Id}\" data-seconds=\"{seconds}\">Start timer</button>\n"
        );
        text.Append("<ul>\n");
        foreach (var line in SheetWords.Lines(step, design))
        {
            var head = line.Head is { } what ? $"<i>{Plain(what)}:</i> " : "";
            text.Append(
                CultureInfo.InvariantCulture,
                $"<li class=\"{line.Kind.ToString().ToLowerInvariant()}\">{head}{Plain(line.Says)}</li>\n"
            );
        }
        text.Append("</ul>\n");
    }

    /// <summary>What may have gone wrong at a step, by what is seen, and how the step is undone.</summary>
    private static void IfNot(StringBuilder text, SheetStep step, int number, IReadOnlyList<WhatIfNot> groups)
    {
        if (groups.Count == 0 && step.Undo is not { Can: true })
        {
            return;
        }
        text.Append("<details>\n<summary>If you see something else, and the way back</summary>\n");
        foreach (var group in groups)
        {
            text.AppendJoin("", group.Shows.Select(l => $"<p class=\"see\">{Plain(l.What)}: {Plain(l.Says)}</p>\n"));
            text.Append(group.Unseen(number) is { } unseen ? $"<p class=\"note\">{Plain(unseen)}</p>\n" : "");
            text.Append(group.Tests is { } tests ? $"<p>{Plain(tests)}</p>\n" : "").Append("<ul>\n");
            text.AppendJoin("", group.Slips.Select(s => $"<li>{Plain(s.Says)} {Plain(s.WayOut)}</li>\n")).Append("</ul>\n");
        }
        if (step.Undo is { Can: true } undo)
        {
            text.Append(CultureInfo.InvariantCulture, $"<p><i>Way back of this step:</i> {Plain(undo.Says)}</p>\n");
            text.Append(undo.Lines.Count == 0 ? "" : "<ul>\n")
                .AppendJoin("", undo.Lines.Select(l => $"<li class=\"value\">{Plain(SheetWords.Line(l))}</li>\n"))
                .Append(undo.Lines.Count == 0 ? "" : "</ul>\n");
        }
        text.Append("</details>\n");
    }

    /// <summary>How it goes on where a step comes out otherwise than was taken to be so.</summary>
    private static void Otherwise(StringBuilder text, IReadOnlyList<StepBranch> branches)
    {
        foreach (var branch in branches)
        {
            text.Append(CultureInfo.InvariantCulture, $"<details>\n<summary>If instead {Plain(branch.If)}: how it goes on</summary>\n");
            Verdict(text, branch.Sheet);
            Brief(text, branch.Sheet);
            text.Append("</details>\n");
        }
    }

    /// <summary>The steps of a sheet that is told beside another.</summary>
    private static void Brief(StringBuilder text, RunSheet sheet)
    {
        text.Append("<ol>\n");
        foreach (var step in sheet.Steps)
        {
            text.Append(CultureInfo.InvariantCulture, $"<li>{Plain(step.Says)}")
                .Append(step.Lines.Count == 0 ? "" : "\n<ul>\n")
                .AppendJoin("", step.Lines.Select(l => $"<li class=\"value\">{Plain(SheetWords.Line(l))}</li>\n"))
                .Append(step.Lines.Count == 0 ? "" : "</ul>\n")
                .Append("</li>\n");
        }
        text.Append("</ol>\n");
    }

    /// <summary>At a rest point, where one may stop for good: what leads back to how the home was found.</summary>
    private static void Back(StringBuilder text, WayBack back)
    {
        text.Append("<details>\n<summary>Stop here for good: back to how the home was found</summary>\n");
        text.Append(
            CultureInfo.InvariantCulture,
            $"<p>{back.Sheet.Steps.Count} steps, {Plain(SheetWords.About(back.Sheet.Takes.Usual))}, of which "
        );
        text.Append(CultureInfo.InvariantCulture, $"{Plain(SheetWords.About(back.AtMainBox))} of hand work at the main box.</p>\n");
        Brief(text, back.Sheet);
        var amiss = back.Sheet.Missing.Concat(back.Sheet.Play.LeftInWords()).Concat(back.Differs);
        text.AppendJoin("", amiss.Select(a => $"<p class=\"bad\">{Plain(a)}</p>\n")).Append("</details>\n");
    }

    private static void Checks(StringBuilder text, IEnumerable<SheetChecks> lists)
    {
        foreach (var list in lists)
        {
            text.Append(CultureInfo.InvariantCulture, $"<section>\n<h2>{Plain(list.Title)}</h2>\n<ul class=\"ticks\">\n");
            foreach (var item in list.Items)
            {
                text.Append(
                    CultureInfo.InvariantCulture,
                    $"<li><label><input type=\"checkbox\" data-tick=\"check-{item.Id}\"> <span><b>{Plain(item.About)}.</b> "
                );
                text.Append(CultureInfo.InvariantCulture, $"{Plain(item.Says)}</span></label>\n");
                text.Append(item.Each.Count == 0 ? "" : "<ul>\n")
                    .AppendJoin("", item.Each.Select(e => $"<li>{Plain(e)}</li>\n"))
                    .Append(item.Each.Count == 0 ? "" : "</ul>\n");
                text.Append("</li>\n");
            }
            text.Append("</ul>\n</section>\n");
        }
    }

    private static void Verdict(StringBuilder text, RunSheet sheet)
    {
        foreach (var part in SheetVerdict.Of(sheet))
        {
            var tone = part.Tone.ToString().ToLowerInvariant();
            text.Append(CultureInfo.InvariantCulture, $"<p class=\"{tone}\">{Plain(part.Says)}</p>\n");
            if (part.Items.Count > 0)
            {
                text.Append("<ul>\n").AppendJoin("", part.Items.Select(i => $"<li>{Plain(i)}</li>\n")).Append("</ul>\n");
            }
        }
    }

    private static string Plain(string text) => WebUtility.HtmlEncode(text);
}
