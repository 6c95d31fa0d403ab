using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Readings over real HTTP: looked at, accepted, kept, listed, archived, compared.</summary>
public sealed class ReadingApiTests(RunningServer server) : IDisposable
{
    private const string Seat = "hall-gateway/lan4";
    private const string Table =
        "192.168.8.1 dev eth0 lladdr 00:00:5e:00:53:01 REACHABLE\n192.168.8.60 dev eth0 lladdr 00:00:5e:00:53:e0 REACHABLE\nthe kettle is on\n";

    private readonly HttpClient _http = server.PatientClient();

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<(HttpStatusCode Status, JsonNode? Body)> Send(
        HttpMethod method,
        string path,
        object? body = null,
        long? version = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
        {
            request.Content = new StringContent(body as string ?? JsonSerializer.Serialize(body), Encoding.UTF8, "application/json");
        }
        if (version is { } match)
        {
            request.Headers.IfMatch.Add(new EntityTagHeaderValue($"\"{match}\""));
        }
        using var answer = await _http.SendAsync(request, Cancel);
        var text = await answer.Content.ReadAsStringAsync(Cancel);
        return (answer.StatusCode, text.StartsWith('{') ? JsonNode.Parse(text) : null);
    }

    private async Task<string> NewJob() =>
        $"/api/jobs/{(await Send(HttpMethod.Post, "/api/jobs", """{"name":"Readings","from":1}""")).Body!["id"]}";

    private static object Keep(string text, string[] accepted, string? place = "hall") =>
        new
        {
            content = new { text },
            setUp = "found",
            name = "pasted",
            accepted,
            seat = Seat,
            place,
        };

    private static IEnumerable<string?> Ids(JsonNode? view, string agreement) =>
        view!["comparison"]!["statements"]!.AsArray().Where(s => (string?)s!["agreement"] == agreement).Select(s => (string?)s!["id"]);

    [Fact]
    public async Task A_reading_is_looked_at_accepted_kept_and_undone()
    {
        var job = await NewJob();
        var (status, view) = await Send(
            HttpMethod.Post,
            $"{job}/readings/read",
            new
            {
                content = new { text = Table },
                setUp = "found",
                seat = Seat,
            }
        );
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains("near:00:00:5e:00:53:01", Ids(view, "agrees"));
        Assert.Contains("near:00:00:5e:00:53:e0", Ids(view, "unknown"));
        Assert.Equal((1, 3), ((int)view!["reading"]!["unreadCount"]!, (int)view["reading"]!["unread"]![0]!["line"]!));

        var before = (int)(await Send(HttpMethod.Get, $"{job}/readings")).Body!["total"]!;
        Assert.Equal(
            (HttpStatusCode.PreconditionFailed, before),
            (
                (await Send(HttpMethod.Post, $"{job}/readings", Keep(Table, ["near:00:00:5e:00:53:e0"]), 9)).Status,
                (int)(await Send(HttpMethod.Get, $"{job}/readings")).Body!["total"]!
            )
        );
        var kept = await Send(HttpMethod.Post, $"{job}/readings", Keep(Table, ["near:00:00:5e:00:53:e0"]), 1);
        Assert.Equal((HttpStatusCode.OK, 2), (kept.Status, (int)kept.Body!["version"]!));
        Assert.Contains(kept.Body["design"]!["site"]!["devices"]!.AsArray(), d => (string?)d!["mac"] == "00:00:5e:00:53:e0");
        Assert.StartsWith("Read from pasted: ", (string?)kept.Body["undo"], StringComparison.Ordinal);

        // The reading stays when what it wrote is taken back, and then offers it again.
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Post, $"{job}/undo?setUp=found", "", 2)).Status);
        var list = (await Send(HttpMethod.Get, $"{job}/readings")).Body!;
        Assert.Equal(before + 1, (int)list["total"]!);
        var newest = list["items"]!
            .AsArray()
            .Single(i => i!["takenOver"]!.AsArray().Select(t => (string?)t).SequenceEqual(["Device 53E0 is a device of the home"]))!;
        Assert.Equal(("laptop in port 4 of Hall gateway", "hall"), ((string?)newest["seatName"], (string?)newest["place"]));
        var again = (await Send(HttpMethod.Get, $"{job}/readings/{newest["id"]}")).Body!;
        Assert.Equal(Table, (string?)again["text"]);
        Assert.Contains("near:00:00:5e:00:53:e0", Ids(again["view"], "unknown"));
        Assert.Equal(Table, await _http.GetStringAsync(new Uri($"{job}/readings/{newest["id"]}/content", UriKind.Relative), Cancel));

        Assert.Equal(
            HttpStatusCode.NoContent,
            (await Send(HttpMethod.Put, $"{job}/readings/{newest["id"]}/archived", """{"archived":true}""")).Status
        );
        Assert.Equal(
            (before, 1),
            (
                (int)(await Send(HttpMethod.Get, $"{job}/readings")).Body!["total"]!,
                (int)(await Send(HttpMethod.Get, $"{job}/readings?archived=true")).Body!["total"]!
            )
        );
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await Send(HttpMethod.Put, $"{job}/readings/{newest["id"]}/archived", """{"archived":false}""")).Status
        );
        Assert.Equal(before + 1, (int)(await Send(HttpMethod.Get, $"{job}/readings")).Body!["total"]!);
    }

    [Fact]
    public async Task What_is_heard_in_a_place_is_noted_there()
    {
        var job = await NewJob();
        const string Scan = "BSS 06:00:5e:00:54:10(on wlan0)\n\tfreq: 2437\n\tsignal: -80.00 dBm\n\tSSID: next door\n";
        var lost = await Send(
            HttpMethod.Post,
            $"{job}/readings/read",
            new
            {
                content = new { text = Scan },
                setUp = "found",
                place = "nowhere",
            }
        );
        Assert.Equal((HttpStatusCode.UnprocessableEntity, "/place"), (lost.Status, (string?)lost.Body!["errors"]![0]!["pointer"]));
        var seen = await Send(
            HttpMethod.Post,
            $"{job}/readings/read",
            new
            {
                content = new { text = Scan },
                setUp = "found",
                place = "kitchen",
            }
        );
        Assert.Contains("air:others", Ids(seen.Body, "unknown"));
        var keep = new
        {
            content = new { text = Scan },
            setUp = "found",
            name = "pasted",
            accepted = new[] { "air:others" },
            place = "kitchen",
            takenAt = "2026-01-02T03:04:05+01:00",
        };
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Post, $"{job}/readings", keep, 1)).Status);
        var air = (await Send(HttpMethod.Get, $"{job}/survey")).Body!["air"]!.AsArray().Single(a => (string?)a!["place"] == "kitchen")!;
        Assert.Equal(
            ("2026-01-02T02:04Z", "next door", -80.0, false),
            (
                (string?)air["at"],
                (string?)air["rows"]![0]!["network"]!["name"],
                (double)air["rows"]![0]!["network"]!["levelDbm"]!,
                (bool)air["rows"]![0]!["own"]!
            )
        );
        // Looked at later, it agrees with what it wrote.
        var row = (await Send(HttpMethod.Get, $"{job}/readings")).Body!["items"]!.AsArray().Single(i => (string?)i!["place"] == "kitchen")!;
        Assert.Contains("air:others", Ids((await Send(HttpMethod.Get, $"{job}/readings/{row["id"]}")).Body!["view"], "agrees"));
    }

    [Fact]
    public async Task A_capture_and_typed_readings_are_kept_and_read_back()
    {
        var job = await NewJob();
        var capture = Convert.ToBase64String(
            await File.ReadAllBytesAsync(Path.Combine(AppContext.BaseDirectory, "two-servers.pcap"), Cancel)
        );
        var view = (
            await Send(
                HttpMethod.Post,
                $"{job}/readings/read",
                new
                {
                    content = new { capture },
                    setUp = "found",
                    seat = Seat,
                }
            )
        ).Body;
        Assert.Contains("servers", Ids(view, "disagrees"));
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await Send(
                    HttpMethod.Post,
                    $"{job}/readings",
                    new
                    {
                        content = new { capture },
                        setUp = "found",
                        name = "wire.pcap",
                        accepted = Array.Empty<string>(),
                        takenAt = "2026-01-02T03:04:05+01:00",
                    }
                )
            ).Status
        );
        var row = (await Send(HttpMethod.Get, $"{job}/readings")).Body!["items"]!
            .AsArray()
            .Single(i => (string?)i!["name"] == "wire.pcap")!;
        Assert.Equal(
            (true, "2026-01-02T02:04:05+00:00", "capture"),
            ((bool)row["isCapture"]!, (string?)row["takenAt"], (string?)row["kinds"]![0])
        );
        Assert.Equal(
            capture,
            Convert.ToBase64String(await _http.GetByteArrayAsync(new Uri($"{job}/readings/{row["id"]}/content", UriKind.Relative), Cancel))
        );

        var outside = (
            await Send(
                HttpMethod.Post,
                $"{job}/readings/read",
                new
                {
                    content = new { outside = new { seen = "203.0.113.80", wan = "10.4.0.7" } },
                    setUp = "found",
                    seat = Seat,
                }
            )
        ).Body!;
        Assert.Equal("yes", (string?)outside["comparison"]!["outside"]!["beyond"]);
        var runs = new[] { 141.0, 139.5, 142.5 }.Select(down => new
        {
            by = "cable",
            downMbps = down,
            seconds = 30,
            place = "hall",
        });
        var speed = (
            await Send(
                HttpMethod.Post,
                $"{job}/readings/read",
                new
                {
                    content = new { runs },
                    setUp = "found",
                    seat = Seat,
                }
            )
        ).Body!;
        var group = speed["comparison"]!["baseline"]!.AsArray().Single()!;
        Assert.Equal(("Hall", 141.0), ((string?)group["place"], (double)group["down"]!["median"]!));
    }

    [Fact]
    public async Task Lists_are_compared_and_a_box_is_found_in_kept_and_pasted_ones()
    {
        var job = await NewJob();
        var list = (await Send(HttpMethod.Get, $"{job}/readings")).Body!["items"]!
            .AsArray()
            .Single(i => (string?)i!["name"] == "list-before.csv")!;
        var after = "192.168.8.57 dev eth0 lladdr 00:00:5e:00:53:06 REACHABLE\n";
        var found = (
            await Send(
                HttpMethod.Post,
                $"{job}/readings/difference",
                new
                {
                    before = new[] { (long)list["id"]! },
                    after = Array.Empty<long>(),
                    afterText = after,
                    expected = "studio-point",
                }
            )
        ).Body!;
        Assert.StartsWith("Studio access point is new, at 192.168.8.57", (string?)found["says"]![0], StringComparison.Ordinal);
        var moved = (
            await Send(
                HttpMethod.Post,
                $"{job}/readings/moved",
                new
                {
                    readings = Array.Empty<long>(),
                    text = after,
                    digits = "53:05",
                }
            )
        ).Body!;
        Assert.Equal("192.168.8.57", (string?)moved["candidates"]![0]!["address"]);
        Assert.Equal(2, moved["sweep"]!.AsArray().Count);
    }

    /// <summary>Where something is wrong, the answer names the field and what was expected; nothing is kept.</summary>
    [Theory]
    [InlineData("read", """{"content":{},"setUp":"found"}""", 422, "/content")]
    [InlineData("read", """{"content":{"text":"a","capture":"AAAA"},"setUp":"found"}""", 422, "/content")]
    [InlineData("read", """{"content":{"text":"  "},"setUp":"found"}""", 422, "/content/text")]
    [InlineData("read", """{"content":{"capture":"%%"},"setUp":"found"}""", 422, "/content/capture")]
    [InlineData("read", """{"content":{"capture":"aGVsbG8gaGVsbG8="},"setUp":"found"}""", 422, "/content/capture")]
    [InlineData("read", """{"content":{"outside":{"seen":"1.2.3"}},"setUp":"found"}""", 422, "/content/outside/seen")]
    [InlineData(
        "read",
        """{"content":{"outside":{"seen":"203.0.113.7","wan":"10.0.0.256"}},"setUp":"found"}""",
        422,
        "/content/outside/wan"
    )]
    [InlineData("read", """{"content":{"runs":[]},"setUp":"found"}""", 422, "/content/runs")]
    [InlineData("read", """{"content":{"runs":[{"by":"cable","downMbps":-1}]},"setUp":"found"}""", 422, "/content/runs/0")]
    [InlineData("read", """{"content":{"text":"a"},"setUp":"found","seat":"moon"}""", 422, "/seat")]
    [InlineData("", """{"content":{"text":"a"},"setUp":"found","name":"","accepted":[]}""", 422, "/name")]
    [InlineData("", """{"content":{"text":"a"},"setUp":"found","name":"a","accepted":[],"place":"moon"}""", 422, "/place")]
    [InlineData(
        "",
        """{"content":{"text":"a"},"setUp":"found","name":"a","accepted":[],"takenAt":"2999-01-01T00:00:00Z"}""",
        422,
        "/takenAt"
    )]
    [InlineData("", """{"content":{"text":"a"},"setUp":"found","name":"a","accepted":["address"]}""", 422, "/accepted")]
    [InlineData("difference", """{"before":[999999],"after":[]}""", 404, null)]
    [InlineData("difference", """{"before":[],"after":[],"expected":"moon"}""", 422, "/expected")]
    [InlineData("moved", """{"readings":[],"box":"moon"}""", 422, "/box")]
    [InlineData("moved", """{"readings":[],"digits":"xyz"}""", 422, "/digits")]
    public async Task What_is_wrong_is_named(string act, string body, int status, string? pointer)
    {
        var job = await NewJob();
        var before = (int)(await Send(HttpMethod.Get, $"{job}/readings")).Body!["total"]!;
        var answer = await Send(HttpMethod.Post, $"{job}/readings{(act.Length > 0 ? "/" : "")}{act}", body, 1);
        Assert.Equal((status, pointer), ((int)answer.Status, (string?)answer.Body!["errors"]?[0]?["pointer"]));
        Assert.Equal(before, (int)(await Send(HttpMethod.Get, $"{job}/readings")).Body!["total"]!);
    }

    [Fact]
    public async Task A_set_up_a_job_or_a_reading_that_is_not_there_is_said_to_be_none()
    {
        var job = await NewJob();
        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Get, $"{job}/readings/999999")).Status);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await Send(HttpMethod.Put, $"{job}/readings/999999/archived", """{"archived":true}""")).Status
        );
        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Get, "/api/jobs/999999/readings")).Status);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await Send(HttpMethod.Post, "/api/jobs/999999/readings/read", """{"content":{"text":"a"},"setUp":"found"}""")).Status
        );
        Assert.Equal(422, (int)(await Send(HttpMethod.Get, $"{job}/readings?perPage=1000")).Status);
    }
}
