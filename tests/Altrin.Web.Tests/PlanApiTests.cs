using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Options over real HTTP: worked out, chosen, undone, refused.</summary>
public sealed class PlanApiTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = new() { BaseAddress = server.Address };

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

    [Theory]
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
