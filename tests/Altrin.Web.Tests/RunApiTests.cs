using System.Net;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Run sheets that are worked out, over real HTTP: looked at step by step, led back, written in every form, refused.</summary>
public sealed class RunApiTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = server.PatientClient();

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<(HttpStatusCode Status, JsonNode? Body)> Get(string path)
    {
        using var answer = await _http.GetAsync(new Uri(path, UriKind.Relative), Cancel);
        return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync(Cancel)));
    }

    /// <summary>The planned set-up of the demo does not work: the sheet leads to the one that does.</summary>
    [Fact]
    public async Task The_sheet_of_the_demo_leads_to_the_sound_set_up_and_is_looked_at_step_by_step()
    {
        var (status, run) = await Get("/api/jobs/1/run");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(("found", "one-network"), ((string)run!["from"]!, (string)run["to"]!));
        Assert.Equal(["planned", "one-network"], run["ends"]!.AsArray().Select(e => (string)e!["name"]!));
        Assert.Contains(run["ends"]![0]!["faults"]!.AsArray(), f => ((string)f!).StartsWith("Double NAT", StringComparison.Ordinal));
        var sheet = run["sheet"]!;
        Assert.True((bool)sheet["safe"]!);
        var steps = sheet["steps"]!.AsArray();
        Assert.Equal(Enumerable.Range(1, steps.Count), steps.Select(s => (int)s!["number"]!));
        Assert.InRange((int)sheet["least"]!["work"]!["usual"]!, 60, (int)sheet["takes"]!["usual"]!);

        var start = (await Get("/api/jobs/1/run/steps/start")).Body!;
        Assert.Equal(0, (int)start["number"]!);
        var id = (string)steps.Single(s => (string?)s!["says"] == "Choose access point mode at Loft router")!["id"]!;
        var moment = (await Get($"/api/jobs/1/run/steps/{id}")).Body!;
        Assert.Equal("loft-router/lan4", (string?)moment["laptopPort"]);
        Assert.Equal("accessPoint", (string?)Box(moment, "loft-router")["mode"]);
        Assert.Equal("router", (string?)Box(start, "loft-router")["mode"]);
        Assert.NotEmpty((await Get($"/api/jobs/1/run/steps/{id}/if-not")).Body!.AsArray());
        var back = (await Get($"/api/jobs/1/run/steps/{id}/back")).Body!;
        Assert.Equal(moment["number"]!.GetValue<int>(), (int)back["number"]!);
        Assert.NotEmpty(back["steps"]!.AsArray());
        Assert.Equal(HttpStatusCode.NotFound, (await Get("/api/jobs/1/run/steps/start/if-not")).Status);

        // The login of the gateway is not known: the evening goes on from either outcome.
        var assumed = steps.First(s => s!["otherwise"]!.AsArray().Count > 0)!;
        var branch = Assert.Single((await Get($"/api/jobs/1/run/steps/{assumed["id"]}/otherwise")).Body!.AsArray())!;
        Assert.Equal((string)assumed["otherwise"]![0]!, (string)branch["if"]!);
        Assert.NotEmpty(branch["steps"]!.AsArray());
        Assert.Equal("good", (string)branch["verdict"]![0]!["tone"]!);
    }

    private static JsonNode Box(JsonNode moment, string id) =>
        moment["design"]!["setUps"]![0]!["boxes"]!.AsArray().Single(b => (string?)b!["box"] == id)!;

    /// <summary>Of a set-up that does not work there is no sheet, only what is wrong with it.</summary>
    [Fact]
    public async Task A_set_up_that_does_not_work_has_no_sheet_yet()
    {
        var run = (await Get("/api/jobs/1/run?to=planned")).Body!;
        Assert.Equal("planned", (string?)run["to"]);
        Assert.Null(run["sheet"]);
    }

    [Theory]
    [InlineData("html", "text/html", "<!doctype html>")]
    [InlineData("markdown", "text/markdown", "# Run sheet")]
    [InlineData("text", "text/plain", "Run sheet")]
    [InlineData("csv", "text/csv", "number,id")]
    [InlineData("json", "application/json", "{")]
    [InlineData("ics&start=2026-12-04T19:00", "text/calendar", "BEGIN:VCALENDAR")]
    public async Task It_is_written_in_every_form(string form, string type, string begins)
    {
        using var answer = await _http.GetAsync(new Uri($"/api/jobs/1/run/content?as={form}", UriKind.Relative), Cancel);
        Assert.Equal((HttpStatusCode.OK, type), (answer.StatusCode, answer.Content.Headers.ContentType?.MediaType));
        Assert.StartsWith("pottery-house-run-sheet.", answer.Content.Headers.ContentDisposition?.FileNameStar, StringComparison.Ordinal);
        Assert.StartsWith(begins, await answer.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/api/jobs/9999/run", HttpStatusCode.NotFound, "no-job")]
    [InlineData("/api/jobs/1/run?to=nowhere", HttpStatusCode.NotFound, "no-set-up")]
    [InlineData("/api/jobs/1/run?from=nowhere", HttpStatusCode.NotFound, "no-set-up")]
    [InlineData("/api/jobs/1/run/steps/dance", HttpStatusCode.NotFound, "no-step")]
    [InlineData("/api/jobs/1/run/steps/dance/back", HttpStatusCode.NotFound, "no-step")]
    [InlineData("/api/jobs/1/run/content?as=pdf", HttpStatusCode.UnprocessableEntity, "/as")]
    [InlineData("/api/jobs/1/run/content?as=3", HttpStatusCode.UnprocessableEntity, "/as")]
    [InlineData("/api/jobs/1/run/content?as=ics", HttpStatusCode.UnprocessableEntity, "/start")]
    [InlineData("/api/jobs/1/run/content?start=tonight", HttpStatusCode.UnprocessableEntity, "/start")]
    public async Task What_is_not_there_or_cannot_be_read_is_said(string path, HttpStatusCode status, string says)
    {
        var (answered, body) = await Get(path);
        Assert.Equal(status, answered);
        Assert.Contains(says, body!.ToJsonString(), StringComparison.Ordinal);
    }
}
