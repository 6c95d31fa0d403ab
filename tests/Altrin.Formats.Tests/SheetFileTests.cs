using System.Globalization;
using System.Text.Json;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;
using Altrin.Core.Sites;
using Microsoft.VisualBasic.FileIO;
using Snapshooter.Xunit3;

namespace Altrin.Formats.Tests;

/// <summary>The forms in which a run sheet is written.</summary>
public sealed class SheetFileTests
{
    private static readonly DateTime Evening = new(2026, 12, 4, 19, 0, 0, DateTimeKind.Unspecified);

    private static readonly RunSheet Sheet = DerivedSheets.Of("pottery-house.json");

    private static string Written(SheetForm form) => DerivedSheets.Whole(SheetFile.Of(form, Sheet, "found", "one-network", Evening).Parts);

    /// <summary>It takes as long as the sheet itself, several times over.</summary>
    private static readonly Lazy<string> Page = new(() => Written(SheetForm.Html));

    public static TheoryData<SheetForm> Forms => [.. Enum.GetValues<SheetForm>()];

    [Theory]
    [MemberData(nameof(Forms))]
    public void Every_form_names_every_step_and_comes_out_the_same(SheetForm form)
    {
        var written = Written(form);
        Assert.Equal(written, form == SheetForm.Html ? Page.Value : Written(form));
        // A calendar folds its lines, and marks of its own stand before commas.
        var plain =
            form == SheetForm.Ics
                ? written.Replace("\r\n ", "", StringComparison.Ordinal).Replace("\\,", ",", StringComparison.Ordinal)
                : written;
        Assert.All(Sheet.Steps, s => Assert.Contains(Escaped(form, s.Says), plain, StringComparison.Ordinal));
        // Nothing is fetched from anywhere.
        Assert.DoesNotMatch(@"https?://\S", written);
    }

    private static string Escaped(SheetForm form, string says) =>
        form switch
        {
            SheetForm.Html => System.Net.WebUtility.HtmlEncode(says),
            SheetForm.Json => JsonSerializer.Serialize(says, AltrinJson.Options)[1..^1],
            SheetForm.Csv => says.Replace("\"", "\"\"", StringComparison.Ordinal),
            _ => says,
        };

    /// <summary>Read by a reader of tables that is not the one that wrote it.</summary>
    [Fact]
    public void The_table_is_read_back_by_another_reader()
    {
        using var parser = new TextFieldParser(new StringReader(Written(SheetForm.Csv)))
        {
            Delimiters = [","],
            HasFieldsEnclosedInQuotes = true,
        };
        var rows = new List<string[]>();
        while (!parser.EndOfData)
        {
            rows.Add(parser.ReadFields()!);
        }
        Assert.Equal(16, rows[0].Length);
        Assert.All(rows, r => Assert.Equal(rows[0].Length, r.Length));
        Assert.Equal(
            Sheet.Steps.Select((s, i) => $"{i + 1} {s.Id} {s.Says} {s.Takes.Usual.TotalSeconds.ToString(CultureInfo.InvariantCulture)}"),
            rows.Skip(1).Where(r => r[0].Length > 0).Select(r => $"{r[0]} {r[1]} {r[3]} {r[7]}")
        );
        // What is looked up before stands before the steps, what is to be proven behind them.
        Assert.Equal(
            [
                .. SheetChecks.Before(Sheet).SelectMany(c => c.Items).Select(c => $"check-{c.Id} {c.About} {c.Says}"),
                .. Sheet.Steps.Select(s => $"{s.Id} {s.Says} {s.Why}"),
                .. SheetChecks.After(Sheet).SelectMany(c => c.Items).Select(c => $"check-{c.Id} {c.About} {c.Says}"),
            ],
            rows.Skip(1).Select(r => $"{r[1]} {r[3]} {r[10]}")
        );
    }

