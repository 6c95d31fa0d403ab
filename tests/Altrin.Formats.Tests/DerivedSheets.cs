using System.Collections.Concurrent;
using Altrin.Core.Procedures;
using Altrin.Core.Procedures.Sheets;

namespace Altrin.Formats.Tests;

/// <summary>The run sheets of the samples, derived once for all tests.</summary>
internal static class DerivedSheets
{
    private static readonly ConcurrentDictionary<string, Lazy<RunSheet>> Known = new();

    /// <summary>All of a sheet as it is written.</summary>
    public static string Whole(IEnumerable<Func<CancellationToken, string>> parts) =>
        string.Concat(parts.Select(p => p(TestContext.Current.CancellationToken)));

    /// <summary>From the set-up with which the typed evening of a sample begins to the one in which it ends.</summary>
    public static RunSheet Of(string name) =>
        Known
            .GetOrAdd(name, _ => new(() =>
                {
                    var (home, acts) = (Samples.Home(name), ActsFile.Read(Samples.Evening(name)).Value!);
                    return RunSheet.Derive(State.Morning(home.Design(acts.Begins)!), home.Design(acts.Ends)!.SetUp, Ways.Usual);
                }))
            .Value;
}
