using System.Globalization;
using Altrin.Data;

namespace Altrin.Web;

/// <summary>
/// Lets a few requests be at work at once, in order and fair between jobs. With all of them at work each would wait behind every other at
/// each of its steps, and saving, which has most steps, would wait longest.
/// </summary>
internal sealed class Turns(RequestDelegate next, TimeProvider time)
{
    /// <summary>For each core: while one computes, others may wait for the disk.</summary>
    private const int PerCore = 2;

    private readonly FairGate _gate = new(PerCore * Environment.ProcessorCount, Proofs.Longest, time);

    public async Task Invoke(HttpContext context)
    {
        var job = long.TryParse(context.Request.RouteValues["id"] as string, NumberStyles.None, CultureInfo.InvariantCulture, out var id)
            ? id
            : 0;
        using var turn = context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal)
            ? await _gate.Enter(job, context.RequestAborted)
            : null;
        await next(context);
    }
}
