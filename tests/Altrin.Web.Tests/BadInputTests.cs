using System.Text;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>What cannot be taken is refused with the place and what may stand there, and what is secret stays so.</summary>
public sealed class BadInputTests(RunningServer server) : IDisposable
{
    private const string Planted = "plantedkazoo";
    private readonly HttpClient _http = server.PatientClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _http.Dispose();

    private async Task<(int Status, JsonNode Body)> Send(
        HttpMethod method,
        string path,
        string? body = null,
        string kind = "application/json",
        params (string Name, string Value)[] headers
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
        {
            request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
            request.Content.Headers.TryAddWithoutValidation("Content-Type", kind);
            // What is too large is refused before it is sent.
            request.Headers.ExpectContinue = body.Length > 1_000_000;
        }
        foreach (var (name, value) in headers)
        {
            request.Headers.TryAddWithoutValidation(name, value);
        }
        using var answer = await _http.SendAsync(request, Cancel);
        return (
            (int)answer.StatusCode,
            JsonNode.Parse(await answer.Content.ReadAsStringAsync(Cancel) is ['{' or '[', ..] text ? text : "{}")!
        );
    }

    private async Task<string> NewJob() =>
        $"/api/jobs/{(await Send(HttpMethod.Post, "/api/jobs", """{"name":"Bad input","from":1}""")).Body["id"]}";

    [Theory]
    [InlineData(
        "/changes",
        """{"setUp":"planned","changes":[{"box":"loft-router","mode":"router"}]}""",
        400,
        "/changes/0",
        "'kind' must be given: one of setMode"
    )]
    [InlineData("/changes", """{"setUp":"planned","changes":[{"kind":"none-such"}]}""", 400, "/changes/0", "no such kind")]
    [InlineData("/changes", """{"setUp":"planned","changes":[null]}""", 400, "/changes", "Item 0 of the list is null")]
    [InlineData("/changes", """{"setUp":"planned","changes":null}""", 400, "/", "'changes' cannot be null")]
    [InlineData("/changes", """{"setUp":"planned"}""", 400, "", "changes must be given")]
    [InlineData("/changes", """{"setUp":"planned","changes":[],"more":1}""", 400, "/more", "Known are changes, setUp")]
    [InlineData("/changes", """{"setUp":"planned","changes":{}}""", 400, "/changes", "A list is expected")]
    [InlineData("/changes", """{"setUp":7,"changes":[]}""", 400, "/setUp", "Text is expected")]
    [InlineData(
        "/changes",
        """{"setUp":"planned","changes":[{"kind":"setMode","box":"loft-router","mode":"toaster"}]}""",
        400,
        "/changes/0/mode",
        "One of router, "
    )]
    [InlineData(
        "/changes",
        """{"setUp":"planned","changes":[{"kind":"setLanAddress","box":"loft-router","address":"192.168.300.1/24"}]}""",
        400,
        "/changes/0/address",
        ""
    )]
    [InlineData("/changes", """{"setUp":"planned",""", 400, "/", "")]
    [InlineData("/corrections", """{"setUp":"found","corrections":[null,null]}""", 400, "/corrections", "Item 0 of the list is null")]
    [InlineData("/corrections", """{"setUp":"found","corrections":[{"name":"x"}]}""", 400, "/corrections/0", "'kind' must be given")]
    [InlineData("/readings/difference", """{"before":[null],"after":[]}""", 400, "/before/0", "A whole number is expected")]
    [InlineData(
        "/readings",
        """{"content":{"text":"x"},"setUp":"found","name":"x","accepted":[null]}""",
        400,
        "/accepted",
        "Item 0 of the list is null"
    )]
    [InlineData(
        "/survey/table",
        """{"table":"places","text":"id,name,sort\nloft-room,,\n"}""",
        422,
        "row 2, column name",
        "a name is required"
    )]
    [InlineData("/survey/table", """{"table":"devices","text":"id,name\nnew-one,\n"}""", 422, "row 2, column name", "a name is required")]
    [InlineData("/survey/table", """{"table":"chairs","text":""}""", 400, "/table", "One of gear, ")]
    public async Task A_body_is_refused_with_its_place_and_what_may_stand_there(
        string path,
        string body,
        int status,
        string pointer,
        string says
    )
    {
        var job = await NewJob();
        var (answered, problem) = await Send(HttpMethod.Post, job + path, body, headers: ("If-Match", "\"1\""));
        Assert.Equal(status, answered);
        var error = problem["errors"]![0]!;
        Assert.True((string)error["pointer"]! == pointer || pointer == "/", $"{problem}");
        Assert.Contains(says, $"{error["expected"] ?? error["allowed"]}", StringComparison.Ordinal);
        Assert.DoesNotMatch("Altrin\\.|System\\.|\\.NET", problem.ToJsonString());
        // Nothing was saved.
        Assert.Equal(1, (int)(await Send(HttpMethod.Get, job)).Body["version"]!);
    }

    [Theory]
    [InlineData("?page=two", 400, "'page' cannot be \"two\". A whole number is expected.")]
    [InlineData("?page=0", 422, "counted from 1")]
    [InlineData("?archived=perhaps", 400, "'archived' cannot be \"perhaps\". true or false is expected.")]
    [InlineData("?order=size", 422, "Allowed: changed, created, name")]
    [InlineData("?order=", 422, "Allowed: changed, created, name")]
    [InlineData("?order=changed,name", 422, "Allowed: changed, created, name")]
    [InlineData("?order=1", 422, "Allowed: changed, created, name")]
    [InlineData(
        "?search=xxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxx",
        422,
        "At most 80 characters"
    )]
    public async Task An_address_is_refused_with_what_may_stand_there(string query, int status, string says)
    {
        var (answered, problem) = await Send(HttpMethod.Get, "/api/jobs" + query);
        Assert.Equal(status, answered);
        Assert.Contains(says, (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("text/plain")]
    [InlineData("application/json; charset=utf-16")]
    [InlineData("application/json; charset=none-such")]
    [InlineData("application/x-www-form-urlencoded")]
    [InlineData("none such")]
    public async Task Only_JSON_in_UTF_8_is_read(string kind)
    {
        Assert.Equal(415, (await Send(HttpMethod.Post, "/api/jobs", """{"name":"x","from":null}""", kind)).Status);
        Assert.Equal(415, (await Send(HttpMethod.Post, "/api/jobs/import", "{}", kind)).Status);
    }

    [Theory]
    [InlineData("/api/jobs", 1)]
    [InlineData("/api/jobs/import", 2)]
    [InlineData("/api/jobs/1/survey/read", 4)]
    public async Task Each_route_has_a_largest_body(string path, int megabytes)
    {
        var (status, problem) = await Send(HttpMethod.Post, path, new string(' ', (megabytes * 1024 * 1024) + 1));
        Assert.Equal(413, status);
        Assert.Contains($"At most {megabytes * 1024 * 1024:#,0} bytes", (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("http://localhost")]
    [InlineData("http://127.0.0.1")]
    [InlineData("http://[::1]")]
    public async Task Each_name_of_loopback_is_our_own(string origin)
    {
        Assert.Equal(
            201,
            (
                await Send(
                    HttpMethod.Post,
                    "/api/jobs",
                    """{"name":"x","from":null}""",
                    headers: ("Origin", $"{origin}:{server.Address.Port}")
                )
            ).Status
        );
        Assert.Equal(
            403,
            (
                await Send(
                    HttpMethod.Post,
                    "/api/jobs",
                    """{"name":"x","from":null}""",
                    headers: ("Origin", $"{origin}:{server.Address.Port + 1}")
                )
            ).Status
        );
        Assert.Equal(
            403,
            (
                await Send(
                    HttpMethod.Post,
                    "/api/jobs",
                    """{"name":"x","from":null}""",
                    headers: ("Origin", $"{origin}.example:{server.Address.Port}")
                )
            ).Status
        );
    }

    [Fact]
    public async Task A_key_of_small_letters_is_not_taken_for_a_reference()
    {
        var job = await NewJob();
        var change =
            $$$"""{"setUp":"planned","changes":[{"kind":"setRadio","box":"loft-router","radio":"r5","setting":{"password":"{{{Planted}}}"}}]}""";
        var (status, problem) = await Send(HttpMethod.Post, $"{job}/changes", change, headers: ("If-Match", "\"1\""));
        Assert.Equal(422, status);
        Assert.Contains("Keep its value first", (string)problem["detail"]!, StringComparison.Ordinal);
        Assert.DoesNotContain(Planted, problem.ToJsonString(), StringComparison.Ordinal);
        // Kept first, what is answered is taken.
        var reference = (string)
            (await Send(HttpMethod.Post, $"{job}/secrets", $$"""{"value":"{{Planted}}","name":"wifi"}""")).Body["reference"]!;
        Assert.Equal(
            200,
            (
                await Send(
                    HttpMethod.Post,
                    $"{job}/changes",
                    change.Replace(Planted, reference, StringComparison.Ordinal),
                    headers: ("If-Match", "\"1\"")
                )
            ).Status
        );
    }

    [Fact]
    public async Task A_kept_reading_holds_no_key()
    {
        var job = await NewJob();
        await Send(HttpMethod.Post, $"{job}/secrets", """{"value":"known-kazoo-55","name":"wifi"}""");
        var text = $"    Key Content : {Planted}\\ninet 192.168.8.20/24 dev eth0\\nnote known-kazoo-55 on the label";
        Assert.Equal(
            200,
            (
                await Send(
                    HttpMethod.Post,
                    $"{job}/readings",
                    $$"""{"content":{"text":"{{text}}"},"setUp":"found","name":"pasted","accepted":[]}""",
                    headers: ("If-Match", "\"1\"")
                )
            ).Status
        );
        var list = await Send(HttpMethod.Get, $"{job}/readings");
        var kept = (string)
            (
                await Send(
                    HttpMethod.Get,
                    $"{job}/readings/{list.Body["items"]!.AsArray().First(r => (string)r!["name"]! == "pasted" && r["setUp"]!.ToString() == "found" && r["seat"] is null)!["id"]}"
                )
            ).Body["text"]!;
        Assert.Equal("    Key Content : [key left out]\ninet 192.168.8.20/24 dev eth0\nnote [key left out] on the label", kept);
    }

    [Fact]
    public async Task No_log_holds_what_was_typed_into_an_address()
    {
        await Send(HttpMethod.Get, $"/api/jobs/1/secrets/{Planted}-in-path");
        await Send(HttpMethod.Put, $"/api/jobs/1/secrets/{Planted}-in-path", """{"value":"x"}""");
        await Send(HttpMethod.Get, $"/api/jobs?search={Planted}");
        await Send(new HttpMethod("PLANTEDKAZOO"), "/api/jobs");
        await Send(HttpMethod.Get, $"/{Planted}");
        var log = await server.Log(_http, Cancel);
        Assert.Contains("/api/jobs/{id:long}/secrets/{reference}", log, StringComparison.Ordinal);
        Assert.DoesNotContain(Planted, log, StringComparison.OrdinalIgnoreCase);
    }
}
