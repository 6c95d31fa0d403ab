using System.Collections.Concurrent;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Altrin.Testing;

namespace Altrin.Web.Tests;

/// <summary>Fifty clients at work on ten jobs at once: no one gets a fault, and what was acknowledged is there, once.</summary>
public sealed class ManyClientsTests(RunningServer server) : IClassFixture<RunningServer>
{
    private const int Clients = 50;
    private const int Jobs = 10;
    private const int Rounds = 3;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Fifty_clients_on_ten_jobs_lose_nothing_and_get_no_fault()
    {
        using var http = new HttpClient { BaseAddress = server.Address, Timeout = TimeSpan.FromMinutes(3) };
        var jobs = new List<long>();
        for (var i = 0; i < Jobs; i++)
        {
            jobs.Add((long)(await Send(http, HttpMethod.Post, "/api/jobs", $$"""{"name":"Shared {{i}}","from":1}""")).Body!["id"]!);
        }
        var (faults, saved, secrets) = (
            new ConcurrentBag<string>(),
            new ConcurrentBag<(long Job, string Note)>(),
            new ConcurrentBag<(long Job, string Reference, string Value)>()
        );
        await Task.WhenAll(Enumerable.Range(0, Clients).Select(client => Task.Run(() => Work(client), Cancel)));
        Assert.Empty(faults);
        Assert.InRange(saved.Count, Jobs, Clients * Rounds);
        foreach (var job in jobs)
        {
            var labels = new List<string>();
            for (
                var page = 1;
                (await Send(http, HttpMethod.Get, $"/api/jobs/{job}/revisions?perPage=100&page={page}")).Body!["items"]!.AsArray()
                    is { Count: > 0 } items;
                page++
            )
            {
                labels.AddRange(items.Select(r => (string)r!["label"]!));
            }
            // The first one is the copy; every other one is an edit that was acknowledged, once.
            Assert.Equal(
                saved.Where(s => s.Job == job).Select(s => s.Note).Order(StringComparer.Ordinal),
                labels.SkipLast(1).Select(l => l.Split(' ')[^1]).Order(StringComparer.Ordinal)
            );
        }
        foreach (var (job, reference, value) in secrets)
        {
            Assert.Equal(value, (string?)(await Send(http, HttpMethod.Post, $"/api/jobs/{job}/secrets/{reference}/shown")).Body!["value"]);
        }

        async Task Work(int client)
        {
            for (var round = 0; round < Rounds; round++)
            {
                var job = jobs[(client + round) % Jobs];
                var read = await Ask(HttpMethod.Get, $"/api/jobs/{job}?setUp=planned");
                var note = $"n{client}x{round}";
                var edit = $$$"""{"setUp":"planned","corrections":[{"kind":"setHome","known":{"name":"Home {{{note}}}"}}]}""";
                if (
                    (await Ask(HttpMethod.Post, $"/api/jobs/{job}/corrections", edit, (string?)read?["version"]?.ToString()))?["version"]
                    is not null
                )
                {
                    saved.Add((job, note));
                }
                await Ask(HttpMethod.Patch, $"/api/jobs/{jobs[(client + round + 3) % Jobs]}", $$"""{"archived":false}""");
                if (
                    (string?)
                        (await Ask(HttpMethod.Post, $"/api/jobs/{job}/secrets", $$"""{"value":"value-{{note}}","name":"key"}"""))?[
                            "reference"
                        ] is
                    { } reference
                )
                {
                    secrets.Add((job, reference, $"value-{note}"));
                }
            }
        }

        // The body of what was done; null of what was refused. Who is told that the server is busy asks again, as it is told to: on a slow
        // machine the turn of the last of fifty may come too late, and then nothing may have been changed.
        async Task<JsonNode?> Ask(HttpMethod method, string path, string? body = null, string? version = null)
        {
            var (status, answer) = await Send(http, method, path, body, version);
            for (var again = 0; status == HttpStatusCode.ServiceUnavailable && again < Clients; again++)
            {
                (status, answer) = await Send(http, method, path, body, version);
            }
            if ((int)status >= 500)
            {
                faults.Add($"{method} {path}: {(int)status} {answer}");
            }
            return (int)status < 400 ? answer : null;
        }
    }

    private static async Task<(HttpStatusCode Status, JsonNode? Body)> Send(
        HttpClient http,
        HttpMethod method,
        string path,
        string? body = null,
        string? version = null
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (body is not null)
        {
            request.Content = new StringContent(body, Encoding.UTF8, "application/json");
        }
        if (version is not null)
        {
            request.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        }
        using var answer = await http.SendAsync(request, Cancel);
        var text = await answer.Content.ReadAsStringAsync(Cancel);
        return (answer.StatusCode, text.Length == 0 ? null : JsonNode.Parse(text));
    }
}