    [Fact]
    public void Data_says_what_the_sheet_says()
    {
        using var json = JsonDocument.Parse(Written(SheetForm.Json));
        var root = json.RootElement;
        Assert.True(root.GetProperty("safe").GetBoolean());
        Assert.Equal(
            Sheet.Steps.Select(s => s.Id),
            root.GetProperty("steps").EnumerateArray().Select(s => s.GetProperty("id").GetString())
        );
        Assert.Equal((int)Sheet.Takes.Usual.TotalSeconds, root.GetProperty("takes").GetProperty("usual").GetInt32());
        Assert.Equal(SheetWords.Number(Sheet, Sheet.Window[0]), root.GetProperty("window").GetProperty("first").GetInt32());
    }

    [Fact]
    public void Markdown_has_a_box_to_tick_for_each_step_and_no_mark_that_is_not_meant()
    {
        var text = Written(SheetForm.Markdown);
        var boxes = text.Split('\n').Where(l => l.StartsWith("- [ ] **", StringComparison.Ordinal)).ToList();
        Assert.Equal(Sheet.Steps.Count, boxes.Count(l => char.IsAsciiDigit(l["- [ ] **".Length])));
        Assert.Equal(Sheet.Steps.Count + SheetChecks.Before(Sheet).Concat(SheetChecks.After(Sheet)).Sum(c => c.Items.Count), boxes.Count);
        Assert.Contains("Pull its 3 cables".ToLowerInvariant(), text.ToLowerInvariant(), StringComparison.Ordinal);
        var named = Sheet.Start.Design with { Site = Sheet.Start.Design.Site with { Name = "A *b* [c](d) <e>" } };
        var odd = SheetMarkdown
            .Parts(Sheet with { Start = Sheet.Start with { Moment = Sheet.Start.Moment with { Design = named } } }, named.Site.Name)[0]
            .Invoke(TestContext.Current.CancellationToken);
        Assert.StartsWith("# A \\*b\\* \\[c\\](d) \\<e\\>\n", odd, StringComparison.Ordinal);
    }

    /// <summary>What stands in it is read by another reader of calendars in the tests of the page.</summary>
    [Fact]
    public void The_calendar_is_as_approved() => Snapshot.Match(Written(SheetForm.Ics).Split("\r\n"), "pottery-house.calendar");

    [Fact]
    public void A_calendar_needs_a_start() =>
        Assert.Throws<ArgumentNullException>(() => SheetFile.Of(SheetForm.Ics, Sheet, "found", "one-network"));

    /// <summary>Each slip of each step stands in the page, in the part of its step, and so does how the step is undone.</summary>
    [Fact]
    public void A_page_says_what_may_go_wrong_at_each_step()
    {
        var parts = Page.Value.Split("<li id=\"").Skip(1).ToList();
        Assert.Equal(Sheet.Steps.Count, parts.Count);
        foreach (var (step, i) in Sheet.Steps.Select((s, i) => (s, i)))
        {
            Assert.StartsWith($"{step.Id}\"", parts[i], StringComparison.Ordinal);
            var text = System.Net.WebUtility.HtmlDecode(parts[i]);
            var groups = StepIfNot.Of(Sheet, i + 1, TestContext.Current.CancellationToken);
            Assert.All(groups.SelectMany(g => g.Slips), s =>
                Assert.Contains($"<li>{s.Says} {s.WayOut}</li>", text, StringComparison.Ordinal)
            );
            Assert.All(groups.SelectMany(g => g.Shows), l => Assert.Contains($">{l.What}: {l.Says}</p>", text, StringComparison.Ordinal));
            Assert.Equal(step.Undo is { Can: true }, text.Contains("Way back of this step:", StringComparison.Ordinal));
        }
    }

    /// <summary>A step that takes the internet away, or cannot be undone, says by when it has to be begun.</summary>
    [Theory]
    [InlineData(SheetForm.Text)]
    [InlineData(SheetForm.Markdown)]
    [InlineData(SheetForm.Html)]
    public void A_risky_step_says_when_it_has_to_begin(SheetForm form)
    {
        var parts = SheetFile.Of(form, Sheet, "found", "one-network").Parts;
        Assert.Equal(Sheet.Steps.Count + 2, parts.Count);
        Assert.Contains(Sheet.Steps, WayBack.IsRisk);
        foreach (var (step, i) in Sheet.Steps.Select((s, i) => (s, i)))
        {
            var written = parts[i + 1](TestContext.Current.CancellationToken);
            var back = WayBack.After(Sheet, i + 1, TestContext.Current.CancellationToken);
            Assert.Equal(WayBack.IsRisk(step), written.Contains("Begin this step no later than", StringComparison.Ordinal));
            Assert.True(
                back.BeginBefore is not { } before || written.Contains($"than {SheetWords.About(before)} before", StringComparison.Ordinal)
            );
        }
    }

