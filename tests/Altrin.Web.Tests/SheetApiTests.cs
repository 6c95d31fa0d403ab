using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Run sheets over real HTTP: kept, listed, played, looked at step by step, refused.</summary>
public sealed class SheetApiTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = server.PatientClient();

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<(HttpStatusCode Status, JsonNode? Body)> Send(HttpMethod method, string path, object? body = null)
    {
        using var request = new HttpRequestMessage(method, path);
        request.Content = body is null ? null : new StringContent(JsonSerializer.Serialize(body), Encoding.UTF8, "application/json");
        using var answer = await _http.SendAsync(request, Cancel);
        return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync(Cancel)));
    }

    private async Task<string> NewJob() =>
        $"/api/jobs/{(await Send(HttpMethod.Post, "/api/jobs", new { name = "Sheets", from = 1 })).Body!["id"]}";

    private static string List(string acts, string to = "one-network") =>
        $$"""{ "format": "altrin-acts", "formatVersion": 1, "to": "{{to}}", "acts": [{{acts}}] }""";

    private static IEnumerable<string> Seen(JsonNode moment, bool isNew) =>
        moment["sees"]!.AsArray().Where(s => (bool)s!["isNew"]! == isNew).Select(s => $"{s!["line"]!["what"]}: {s["line"]!["says"]}");

    /// <summary>The demo's own: it comes along to a copy, plays through, and says step by step what is seen and what has changed.</summary>
    [Fact]
    public async Task The_demo_evening_is_played_and_looked_at_step_by_step()
    {
        var job = await NewJob();
        var kept = Assert.Single((await Send(HttpMethod.Get, $"{job}/sheets")).Body!.AsArray())!;
        var path = $"{job}/sheets/{kept["id"]}";
        var (status, sheet) = await Send(HttpMethod.Get, path);
        Assert.Equal(HttpStatusCode.OK, status);
        var steps = sheet!["steps"]!.AsArray();
        Assert.Equal(("found", "one-network", true), ((string)sheet["from"]!, (string)sheet["to"]!, (bool)sheet["whole"]!));
        Assert.InRange((int)sheet["least"]!["work"]!["usual"]!, 60, (int)sheet["seconds"]!);
        Assert.All(steps, s => Assert.True(s!["refused"] is null && s["breaks"]!.AsArray().Count == 0, $"{s}"));
        Assert.Equal(Enumerable.Range(1, steps.Count), steps.Select(s => (int)s!["number"]!));
        // A device that was taken off is said until it is back; what was broken from the start is not.
        var off = steps.Select(s => string.Join(' ', s!["offline"]!.AsArray())).ToList();
        Assert.Contains("wheel-tablet", off);
        Assert.Equal(("", ""), (off[0], off[^1]));

        var before = (await Send(HttpMethod.Get, $"{path}/steps/0")).Body!;
        Assert.Empty(Seen(before, isNew: true));
        var number = (int)steps.First(s => (string?)s!["says"] == "Plug the laptop into port 2 of Loft router")!["number"]!;
        var moment = (await Send(HttpMethod.Get, $"{path}/steps/{number}")).Body!;
        Assert.Contains(
            "Laptop, cable: one of 192.168.8.20 to 192.168.8.199 (for example 192.168.8.20/24), gateway 192.168.8.1, DNS 192.168.8.1",
            Seen(moment, isNew: true)
        );
        Assert.Contains("Page at 192.168.8.1: Loft router", Seen(moment, isNew: true));
        Assert.Contains("Wi-Fi name \"desk-5303\": from Loft router", Seen(moment, isNew: false));
        Assert.Equal("loft-router/lan2", (string?)moment["laptopPort"]);
        var ifNot = (await Send(HttpMethod.Get, $"{path}/steps/{number}/if-not")).Body!.AsArray();
        Assert.Contains(ifNot, g =>
            g!["slips"]!.AsArray().Any(s => (string?)s!["says"] == "The plug is not in to the click, or the lead is dead.")
            && g["shows"]!.AsArray().Any(l => (string?)l!["says"] == "connected to nothing")
        );
        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Get, $"{path}/steps/0/if-not")).Status);
        var uplink = moment["proof"]!["facts"]!["uplinks"]!.AsArray().First(u => (string?)u!["owner"] == ":laptop")!;
        var link = moment["proof"]!["facts"]!["links"]!.AsArray().First(l => (string?)l!["id"] == (string?)uplink["link"])!;
        Assert.Equal(("loft-router", "cable"), ((string?)uplink["to"], (string?)link["kind"]));
        // While it is carried it starts; its design is that of the moment, not of the plan.
        var carried = (int)steps.First(s => (string?)s!["says"] == "Carry Loft router to Hall")!["number"]!;
        var onTheWay = (await Send(HttpMethod.Get, $"{path}/steps/{carried}")).Body!;
        Assert.Equal("loft-router starting", string.Join(' ', onTheWay["busy"]!.AsArray().Select(b => $"{b!["box"]} {b["kind"]}")));
        Assert.Contains(onTheWay["design"]!["setUps"]![0]!["boxes"]!.AsArray(), b =>
            (string?)b!["box"] == "loft-router" && (string?)b["place"] == "hall"
        );

        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Get, $"{path}/steps/{steps.Count + 1}")).Status);
        Assert.Equal("altrin-acts", (string?)(await Send(HttpMethod.Get, $"{path}/content")).Body!["format"]);
    }

    /// <summary>What cannot be done is told at its step, and the rest is played all the same.</summary>
    [Fact]
    public async Task A_sheet_is_kept_and_says_what_cannot_be_done()
    {
        var job = await NewJob();
        var acts = """{ "act": "openPage", "box": "hall-gateway" }, { "act": "laptopToPort", "port": "hall-gateway/lan4" }""";
        var (status, kept) = await Send(HttpMethod.Post, $"{job}/sheets", new { name = " short ", content = List(acts) });
        Assert.Equal((HttpStatusCode.Created, "short"), (status, (string?)kept!["name"]));
        Assert.Equal(2, (await Send(HttpMethod.Get, $"{job}/sheets")).Body!.AsArray().Count);
        var sheet = (await Send(HttpMethod.Get, $"{job}/sheets/{kept["id"]}")).Body!;
        Assert.False((bool)sheet["whole"]!);
        Assert.Equal(
            "The page of Hall gateway does not open at 192.168.8.1: The laptop is in its bag.",
            (string?)sheet["steps"]![0]!["refused"]
        );
        Assert.Null(sheet["steps"]![1]!["refused"]);
        Assert.Equal(
            "2 pool-before-fixed-address",
            $"{sheet["steps"]![1]!["breaks"]![0]!["number"]} {sheet["steps"]![1]!["breaks"]![0]!["code"]}"
        );
        Assert.NotEmpty(sheet["left"]!.AsArray());
        Assert.NotEmpty(sheet["undone"]!.AsArray());
    }

    public static TheoryData<string, string, string, string> Wrong =>
        new()
        {
            { "", List(""), "bad-value", "/name" },
            { "x\ny", List(""), "bad-value", "/name" },
            { "x", "{}", "bad-acts", "/format" },
            { "x", List("""{ "act": "dance" }"""), "bad-acts", "/acts/0" },
            { "x", List("", "nowhere"), "bad-value", "/to" },
            {
                "x",
                List("""{ "act": "laptopToWifi", "box": "hall-gateway", "name": "pottery", "password": "clay and water" }"""),
                "bad-value",
                "/acts/0/password"
            },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public async Task What_is_no_sheet_of_this_home_is_refused_where_it_stands(string name, string content, string type, string pointer)
    {
        var job = await NewJob();
        var (status, body) = await Send(HttpMethod.Post, $"{job}/sheets", new { name, content });
        Assert.Equal((HttpStatusCode.UnprocessableEntity, $"urn:altrin:problem:{type}"), (status, (string?)body!["type"]));
        Assert.Equal(pointer, (string?)body["errors"]![0]!["pointer"]);
        Assert.DoesNotContain("clay and water", body.ToJsonString(), StringComparison.Ordinal);
        Assert.Single((await Send(HttpMethod.Get, $"{job}/sheets")).Body!.AsArray());
    }

    [Theory]
    [InlineData("/api/jobs/9999/sheets", "no-job")]
    [InlineData("/api/jobs/1/sheets/9999", "no-sheet")]
    [InlineData("/api/jobs/1/sheets/9999/steps/1", "no-sheet")]
    [InlineData("/api/jobs/1/sheets/9999/content", "no-sheet")]
    [InlineData("/api/jobs/1/sheets/1/steps/-1", "no-step")]
    public async Task What_is_not_there_is_said_by_name(string path, string type)
    {
        var (status, body) = await Send(HttpMethod.Get, path);
        Assert.Equal((HttpStatusCode.NotFound, $"urn:altrin:problem:{type}"), (status, (string?)body!["type"]));
    }
}
