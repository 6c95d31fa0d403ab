using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>The survey, the shelf and secrets over real HTTP.</summary>
public sealed class SurveyApiTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = server.PatientClient();

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<(HttpStatusCode Status, JsonNode? Body, string Text)> Send(
        HttpMethod method,
        string path,
        string? body = null,
        long? version = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
        {
            request.Content = new StringContent(body, Encoding.UTF8, "application/json");
        }
        if (version is { } match)
        {
            request.Headers.IfMatch.Add(new EntityTagHeaderValue($"\"{match}\""));
        }
        using var answer = await _http.SendAsync(request, Cancel);
        var text = await answer.Content.ReadAsStringAsync(Cancel);
        return (answer.StatusCode, text.StartsWith('{') || text.StartsWith('[') ? JsonNode.Parse(text) : null, text);
    }

    private async Task<string> NewJob(bool demo)
    {
        var (_, body, _) = await Send(HttpMethod.Post, "/api/jobs", $$"""{"name":"Survey","from":{{(demo ? "1" : "null")}}}""");
        return $"/api/jobs/{body!["id"]}";
    }

    private static void Problem(HttpStatusCode status, string type, (HttpStatusCode Status, JsonNode? Body, string Text) answer)
    {
        Assert.Equal((status, $"urn:altrin:problem:{type}"), (answer.Status, (string?)answer.Body?["type"]));
    }

    /// <summary>How far a job is, for the list: as far as its plan, or as what was found where none was begun.</summary>
    [Fact]
    public async Task A_job_says_where_the_work_on_it_stands()
    {
        var (_, made, _) = await Send(HttpMethod.Post, "/api/jobs", """{"name":"Standing","from":null}""");
        var empty = (await Send(HttpMethod.Get, $"/api/jobs/{made!["id"]}/standing")).Body!;
        Assert.Equal(("survey", "found", "empty", 1), Said(empty));
        var (_, copy, _) = await Send(HttpMethod.Post, "/api/jobs", """{"name":"Standing, planned","from":1}""");
        var planned = (await Send(HttpMethod.Get, $"/api/jobs/{copy!["id"]}/standing")).Body!;
        Assert.Equal(("plan", "planned", "willNotWork", 0), Said(planned));
        var names = (await Send(HttpMethod.Get, "/api/jobs?order=name&search=standing")).Body!["items"]!.AsArray();
        Assert.Equal(["Standing", "Standing, planned"], names.Select(j => (string)j!["name"]!));
        Assert.Equal(HttpStatusCode.NotFound, (await Send(HttpMethod.Get, "/api/jobs/99999/standing")).Status);

        static (string?, string?, string?, int) Said(JsonNode of) =>
            ((string?)of["station"], (string?)of["setUp"], (string?)of["verdict"]!["kind"], (int)of["missing"]!);
    }

    [Fact]
    public async Task An_empty_home_is_surveyed_planned_and_compared()
    {
        var job = await NewJob(false);
        Assert.Equal("askFirst", (string?)(await Send(HttpMethod.Get, $"{job}/options")).Body!["first"]!["kind"]);
        Assert.Equal(
            HttpStatusCode.OK,
            (await Send(HttpMethod.Post, $"{job}/survey/enter", """{"list":"places","text":"Hall, 2x4\nStudy, 3x3"}""", 1)).Status
        );
        var (status, state, _) = await Send(
            HttpMethod.Post,
            $"{job}/survey/enter",
            """{"list":"gear","text":"Hall gateway, fibre gateway four, hall"}""",
            2
        );
        Assert.Equal(
            (HttpStatusCode.OK, "found", "hall-gateway"),
            (status, (string?)state!["proof"]!["setUp"], (string?)state["design"]!["site"]!["service"]!["handOff"])
        );
        Problem(
            HttpStatusCode.PreconditionFailed,
            "stale",
            await Send(HttpMethod.Post, $"{job}/survey/enter", """{"list":"devices","text":"Printer"}""", 2)
        );
        Problem(
            HttpStatusCode.PreconditionRequired,
            "version-needed",
            await Send(HttpMethod.Post, $"{job}/survey/enter", """{"list":"devices","text":"Printer"}""")
        );
        var wrong = await Send(HttpMethod.Post, $"{job}/survey/enter", """{"list":"devices","text":"Printer, study\nPhone, moon"}""", 3);
        Problem(HttpStatusCode.UnprocessableEntity, "bad-lines", wrong);
        Assert.Equal("line 2, column 8", (string?)wrong.Body!["errors"]![0]!["pointer"]);
        var read = await Send(HttpMethod.Post, $"{job}/survey/read", """{"list":"devices","text":"Printer, study, cable"}""");
        Assert.Equal(["a name", "in Study", "on a cable"], read.Body!.AsArray()[0]!["parts"]!.AsArray().Select(p => (string)p!["means"]!));
        var planned = await Send(HttpMethod.Post, $"{job}/corrections", """{"setUp":"planned","corrections":[{"kind":"startPlan"}]}""", 3);
        Assert.Equal(["found", "planned"], planned.Body!["setUps"]!.AsArray().Select(s => (string)s!));
        var revision = (long)planned.Body["revision"]!;
        var compared = await Send(HttpMethod.Get, $"{job}/compare?before={revision}&beforeSetUp=found&after={revision}&afterSetUp=planned");
        Assert.Empty(compared.Body!["changes"]!.AsArray());
        Problem(
            HttpStatusCode.UnprocessableEntity,
            "refused-correction",
            await Send(HttpMethod.Post, $"{job}/corrections", """{"setUp":"found","corrections":[{"kind":"remove","id":"missing"}]}""", 4)
        );
        Problem(
            HttpStatusCode.BadRequest,
            "malformed",
            await Send(
                HttpMethod.Post,
                $"{job}/corrections",
                """{"setUp":"found","corrections":[{"kind":"setLabel","box":"hall-gateway","label":{"address":"192.168.8.1/255.255.255.255.0"}}]}""",
                4
            )
        );
        var undone = await Send(HttpMethod.Post, $"{job}/undo?setUp=found", "", 4);
        Assert.Equal(["found"], undone.Body!["setUps"]!.AsArray().Select(s => (string)s!));
    }

    [Fact]
    public async Task Tables_go_out_and_in_with_errors_by_row_and_column()
    {
        var job = await NewJob(true);
        var (_, _, csv) = await Send(HttpMethod.Get, $"{job}/survey/devices.csv");
        Assert.StartsWith("id,name,sort,mac,place,bands,socket,address,link\r\n", csv, StringComparison.Ordinal);
        var back = await Send(
            HttpMethod.Post,
            $"{job}/survey/table",
            new JsonObject
            {
                ["table"] = "devices",
                ["text"] = csv.Replace("Printer", "Old printer", StringComparison.Ordinal),
            }.ToJsonString(),
            1
        );
        Assert.Equal((HttpStatusCode.OK, "A table of devices is read"), (back.Status, (string?)back.Body!["undo"]));
        var wrong = await Send(HttpMethod.Post, $"{job}/survey/table", """{"table":"places","text":"name,floor\nLarder,high"}""", 2);
        Problem(HttpStatusCode.UnprocessableEntity, "bad-table", wrong);
        Assert.Equal("row 2, column floor", (string?)wrong.Body!["errors"]![0]!["pointer"]);
        Problem(HttpStatusCode.UnprocessableEntity, "bad-value", await Send(HttpMethod.Get, $"{job}/survey/teapots.csv"));
    }

    [Fact]
    public async Task The_shelf_is_edited_and_an_old_job_is_offered_the_newer_edition()
    {
        var job = await NewJob(true);
        var file = JsonNode.Parse((await Send(HttpMethod.Get, "/api/shelf/profiles.json?only=wall-access-point")).Text)!;
        file["profiles"]![0]!["name"] = "Wall access point, seen again";
        var put = await Send(HttpMethod.Post, "/api/shelf", new JsonObject { ["text"] = file.ToJsonString() }.ToJsonString());
        var entry = put.Body!.AsArray().Single(e => (string?)e!["profile"]!["shelfId"] == "wall-access-point")!;
        Assert.Equal((3, true, true), ((int)entry["edition"]!, (bool)entry["own"]!, (bool)entry["shipped"]!));
        var newer = (await Send(HttpMethod.Get, $"{job}/survey")).Body!["newer"]!.AsArray().Single()!;
        Assert.Equal("studio-point", (string?)newer["box"]);
        var taken = await Send(
            HttpMethod.Post,
            $"{job}/corrections",
            """{"setUp":"found","corrections":[{"kind":"takeProfile","box":"studio-point","shelfId":"wall-access-point"}]}""",
            1
        );
        Assert.Equal("Wall access point, seen again", (string?)taken.Body!["design"]!["site"]!["boxes"]![2]!["profile"]!["name"]);
        file["profiles"]![0]!["kind"] = "teapot";
        var wrong = await Send(HttpMethod.Post, "/api/shelf", new JsonObject { ["text"] = file.ToJsonString() }.ToJsonString());
        Problem(HttpStatusCode.UnprocessableEntity, "bad-profiles", wrong);
        Assert.Equal("/profiles/0/kind", (string?)wrong.Body!["errors"]![0]!["pointer"]);
        Assert.Equal(HttpStatusCode.OK, (await Send(HttpMethod.Delete, "/api/shelf/wall-access-point")).Status);
        Problem(HttpStatusCode.NotFound, "no-profile", await Send(HttpMethod.Delete, "/api/shelf/wall-access-point"));
    }

    /// <summary>
    /// A planted value is looked for in everything that leaves the program but the one answer that was asked to show it, and the one file
    /// that was asked to hold it.
    /// </summary>
    [Fact]
    public async Task A_planted_secret_is_in_no_answer_log_export_or_file()
    {
        const string planted = "planted-oboe-4417";
        var job = await NewJob(true);
        var kept = await Send(HttpMethod.Post, $"{job}/secrets", $$"""{"value":"{{planted}}","name":"page password"}""");
        var reference = (string)kept.Body!["reference"]!;
        var used = await Send(
            HttpMethod.Post,
            $"{job}/changes",
            $$"""{"setUp":"found","changes":[{"kind":"setPagePassword","box":"hall-gateway","password":"{{reference}}"}]}""",
            1
        );
        var everything = new List<string> { kept.Text, used.Text };
        foreach (
            var path in new[]
            {
                "",
                "/secrets",
                "/design",
                "/revisions",
                "/survey",
                "/survey/gear.csv",
                "/survey/devices.csv",
                "/proof/addresses?setUp=found",
                "/proof/take-out/addresses?setUp=found",
                "/proof/take-out/topology?setUp=found",
            }
        )
        {
            var answer = await Send(HttpMethod.Get, job + path);
            Assert.Equal(HttpStatusCode.OK, answer.Status);
            everything.Add(answer.Text);
        }
        // A value that is refused is not repeated either.
        everything.Add((await Send(HttpMethod.Post, $"{job}/secrets", $$"""{"value":"{{planted}}\n","name":"page password"}""")).Text);
        everything.Add((await Send(HttpMethod.Put, $"{job}/secrets/{reference}", $$"""{"value":"{{planted}}x"}""")).Text);
        foreach (
            var file in Directory
                .GetFiles(server.Folder.Path, "*", SearchOption.AllDirectories)
                .Where(f => !f.EndsWith(".lock", StringComparison.Ordinal))
        )
        {
            using var open = new StreamReader(
                new FileStream(file, FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete),
                Encoding.Latin1
            );
            everything.Add(await open.ReadToEndAsync(Cancel));
        }
        Assert.All(everything, text => Assert.DoesNotContain(planted, text, StringComparison.Ordinal));
        Assert.Equal(planted, (string?)(await Send(HttpMethod.Post, $"{job}/secrets/{reference}/shown")).Body!["value"]);
        Problem(HttpStatusCode.NotFound, "no-secret", await Send(HttpMethod.Post, $"{job}/secrets/missing/shown"));
        // The file that was asked for holds it, and a job that is made of it has it too.
        var whole = await Send(HttpMethod.Post, $"{job}/design/with-secrets");
        Assert.Contains(planted, whole.Text, StringComparison.Ordinal);
        var copy = await Send(HttpMethod.Post, "/api/jobs/import", whole.Text);
        Assert.Equal(
            planted,
            (string?)(await Send(HttpMethod.Post, $"/api/jobs/{copy.Body!["id"]}/secrets/{reference}/shown")).Body!["value"]
        );
        Assert.DoesNotContain(planted, (await Send(HttpMethod.Get, $"/api/jobs/{copy.Body["id"]}/design")).Text, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_made_key_is_kept_and_a_key_that_is_typed_twice_becomes_one_reference()
    {
        // A file from elsewhere speaks of a reference whose value no one typed here.
        var file = JsonNode.Parse((await Send(HttpMethod.Get, $"{await NewJob(true)}/design")).Text)!;
        file["setUps"]!.AsArray().First(s => (string)s!["name"]! == "found")!["boxes"]!
            .AsArray()
            .First(b => (string)b!["box"]! == "hall-gateway")!["password"] = "unread";
        var job = $"/api/jobs/{(await Send(HttpMethod.Post, "/api/jobs/import", file.ToJsonString())).Body!["id"]}";
        var made = (string)(await Send(HttpMethod.Post, $"{job}/secrets", """{"value":null,"name":"guest key"}""")).Body!["reference"]!;
        var value = (string)(await Send(HttpMethod.Post, $"{job}/secrets/{made}/shown")).Body!["value"]!;
        Assert.Matches("^[a-z0-9-]{29}$", value);
        Assert.Equal(
            made,
            (string?)
                (await Send(HttpMethod.Post, $"{job}/secrets", $$"""{"value":"{{value}}","name":"something else"}""")).Body!["reference"]
        );
        // Its value turns out to be the same key.
        Assert.Equal(
            made,
            (string?)(await Send(HttpMethod.Put, $"{job}/secrets/unread", $$"""{"value":"{{value}}"}""")).Body!["reference"]
        );
        var uses = (await Send(HttpMethod.Get, $"{job}/secrets")).Body!.AsArray();
        Assert.Contains(
            "page of Hall gateway",
            uses.Single(u => (string?)u!["reference"] == made)!["uses"]!.AsArray().Select(u => (string)u!)
        );
        Assert.DoesNotContain(uses, u => (string?)u!["reference"] == "unread");
    }
}
