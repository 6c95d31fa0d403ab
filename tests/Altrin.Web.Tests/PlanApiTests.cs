using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Altrin.Core.Planning;
using Altrin.Core.Procedures;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Options over real HTTP: worked out, chosen, undone, refused.</summary>
public sealed class PlanApiTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = server.PatientClient();

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private async Task<JsonNode> Get(string path) => (await _http.GetFromJsonAsync<JsonNode>(new Uri(path, UriKind.Relative), Cancel))!;

    private async Task<(HttpStatusCode Status, JsonNode Body)> Post(string path, string body, string? match = null)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, new Uri(path, UriKind.Relative))
        {
            Content = new StringContent(body, Encoding.UTF8, "application/json"),
        };
        if (match is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", match);
        }
        using var answer = await _http.SendAsync(request, Cancel);
        return (answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync(Cancel))!);
    }

    private async Task<string> NewJob()
    {
        var (_, made) = await Post("/api/jobs", """{"name":"A copy","from":1}""");
        return $"/api/jobs/{made["id"]}";
    }

    /// <summary>The option that is chosen is the plan, in one revision that is undone as one; what was found stays as it is.</summary>
    [Fact]
    public async Task An_option_becomes_the_plan_and_is_undone()
    {
        var job = await NewJob();
        var options = (await Get($"{job}/options"))["options"]!.AsArray();
        Assert.Equal("sound", (string)options[0]!["kind"]!);
        var before = await Get($"{job}/design");
        var (status, chosen) = await Post($"{job}/options/chosen", """{"number":1}""", "\"1\"");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal("planned", (string)chosen["proof"]!["setUp"]!);
        Assert.Equal((string)options[0]!["verdict"]!, (string)chosen["proof"]!["verdict"]!["sentence"]!);
        var after = await Get($"{job}/design");
        Assert.Equal(["found", "planned", "one-network"], after["setUps"]!.AsArray().Select(s => (string)s!["name"]!));
        Assert.True(JsonNode.DeepEquals(before["site"], after["site"]));
        Assert.True(JsonNode.DeepEquals(before["setUps"]![0], after["setUps"]![0]));
        Assert.False(JsonNode.DeepEquals(before["setUps"]![1], after["setUps"]![1]));
        // Options rest on what was found: the plan changes none.
        Assert.True(JsonNode.DeepEquals(options, (await Get($"{job}/options"))["options"]));
        var (undone, _) = await Post($"{job}/undo", "", "\"2\"");
        Assert.Equal(HttpStatusCode.OK, undone);
        Assert.True(JsonNode.DeepEquals(before, await Get($"{job}/design")));
    }

    /// <summary>
    /// The best so far is told while the search goes on; one that is stopped says so, stays the answer, and can be begun again.
    /// </summary>
    [Fact]
    public async Task A_search_tells_the_best_so_far_and_can_be_stopped()
    {
        var job = await NewJob();
        // A home that no other test asks about.
        await Post($"{job}/survey/enter", """{"list":"devices","text":"Tablet of this test"}""", "\"1\"");
        var soFar = await Get($"{job}/options?soFar=true");
        Assert.NotEmpty(soFar["options"]!.AsArray());
        var (status, stopped) = await Post($"{job}/options/stop", "");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.False((bool)stopped["isRunning"]!);
        Assert.True(JsonNode.DeepEquals(stopped, await Get($"{job}/options")));
        // What came to its end is not begun again.
        var again = await Get($"{job}/options?anew=true");
        Assert.False((bool)again["isRunning"]! || (bool)again["isCut"]!);
        Assert.True(JsonNode.DeepEquals(again, await Get($"{job}/options?soFar=true&anew=true")));
        // A stop comes too late for it.
        Assert.True(JsonNode.DeepEquals(again, (await Post($"{job}/options/stop", "")).Body));
    }

    /// <summary>What a person has in mind is built, its price told, and made the plan; what a box cannot be is said.</summary>
    [Fact]
    public async Task A_way_that_is_asked_for_becomes_the_plan()
    {
        var job = await NewJob();
        var best = (await Get($"{job}/options"))["options"]![0]!;
        var asked = await Get($"{job}/options/why-not?box=loft-router&as=lanToLan");
        var option = asked["option"]!;
        Assert.Equal("lanToLan", (string?)option["boxes"]!.AsArray().Single(b => (string?)b!["box"] == "loft-router")!["kind"]);
        Assert.Equal((double)option["points"]! - (double)best["points"]!, asked["price"]!.AsArray().Sum(p => (double)p!["points"]!), 0.6);
        var cannot = await Get($"{job}/options/why-not?box=studio-point&as=bridge");
        Assert.Null(cannot["option"]);
        Assert.StartsWith("Studio access point cannot be that.", (string)cannot["because"]!, StringComparison.Ordinal);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await Post($"{job}/options/chosen", """{"box":"studio-point","as":"bridge"}""", "\"1\"")).Status
        );
        var (status, chosen) = await Post($"{job}/options/chosen", """{"box":"loft-router","as":"lanToLan"}""", "\"1\"");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal((string?)option["verdict"], (string?)chosen["proof"]!["verdict"]!["sentence"]);
    }

    /// <summary>An option is kept under a name beside the plan, and taken off again; a name that is taken is refused.</summary>
    [Fact]
    public async Task An_option_is_kept_by_name()
    {
        var job = await NewJob();
        var before = await Get($"{job}/design");
        var (status, _) = await Post($"{job}/options/chosen", """{"number":2,"keepAs":"Attic, later"}""", "\"1\"");
        Assert.Equal(HttpStatusCode.OK, status);
        var after = await Get($"{job}/design");
        Assert.Equal(["found", "planned", "one-network", "attic-later"], after["setUps"]!.AsArray().Select(s => (string)s!["name"]!));
        Assert.All(Enumerable.Range(0, 3), i => Assert.True(JsonNode.DeepEquals(before["setUps"]![i], after["setUps"]![i])));
        foreach (var taken in (string[])["attic LATER", "planned", "found", "???", ""])
        {
            var body = new JsonObject { ["number"] = 1, ["keepAs"] = taken }.ToJsonString();
            var (refused, problem) = await Post($"{job}/options/chosen", body, "\"2\"");
            Assert.Equal(HttpStatusCode.UnprocessableEntity, refused);
            Assert.Equal("/keepAs", (string?)problem["errors"]![0]!["pointer"]);
        }
        var (removed, _) = await Post(
            $"{job}/corrections",
            """{"setUp":"planned","corrections":[{"kind":"removeSetUp","name":"attic-later"}]}""",
            "\"2\""
        );
        Assert.Equal(HttpStatusCode.OK, removed);
        Assert.True(JsonNode.DeepEquals(before["setUps"], (await Get($"{job}/design"))["setUps"]));
    }

    /// <summary>Where the way of working is another one than that of the options that were shown, none is chosen unseen.</summary>
    [Fact]
    public async Task An_option_of_another_way_is_not_chosen_unseen()
    {
        var job = await NewJob();
        var shown = (string)(await Get($"{job}/options"))["restsOn"]!;
        Assert.Equal(shown, (string?)(await Get($"{job}/options?soFar=true"))["restsOn"]);
        using var ways = new StringContent("""{"ways":["gateway=bridge","radioHop=16"]}""", Encoding.UTF8, "application/json");
        using var put = await _http.PutAsync(new Uri($"{job}/ways", UriKind.Relative), ways, Cancel);
        Assert.Equal(HttpStatusCode.OK, put.StatusCode);
        var body = new JsonObject { ["number"] = 1, ["restsOn"] = shown };
        var (refused, problem) = await Post($"{job}/options/chosen", body.ToJsonString(), "\"1\"");
        Assert.Equal(HttpStatusCode.UnprocessableEntity, refused);
        Assert.Equal("/restsOn", (string?)problem["errors"]![0]!["pointer"]);
        body["restsOn"] = (string)(await Get($"{job}/options"))["restsOn"]!;
        Assert.Equal(HttpStatusCode.OK, (await Post($"{job}/options/chosen", body.ToJsonString(), "\"1\"")).Status);
    }

    /// <summary>What options rest on is told apart by the home and the way of working, and by what the search came to.</summary>
    [Fact]
    public void Options_are_told_apart_by_what_they_are()
    {
        var task = new PlanTask(Home.WithGateway().Wired("desk", "gw/lan1").Design);
        var answer = Planner.Plan(task, stop: Cancel);
        var rest = PlanOptions.RestsOn(task, answer);
        Assert.Equal(rest, PlanOptions.RestsOn(task, Planner.Plan(task, stop: Cancel)));
        var other = answer.Options[0] with { SetUp = answer.Options[0].SetUp with { Name = "other" } };
        Assert.NotEqual(rest, PlanOptions.RestsOn(task, answer with { Options = [other, .. answer.Options.Skip(1)] }));
        Assert.NotEqual(rest, PlanOptions.RestsOn(task with { Ways = Ways.Usual with { Gateway = GatewaySchool.Bridge } }, answer));
    }

    /// <summary>What is drawn of an option is what becomes the plan.</summary>
    [Fact]
    public async Task An_option_is_drawn_as_it_would_be_the_plan()
    {
        var job = await NewJob();
        var drawing = await Get($"{job}/options/2/drawing");
        var setUp = Assert.Single(drawing["design"]!["setUps"]!.AsArray())!;
        var (_, chosen) = await Post($"{job}/options/chosen", """{"number":2}""", "\"1\"");
        var planned = chosen["design"]!["setUps"]!.AsArray().Single(s => (string?)s!["name"] == "planned");
        Assert.True(JsonNode.DeepEquals(setUp, planned));
        Assert.Equal((string?)(await Get($"{job}/options"))["options"]![1]!["verdict"], (string?)drawing["proof"]!["verdict"]!["sentence"]);
        using var none = await _http.GetAsync(new Uri($"{job}/options/9/drawing", UriKind.Relative), Cancel);
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
    }

    [Theory]
    [InlineData("?box=nowhere&as=router", HttpStatusCode.UnprocessableEntity, "/box")]
    [InlineData("?box=loft-router&as=hub", HttpStatusCode.UnprocessableEntity, "Roles: unused, router, cascade")]
    [InlineData("?box=loft-router&as=3", HttpStatusCode.UnprocessableEntity, "/as")]
    [InlineData("?box=loft-router", HttpStatusCode.BadRequest, "")]
    public async Task What_cannot_be_asked_is_said(string query, HttpStatusCode status, string says)
    {
        using var answer = await _http.GetAsync(new Uri($"/api/jobs/1/options/why-not{query}", UriKind.Relative), Cancel);
        Assert.Equal(status, answer.StatusCode);
        Assert.Contains(says, await answer.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("""{"number":null}""", "\"1\"", HttpStatusCode.UnprocessableEntity)]
    [InlineData("""{"box":"nowhere","as":"router"}""", "\"1\"", HttpStatusCode.UnprocessableEntity)]
    [InlineData("""{"number":0}""", "\"1\"", HttpStatusCode.UnprocessableEntity)]
    [InlineData("""{"number":99}""", "\"1\"", HttpStatusCode.UnprocessableEntity)]
    [InlineData("""{"number":"one"}""", "\"1\"", HttpStatusCode.BadRequest)]
    [InlineData("""{"number":1}""", null, HttpStatusCode.PreconditionRequired)]
    [InlineData("""{"number":1}""", "\"7\"", HttpStatusCode.PreconditionFailed)]
    public async Task What_is_no_option_is_refused(string body, string? match, HttpStatusCode status) =>
        Assert.Equal(status, (await Post($"{await NewJob()}/options/chosen", body, match)).Status);

    [Fact]
    public async Task A_job_that_is_not_there_has_no_options()
    {
        using var answer = await _http.GetAsync(new Uri("/api/jobs/999999/options", UriKind.Relative), Cancel);
        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await Post("/api/jobs/999999/options/chosen", """{"number":1}""", "\"1\"")).Status);
    }
}
