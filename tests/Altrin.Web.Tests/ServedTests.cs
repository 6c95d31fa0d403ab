using System.IO.Compression;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>What a server gives besides the home: the page with its policy, the description of the API, a log of its own.</summary>
public sealed class ServedTests(RunningServer server) : IDisposable
{
    private readonly HttpClient _http = server.PatientClient();

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

    /// <summary>What the page loads at first comes compressed as it was built, and unpacks to what comes without.</summary>
    [Theory]
    [InlineData("br", true)]
    [InlineData("gzip, deflate, br", true)]
    [InlineData("br;q=0, identity", false)]
    [InlineData("identity", false)]
    public async Task Scripts_and_styles_come_as_the_browser_takes_them(string takes, bool compressed)
    {
        foreach (var path in await FirstFiles())
        {
            var plain = await _http.GetByteArrayAsync(path, Cancel);
            using var request = new HttpRequestMessage(HttpMethod.Get, path);
            request.Headers.TryAddWithoutValidation("Accept-Encoding", takes);
            using var answer = await _http.SendAsync(request, Cancel);
            var packed = await answer.Content.ReadAsByteArrayAsync(Cancel);
            Assert.Equal(compressed ? ["br"] : [], answer.Content.Headers.ContentEncoding);
            Assert.Equal(
                path.EndsWith(".js", StringComparison.Ordinal) ? "text/javascript" : "text/css",
                $"{answer.Content.Headers.ContentType}"
            );
            Assert.Contains("immutable", $"{answer.Headers.CacheControl}", StringComparison.Ordinal);
            Assert.Contains("Accept-Encoding", answer.Headers.Vary);
            using var unpacked = new MemoryStream();
            await using Stream stream = compressed
                ? new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress)
                : new MemoryStream(packed);
            await stream.CopyToAsync(unpacked, Cancel);
            Assert.Equal(plain, unpacked.ToArray());
        }
    }

    /// <summary>The goal: scripts, styles and the two typefaces of the first page in less than 200 kB over the wire.</summary>
    [Fact]
    public async Task The_first_page_is_small()
    {
        var size = 0L;
        foreach (var path in await FirstFiles())
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, path);
            request.Headers.TryAddWithoutValidation("Accept-Encoding", "br");
            using var answer = await _http.SendAsync(request, Cancel);
            size += (await answer.Content.ReadAsByteArrayAsync(Cancel)).Length;
        }
        var assets = Path.Combine(AppContext.BaseDirectory, "wwwroot", "assets");
        size += Directory.GetFiles(assets, "*-latin-wght-normal-*.woff2").Sum(f => new FileInfo(f).Length);
        Assert.InRange(size, 100_000, 200_000);
    }

    private async Task<IReadOnlyList<string>> FirstFiles()
    {
        var html = await _http.GetStringAsync("/", Cancel);
        string[] files = [.. html.Split('"').Where(part => part.StartsWith("/assets/", StringComparison.Ordinal))];
        Assert.Contains(files, f => f.EndsWith(".js", StringComparison.Ordinal));
        return files;
    }

    [Fact]
    public async Task Each_server_of_a_process_has_its_own_log()
    {
        using var first = new RunningServer();
        using var second = new RunningServer();
        using var client = first.PatientClient();
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
