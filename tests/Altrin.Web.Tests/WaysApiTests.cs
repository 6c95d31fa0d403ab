using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>My way of working over real HTTP, on a server of its own: what is kept for every job would reach other tests.</summary>
public sealed class WaysApiTests : IDisposable
{
    private readonly RunningServer _server = new();
    private readonly HttpClient _http;

    public WaysApiTests() => _http = _server.PatientClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose()
    {
        _http.Dispose();
        _server.Dispose();
    }

    private async Task<JsonNode> Get(string path) => (await _http.GetFromJsonAsync<JsonNode>(new Uri(path, UriKind.Relative), Cancel))!;

    private async Task<(HttpStatusCode Status, JsonNode Body)> Put(string path, params string[] ways)
    {
        using var answer = await _http.PutAsJsonAsync(new Uri(path, UriKind.Relative), new { ways }, Cancel);
        return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync(Cancel))!);
    }

    private static (string? Reset, bool Socket) Said(JsonNode ways) => ((string?)ways["reset"], (bool)ways["socket"]!);

    /// <summary>What holds in every job, what one job goes about otherwise, and that options and run sheet follow it.</summary>
    [Fact]
    public async Task A_way_is_kept_for_every_job_or_for_one()
    {
        var usual = await Get("/api/jobs/1/ways");
        Assert.Equal(("always", true), Said(usual["ways"]!));
        Assert.Empty(usual["own"]!.AsArray());
        Assert.Equal("gateway", (string?)usual["schools"]![0]!["name"]);
        Assert.DoesNotContain(
            "Ethernet socket",
            (await Get("/api/jobs/1/run"))["sheet"]!["verdict"]!.ToJsonString(),
            StringComparison.Ordinal
        );

        var (status, here) = await Put("/api/jobs/1/ways", "Socket = False", "reset=ifLoginUnknown", "reset=always");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(("always", false), Said(here["ways"]!));
        Assert.Equal(("always", true), Said(here["mine"]!));
        // The last of two answers to one question counts.
        Assert.Equal(["reset=always", "socket=false"], here["own"]!.AsArray().Select(w => (string)w!));
        var run = await Get("/api/jobs/1/run");
        Assert.Equal(("always", false), Said(run["ways"]!));
        Assert.Contains("without an Ethernet socket", run["sheet"]!["verdict"]!.ToJsonString(), StringComparison.Ordinal);

        Assert.Equal(HttpStatusCode.OK, (await Put("/api/ways", "reset=ifLoginUnknown", "gateway=bridge")).Status);
        var both = await Get("/api/jobs/1/ways");
        Assert.Equal(("always", false), Said(both["ways"]!));
        Assert.Equal(("ifLoginUnknown", true), Said(both["mine"]!));
        Assert.Equal(HttpStatusCode.OK, (await Put("/api/jobs/1/ways")).Status);
        Assert.Equal(("ifLoginUnknown", true), Said((await Get("/api/jobs/1/ways"))["ways"]!));
        Assert.Equal(("ifLoginUnknown", true), Said((await Get("/api/ways"))["ways"]!));

        // What counts how much is kept beside it, in every job and in one.
        Assert.Equal(HttpStatusCode.OK, (await Put("/api/ways", "gateway=bridge", "RadioHop = 40")).Status);
        Assert.Equal(["gateway=bridge", "radioHop=40"], (await Get("/api/ways"))["own"]!.AsArray().Select(w => (string)w!));
        var weighed = (await Put("/api/jobs/1/ways", "minute=2.5")).Body["weights"]!.AsArray();
        Assert.Equal((40, 40), Points("radioHop"));
        Assert.Equal((2.5, 1), Points("minute"));
        (double, double) Points(string name) =>
            weighed.Where(w => (string?)w!["name"] == name).Select(w => ((double)w!["points"]!, (double)w["mine"]!)).Single();
        Assert.Equal(HttpStatusCode.OK, (await Put("/api/jobs/1/ways")).Status);

        // The demo home stays with its gateway as the router, and says that this is another way.
        var first = (await Get("/api/jobs/1/options"))["options"]![0]!;
        Assert.Equal(
            ["Hall gateway: router, own boxes are access points; your way: bridge mode."],
            first["departures"]!.AsArray().Select(d => (string)d!)
        );
    }

    [Theory]
    [InlineData("/api/jobs/1/ways", HttpStatusCode.UnprocessableEntity, "is no way of working; reset=always", "speed=fast")]
    [InlineData("/api/ways", HttpStatusCode.UnprocessableEntity, "socket=true|false is.", "socket=perhaps")]
    [InlineData("/api/ways", HttpStatusCode.UnprocessableEntity, "is no way of working", "socket")]
    [InlineData("/api/ways", HttpStatusCode.UnprocessableEntity, "points are expected, 0 to 10,000", "radioHop=20000")]
    [InlineData("/api/jobs/999999/ways", HttpStatusCode.NotFound, "no-job", "socket=false")]
    public async Task What_is_no_way_is_refused_and_nothing_kept(string path, HttpStatusCode status, string says, string way)
    {
        var (answered, body) = await Put(path, "password=last", way);
        Assert.Equal(status, answered);
        Assert.Contains(says, body.ToJsonString(), StringComparison.Ordinal);
        Assert.Equal("first", (string?)(await Get("/api/ways"))["ways"]!["password"]);
    }
}
