using System.Globalization;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Altrin.Formats;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Five thousand requests drawn from the description of the API: whatever is asked is answered, or refused in words.</summary>
public sealed partial class FuzzTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const int Seed = 20_261_128;
    private const int Each = 1_250;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Theory]
    [InlineData(Seed)]
    [InlineData(Seed + 1)]
    [InlineData(Seed + 2)]
    [InlineData(Seed + 3)]
    public async Task Nothing_that_is_asked_is_a_fault(int seed)
    {
        using var http = server.PatientClient();
        var description = JsonNode.Parse(await http.GetStringAsync(new Uri("/api/openapi/v1.json", UriKind.Relative), Cancel))!;
        using var made = await http.PostAsync(
            new Uri("/api/jobs", UriKind.Relative),
            new StringContent($$"""{"name":"Drawn {{seed}}","from":1}""", MediaTypeHeaderValue.Parse("application/json")),
            Cancel
        );
        var job = (long)JsonNode.Parse(await made.Content.ReadAsStringAsync(Cancel))!["id"]!;
        var design = DesignFile
            .Read(await http.GetByteArrayAsync(new Uri("/api/jobs/1/design", UriKind.Relative), Cancel))
            .Value!.Design("planned")!;
        var requests = new Requests(description, design, seed);
        var wrong = new List<string>();
        var (taken, changed, version) = (0, 0, 1L);
        for (var i = 0; i < Each; i++)
        {
            var drawn = requests.Next(job);
            using var request = new HttpRequestMessage(drawn.Method, drawn.Path);
            if (drawn.Body is not null)
            {
                request.Content = new ByteArrayContent(drawn.Body);
                request.Content.Headers.TryAddWithoutValidation("Content-Type", drawn.Kind);
            }
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
            request.Headers.TryAddWithoutValidation("Altrin-Base", $"{i % 40}");
            using var answer = await http.SendAsync(request, Cancel);
            var status = (int)answer.StatusCode;
            // An address that is too long is refused by the server before there is a route.
            if (status is < 400 or 414)
            {
                taken++;
                changed += drawn.Path.EndsWith("/changes", StringComparison.Ordinal) ? 1 : 0;
                version =
                    answer.Headers.ETag is { } tag && drawn.Path.StartsWith($"/api/jobs/{job}", StringComparison.Ordinal)
                        ? long.Parse(tag.Tag.Trim('"'), CultureInfo.InvariantCulture)
                        : version;
                continue;
            }
            var said = await answer.Content.ReadAsStringAsync(Cancel);
            version =
                status == 412 && drawn.Path.StartsWith($"/api/jobs/{job}", StringComparison.Ordinal)
                    ? (long)JsonNode.Parse(said)!["head"]!["version"]!
                    : version;
            if (status >= 500 || answer.Content.Headers.ContentType?.MediaType != "application/problem+json" || Inside().IsMatch(said))
            {
                wrong.Add($"request {i}: {status} {said}\n  {drawn}");
            }
        }
        Assert.True(wrong.Count == 0, $"Seed {seed}, {wrong.Count} of {Each}:\n{string.Join('\n', wrong.Take(12))}");
        // Most of what is drawn is refused; but if nothing were taken, nothing behind the first look at it would be tried.
        Assert.InRange(taken, Each / 10, Each);
        Assert.InRange(changed, Each / 60, Each);
    }

    /// <summary>Names of types and members of the program.</summary>
    [GeneratedRegex(@"\b(?:System|Microsoft|Altrin)\.[A-Z]|\.NET\b|`1\b")]
    private static partial Regex Inside();
}
