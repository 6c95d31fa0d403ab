using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Altrin.Testing;

[assembly: AssemblyFixture(typeof(RunningServer))]

namespace Altrin.Web.Tests;

/// <summary>The API over real HTTP. Every test works on a job of its own, a copy of the demo home.</summary>
public sealed class ApiTests(RunningServer server) : IDisposable
{
    private const string MakePoint = """{"setUp":"planned","changes":[{"kind":"setMode","box":"loft-router","mode":"accessPoint"}]}""";

    private readonly HttpClient _http = server.PatientClient();

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<(HttpStatusCode Status, JsonNode? Body, HttpResponseHeaders Headers)> Send(
        HttpMethod method,
        string path,
        string? body = null,
        params (string Name, string Value)[] headers
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
        {
            request.Content = new StringContent(body, Encoding.UTF8, "application/json");
        }
        foreach (var (name, value) in headers)
        {
            request.Headers.TryAddWithoutValidation(name, value);
        }
        using var answer = await _http.SendAsync(request, Cancel);
        var text = await answer.Content.ReadAsStringAsync(Cancel);
        return (answer.StatusCode, text.StartsWith('{') ? JsonNode.Parse(text) : null, answer.Headers);
    }

    private async Task<string> NewJob(string name = "A copy")
    {
        var (status, body, _) = await Send(HttpMethod.Post, "/api/jobs", $$"""{"name":"{{name}}","from":1}""");
        Assert.Equal(HttpStatusCode.Created, status);
        return $"/api/jobs/{body!["id"]}";
    }

    private static void Problem(string type, JsonNode? body) => Assert.Equal($"urn:altrin:problem:{type}", (string?)body?["type"]);

    [Fact]
    public async Task A_change_moves_the_head_and_its_ETag()
    {
        var job = await NewJob();
        var (_, first, headers) = await Send(HttpMethod.Get, job);
        Assert.Equal("\"1\"", headers.ETag!.Tag);
        Assert.Equal("willNotWork", (string?)first!["proof"]!["verdict"]!["kind"]);
        var (status, next, moved) = await Send(HttpMethod.Post, $"{job}/changes", MakePoint, ("If-Match", "\"1\""));
        Assert.Equal(
            (HttpStatusCode.OK, "\"2\"", "Loft router becomes an access point"),
            (status, moved.ETag!.Tag, (string?)next!["undo"])
        );
        var (_, revisions, _) = await Send(HttpMethod.Get, $"{job}/revisions");
        Assert.Equal(2, (int)revisions!["total"]!);
    }

    [Fact]
    public async Task Two_versions_are_compared_as_changes_in_words()
    {
        var job = await NewJob();
        await Send(HttpMethod.Post, $"{job}/changes", MakePoint, ("If-Match", "\"1\""));
        await Send(
            HttpMethod.Post,
            $"{job}/changes",
            """{"setUp":"planned","changes":[{"kind":"acceptFinding","finding":"split-wifi-name()","severe":false,"reason":"The potter wants it so.","by":"A. Installer"}]}""",
            ("If-Match", "\"2\"")
        );
        var (_, revisions, _) = await Send(HttpMethod.Get, $"{job}/revisions");
        var ids = revisions!["items"]!.AsArray().Select(r => (long)r!["id"]!).Order().ToList();
        string Query(long before, long after, string setUp = "planned") =>
            $"{job}/compare?before={before}&after={after}&beforeSetUp={setUp}&afterSetUp=planned";
        var (status, compared, _) = await Send(HttpMethod.Get, Query(ids[0], ids[2]));
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(
            ["Loft router becomes an access point", "A. Installer accepts split Wi-Fi name"],
            compared!["changes"]!.AsArray().Select(c => (string)c!["text"]!)
        );
        Assert.Equal("loft-router", (string)compared["changes"]![0]!["subjects"]![0]!);
        Assert.Empty((await Send(HttpMethod.Get, Query(ids[2], ids[2]))).Body!["changes"]!.AsArray());
        Assert.NotEmpty((await Send(HttpMethod.Get, Query(ids[0], ids[2], "found"))).Body!["changes"]!.AsArray());
        var renamed = (await Send(HttpMethod.Get, Query(ids[0], ids[0], "one-network"))).Body!["changes"]!.AsArray();
        Assert.Single(renamed, c => ((string)c!["text"]!).StartsWith("Loft router sends", StringComparison.Ordinal));
        Problem("no-revision", (await Send(HttpMethod.Get, Query(ids[0], 999999))).Body);
        Problem("no-set-up", (await Send(HttpMethod.Get, Query(ids[0], ids[1], "nowhere"))).Body);
        Problem(
            "no-job",
            (await Send(HttpMethod.Get, "/api/jobs/999999/compare?before=1&after=1&beforeSetUp=planned&afterSetUp=planned")).Body
        );
    }

