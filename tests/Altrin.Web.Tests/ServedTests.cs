using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>What a server gives besides the home: the page with its policy, the description of the API, a log of its own.</summary>
public sealed class ServedTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = new() { BaseAddress = server.Address };

    public void Dispose() => _http.Dispose();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_page_allows_nothing_from_elsewhere()
    {
        using var answer = await _http.GetAsync(new Uri("/jobs/1/plan", UriKind.Relative), Cancel);
        var policy = answer.Headers.GetValues("Content-Security-Policy").Single();
        Assert.StartsWith("default-src 'none'", policy);
        Assert.DoesNotContain("unsafe", policy, StringComparison.Ordinal);
        var nonce = policy.Split("'nonce-")[1].Split('\'')[0];
        var html = await answer.Content.ReadAsStringAsync(Cancel);
        Assert.Contains($"content=\"{nonce}\"", html, StringComparison.Ordinal);
        Assert.DoesNotContain("http", html, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Each_server_of_a_process_has_its_own_log()
    {
        using var first = new RunningServer();
        using var second = new RunningServer();
        using var client = new HttpClient { BaseAddress = first.Address };
        await client.GetAsync(new Uri("/api/jobs/1/secrets", UriKind.Relative), Cancel);
        const string Route = "/api/jobs/{id:long}/secrets";
        Assert.Contains(Route, await first.Log(client, Cancel), StringComparison.Ordinal);
        Assert.DoesNotContain(Route, await second.Log(client, Cancel), StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_description_of_the_API_is_current()
    {
        var committed = await File.ReadAllTextAsync(Path.Combine(AppContext.BaseDirectory, "openapi.json"), Cancel);
        var served = await _http.GetStringAsync("/api/openapi/v1.json", Cancel);
        Assert.True(
            JsonNode.DeepEquals(JsonNode.Parse(committed), JsonNode.Parse(served)),
            "build the server to write web/openapi.json anew"
        );
    }
}