    /// <summary>
    /// A way back that keeps hands busy for long is told before the first step that may call for it: a gateway each of whose settings has a
    /// page of its own becomes a bridge.
    /// </summary>
    [Fact]
    public void A_long_way_back_is_told_before_the_first_risk()
    {
        const string Name = "t09-behind-bridge.json";
        var (known, cancel) = (DerivedSheets.Of(Name), TestContext.Current.CancellationToken);
        var (design, gateway) = (known.Start.Design, known.Start.Design.Site.Boxes.Single(b => b.Profile.Kind == BoxKind.Gateway));
        var slow = gateway with { Profile = gateway.Profile with { Traits = gateway.Profile.Traits with { Pages = null } } };
        var from = design with
        {
            Site = design.Site with { Boxes = [.. design.Site.Boxes.Select(b => b == gateway ? slow : b)] },
            SetUp = design.SetUp with
            {
                Boxes =
                [
                    .. design.SetUp.Boxes.Select(b =>
                        b.Box == gateway.Id && b.Mode is RouterMode router
                            ? b with
                            {
                                Mode = router with { Server = router.Server with { LeaseMinutes = 60, Domain = "home.arpa" } },
                            }
                            : b
                    ),
                ],
            },
        };
        var sheet = RunSheet.Derive(State.Morning(from), known.Aim.Target, Ways.Usual, cancel);
        foreach (var of in new[] { known, sheet })
        {
            int[] risks = [.. Enumerable.Range(0, of.Steps.Count).Where(i => WayBack.IsRisk(of.Steps[i]))];
            int[] longer = [.. risks.Where(i => WayBack.After(of, i + 1, cancel).AtMainBox > WayBack.MostAtMainBox)];
            var told = SheetWords.Warnings(of, risks[0], cancel).Where(w => w.Contains("tell the household", StringComparison.Ordinal));
            Assert.Equal(longer.Select(i => i + 1), told.Select(w => int.Parse(w.Split("from step ")[1].Split(' ')[0])));
            Assert.Equal(of == sheet, longer.Length > 0);
            Assert.All(risks.Skip(1), i => Assert.Single(SheetWords.Warnings(of, i, cancel)));
        }
    }

    /// <summary>Where one may rest one may stop for good: the way back stands there, step by step.</summary>
    [Fact]
    public void A_page_says_the_way_back_at_each_rest_point()
    {
        var parts = Page.Value.Split("<li id=\"").Skip(1).Select(System.Net.WebUtility.HtmlDecode).ToList();
        Assert.Contains(Sheet.Steps, s => s.IsRest);
        foreach (var (step, i) in Sheet.Steps.SkipLast(1).Select((s, i) => (s, i)))
        {
            Assert.Equal(step.IsRest, parts[i]!.Contains("Stop here for good", StringComparison.Ordinal));
            if (step.IsRest)
            {
                var back = WayBack.After(Sheet, i + 1, TestContext.Current.CancellationToken);
                Assert.All(back.Sheet.Steps, s => Assert.Contains($"<li>{s.Says}", parts[i], StringComparison.Ordinal));
            }
        }
    }

    [Fact]
    public void A_page_escapes_what_a_home_is_called()
    {
        var page = DerivedSheets.Whole(SheetHtml.Parts(Sheet, "<script>alert(1)</script>"));
        Assert.DoesNotContain("<script>alert", page, StringComparison.Ordinal);
        Assert.Contains("<noscript>", page, StringComparison.Ordinal);
        // Nothing is fetched: styles and scripts stand in it.
        Assert.DoesNotMatch("(src|href)=", page);
    }
}