    [Fact]
    public async Task What_a_file_could_not_hold_is_refused_and_not_a_fault()
    {
        var (status, body, _) = await Send(
            HttpMethod.Post,
            $"{await NewJob()}/changes",
            """{"setUp":"planned","changes":[{"kind":"setGuest","box":"hall-gateway","guest":{"name":"g","security":"wpa2","password":"The Key!","lan":"192.168.30.1/24","pool":"192.168.30.5-192.168.30.9"}}]}""",
            ("If-Match", "\"1\"")
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains("small letters", (string?)body!["detail"], StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("", "A. Name", "A reason is needed.")]
    [InlineData("why", " ", "A name is needed.")]
    public async Task A_finding_is_accepted_only_with_a_reason_and_a_name(string reason, string by, string why)
    {
        var (status, body, _) = await Send(
            HttpMethod.Post,
            $"{await NewJob()}/changes",
            $$"""{"setUp":"planned","changes":[{"kind":"acceptFinding","finding":"loop(a)","severe":true,"reason":"{{reason}}","by":"{{by}}"}]}""",
            ("If-Match", "\"1\"")
        );
        Assert.Equal((HttpStatusCode.UnprocessableEntity, why), (status, (string?)body!["detail"]));
    }

    [Fact]
    public async Task A_stale_save_answers_the_new_head_and_saves_nothing()
    {
        var job = await NewJob();
        await Send(HttpMethod.Post, $"{job}/changes", MakePoint, ("If-Match", "\"1\""));
        var (status, body, _) = await Send(
            HttpMethod.Post,
            $"{job}/changes",
            """{"setUp":"planned","changes":[{"kind":"switchDhcpServer","box":"hall-gateway","on":false}]}""",
            ("If-Match", "\"1\"")
        );
        Assert.Equal(HttpStatusCode.PreconditionFailed, status);
        Problem("stale", body);
        Assert.Equal(2, (int)body!["head"]!["version"]!);
    }

    [Fact]
    public async Task A_save_must_name_its_version()
    {
        var job = await NewJob();
        var (missing, body, _) = await Send(HttpMethod.Post, $"{job}/changes", MakePoint);
        Assert.Equal(HttpStatusCode.PreconditionRequired, missing);
        Problem("version-needed", body);
        Assert.Equal(HttpStatusCode.BadRequest, (await Send(HttpMethod.Post, $"{job}/undo", null, ("If-Match", "seven"))).Status);
    }

    [Fact]
    public async Task Undo_across_tabs_asks_first()
    {
        var job = await NewJob();
        await Send(HttpMethod.Post, $"{job}/changes", MakePoint, ("If-Match", "\"1\""), ("Altrin-Tab", "one"));
        var (asked, body, _) = await Send(HttpMethod.Post, $"{job}/undo", null, ("If-Match", "\"2\""), ("Altrin-Tab", "two"));
        Assert.Equal(HttpStatusCode.Conflict, asked);
        Problem("other-tab", body);
        Assert.Contains("Loft router becomes an access point", (string?)body!["detail"]);
        var (done, back, _) = await Send(
            HttpMethod.Post,
            $"{job}/undo?evenOthers=true",
            null,
            ("If-Match", "\"2\""),
            ("Altrin-Tab", "two")
        );
        Assert.Equal((HttpStatusCode.OK, "Loft router becomes an access point"), (done, (string?)back!["redo"]));
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Post, $"{job}/redo", null, ("If-Match", "\"3\""))).Status);
        Assert.Equal(HttpStatusCode.Conflict, (await Send(HttpMethod.Post, $"{job}/redo", null, ("If-Match", "\"4\""))).Status);
    }

    [Fact]
    public async Task A_preview_stores_nothing()
    {
        var job = await NewJob();
        var (status, body, _) = await Send(HttpMethod.Post, $"{job}/preview", MakePoint);
        Assert.Equal((HttpStatusCode.OK, "Loft router becomes an access point"), (status, (string?)body!["label"]));
        Assert.Equal(1, (int)(await Send(HttpMethod.Get, job)).Body!["version"]!);
    }

    [Theory]
    [InlineData("{\"setUp\":\"pla", 400, "malformed")]
    [InlineData("{}", 400, "malformed")]
    [InlineData("{\"setUp\":\"planned\",\"changes\":[{\"kind\":\"explode\"}]}", 400, "malformed")]
    [InlineData("{\"setUp\":\"planned\",\"changes\":[{\"kind\":\"setMode\",\"box\":\"loft-router\",\"mode\":\"boat\"}]}", 400, "malformed")]
    [InlineData(
        "{\"setUp\":\"planned\",\"changes\":[{\"kind\":\"setLanAddress\",\"box\":\"loft-router\",\"address\":\"192.168.8.300/24\"}]}",
        400,
        "malformed"
    )]
    [InlineData(
        "{\"setUp\":\"planned\",\"changes\":[{\"kind\":\"setMode\",\"box\":\"loft-router\",\"mode\":\"router\",\"extra\":1}]}",
        400,
        "malformed"
    )]
    [InlineData(
        "{\"setUp\":\"planned\",\"changes\":[{\"kind\":\"setLanAddress\",\"box\":\"loft-router\",\"address\":\"192.168.8.0/24\"}]}",
        422,
        "refused-change"
    )]
    [InlineData("{\"setUp\":\"nowhere\",\"changes\":[]}", 404, "no-set-up")]
    public async Task Bad_bodies_are_answered_with_the_place(string body, int status, string type)
    {
        var job = await NewJob();
        var (got, problem, _) = await Send(HttpMethod.Post, $"{job}/preview", body);
        Assert.Equal(status, (int)got);
        Problem(type, problem);
        if (status != 404)
        {
            Assert.NotEmpty(problem!["errors"]!.AsArray());
        }
    }

    [Theory]
    [InlineData("POST", "/api/jobs", "{\"name\":\"  \",\"from\":null}", 422)]
    [InlineData("POST", "/api/jobs", "{\"name\":\"x\",\"from\":9999}", 404)]
    [InlineData("PATCH", "/api/jobs/9999", "{\"name\":\"x\",\"archived\":null}", 404)]
    [InlineData("GET", "/api/jobs?page=0", null, 422)]
    [InlineData("GET", "/api/jobs?perPage=101", null, 422)]
    [InlineData("GET", "/api/jobs?page=x", null, 400)]
    [InlineData("GET", "/api/jobs/9999", null, 404)]
    [InlineData("GET", "/api/jobs/9999/design", null, 404)]
    [InlineData("GET", "/api/jobs/1/proof/path?setUp=found&from=printer&to=printer", null, 422)]
    [InlineData("GET", "/api/nothing", null, 404)]
    [InlineData("POST", "/nothing", "{}", 404)]
    public async Task Requests_that_cannot_be_met_are_problems(string method, string path, string? body, int status)
    {
        var (got, problem, _) = await Send(new(method), path, body);
        Assert.Equal(status, (int)got);
        Assert.StartsWith("urn:altrin:problem:", (string?)problem!["type"]);
    }

    /// <summary>Each part of the proof is asked for by itself; what cannot be asked is told what is expected.</summary>
    [Theory]
    [InlineData("addresses?setUp=planned", 200)]
    [InlineData("addresses?setUp=nothing", 404)]
    [InlineData("address?setUp=planned&address=192.168.8.2", 200)]
    [InlineData("address?setUp=planned&address=192.168.8", 422)]
    [InlineData("device?setUp=planned&device=printer", 200)]
    [InlineData("device?setUp=planned&device=missing", 422)]
    [InlineData("need?setUp=planned&need=kiln-from-away", 200)]
    [InlineData("need?setUp=planned&need=printer", 422)]
    [InlineData("path?setUp=planned&from=printer&to=internet", 200)]
    [InlineData("path?setUp=planned&from=internet&to=kiln-from-away", 200)]
    [InlineData("path?setUp=planned&from=internet&to=printer-for-all", 422)]
    [InlineData("joins?setUp=planned&box=studio-point", 200)]
    [InlineData("joins?setUp=planned&box=printer", 422)]
    [InlineData("seats?setUp=planned", 200)]
    [InlineData("look?setUp=planned&at=hall-gateway/r5&style=ifconfig", 200)]
    [InlineData("look?setUp=planned&at=printer&style=ip&to=nowhere", 422)]
    [InlineData("look?setUp=planned&at=missing&style=ip", 422)]
    [InlineData("look?setUp=planned&at=printer&style=2", 422)]
    [InlineData("look?setUp=planned&at=printer&style=", 422)]
    [InlineData("look?setUp=planned&at=printer", 400)]
    [InlineData("ladder?setUp=planned&kind=lease&subject=printer", 200)]
    [InlineData("ladder?setUp=planned&kind=lease&subject=missing", 422)]
    [InlineData("ladder?setUp=planned&kind=anything&subject=printer", 422)]
    [InlineData("ladder?setUp=planned&kind=connection&subject=printer", 422)]
    [InlineData("capture?setUp=planned&kind=lease&subject=printer&segment=hall-gateway", 200)]
    [InlineData("capture?setUp=planned&kind=lease&subject=printer&segment=street", 422)]
    [InlineData("trials?setUp=planned", 200)]
    [InlineData("trial?setUp=planned&trial=restart:home", 200)]
    [InlineData("trial?setUp=planned&trial=flood", 422)]
    [InlineData("take-out/addresses?setUp=planned", 200)]
    [InlineData("take-out/hosts?setUp=planned", 200)]
    [InlineData("take-out/reservations?setUp=planned", 200)]
    [InlineData("take-out/topology?setUp=planned", 200)]
    [InlineData("take-out/everything?setUp=planned", 422)]
    public async Task Parts_of_the_proof_are_answered_or_say_what_is_expected(string asked, int status)
    {
        var (got, problem, _) = await Send(HttpMethod.Get, $"/api/jobs/1/proof/{asked}");
        Assert.Equal(status, (int)got);
        if (status >= 400)
        {
            Assert.StartsWith("urn:altrin:problem:", (string?)problem!["type"]);
            Assert.NotNull((string?)problem["detail"]);
        }
    }

    [Fact]
    public async Task Comparing_tells_what_got_better()
    {
        var job = await NewJob();
        await Send(HttpMethod.Post, $"{job}/changes", MakePoint, ("If-Match", "\"1\""));
        var (_, revisions, _) = await Send(HttpMethod.Get, $"{job}/revisions");
        var ids = revisions!["items"]!.AsArray().Select(r => (long)r!["id"]!).Order().ToList();
        var (_, compared, _) = await Send(
            HttpMethod.Get,
            $"{job}/compare?before={ids[0]}&after={ids[1]}&beforeSetUp=planned&afterSetUp=planned"
        );
        Assert.Contains(compared!["moved"]!["moved"]!.AsArray(), m =>
            (string?)m!["trend"] == "better" && (string?)m["about"] == "NAT on the way of Loft phone"
        );
    }

    [Fact]
    public async Task Export_and_import_give_the_same_home()
    {
        var job = await NewJob();
        var file = await _http.GetStringAsync($"{job}/design", Cancel);
        var (status, made, _) = await Send(HttpMethod.Post, "/api/jobs/import", file);
        Assert.Equal(HttpStatusCode.Created, status);
        Assert.Equal(file, await _http.GetStringAsync($"/api/jobs/{made!["id"]}/design", Cancel));
    }

    [Fact]
    public async Task Broken_and_oversized_files_are_refused_with_reasons()
    {
        var (broken, body, _) = await Send(
            HttpMethod.Post,
            "/api/jobs/import",
            """{"format":"altrin-design","formatVersion":1,"site":{},"setUps":[]}"""
        );
        Assert.Equal(HttpStatusCode.UnprocessableEntity, broken);
        Assert.Contains(body!["errors"]!.AsArray(), e => (string?)e!["pointer"] == "/site/name");
        // The body is refused by its length and not read: sent all the same, it may meet a connection that is closed already.
        var (large, _, _) = await Send(
            HttpMethod.Post,
            "/api/jobs/import",
            new string(' ', 2 * 1024 * 1024 + 1),
            ("Expect", "100-continue")
        );
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, large);
        using var text = new StringContent("x", Encoding.UTF8, "text/plain");
        using var answer = await _http.PostAsync(new Uri("/api/jobs/import", UriKind.Relative), text, Cancel);
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, answer.StatusCode);
    }

    [Theory]
    [InlineData("http://evil.example")]
    [InlineData("null")]
    [InlineData("https://127.0.0.1")]
    public async Task Writes_from_another_origin_are_refused(string origin)
    {
        var (status, body, _) = await Send(HttpMethod.Post, "/api/jobs", """{"name":"x","from":null}""", ("Origin", origin));
        Assert.Equal(HttpStatusCode.Forbidden, status);
        Problem("foreign-origin", body);
    }

    [Fact]
    public async Task Our_own_origin_may_write() =>
        Assert.Equal(
            HttpStatusCode.Created,
            (
                await Send(HttpMethod.Post, "/api/jobs", """{"name":"x","from":null}""", ("Origin", server.Address.ToString().TrimEnd('/')))
            ).Status
        );

    [Theory]
    [InlineData("/api/jobs")]
    [InlineData("/")]
    public async Task A_foreign_host_is_refused(string path)
    {
        var (status, body, _) = await Send(HttpMethod.Get, path, null, ("Host", "evil.example"));
        Assert.Equal(HttpStatusCode.BadRequest, status);
        Problem("foreign-host", body);
    }

    [Fact]
    public async Task Health_and_logs_are_there_and_logs_hold_no_bodies()
    {
        Assert.Equal("ok", (string?)(await Send(HttpMethod.Get, "/health")).Body!["status"]);
        await NewJob("planted-9f1c");
        var log = await server.Log(_http, Cancel);
        Assert.Contains("/api/jobs", log, StringComparison.Ordinal);
        Assert.DoesNotContain("planted-9f1c", log, StringComparison.Ordinal);
    }

    [Fact]
    public async Task An_answer_about_the_demo_home_stays_under_64_kB() =>
        Assert.InRange((await _http.GetByteArrayAsync("/api/jobs/1", Cancel)).Length, 1, 64 * 1024);
}
