using System.Globalization;

namespace Altrin.Web;

/// <summary>What the command line asks for.</summary>
/// <param name="Port">Port on loopback; 0 for any free one.</param>
/// <param name="Data">The data folder.</param>
/// <param name="Empty">Whether to start without the demo home.</param>
/// <param name="Rest">Words that are left for the framework, such as those of a test host.</param>
internal sealed record StartOptions(int Port, string Data, bool Empty, string[] Rest)
{
    private const int DefaultPort = 5080;

    /// <summary>What a test host and the tool that describes the API hand on to the framework.</summary>
    private static readonly string[] ForTheHost = ["--environment=", "--contentRoot=", "--applicationName="];

    /// <summary>Reads the command line; null after telling what is wrong with it.</summary>
    public static StartOptions? Read(string[] args)
    {
        var (port, data, empty, rest) = (DefaultPort, "data", false, new List<string>());
        for (var i = 0; i < args.Length; i++)
        {
            switch (args[i])
            {
                case "--port"
                    when i + 1 < args.Length
                        && int.TryParse(args[i + 1], NumberStyles.None, CultureInfo.InvariantCulture, out var read)
                        && read <= 65535:
                    (port, i) = (read, i + 1);
                    break;
                case "--port":
                    Console.Error.WriteLine("altrin: --port needs a number from 0 to 65535.");
                    return null;
                case "--data" when i + 1 < args.Length:
                    (data, i) = (args[i + 1], i + 1);
                    break;
                case "--data":
                    Console.Error.WriteLine("altrin: --data needs a folder.");
                    return null;
                case "--empty":
                    empty = true;
                    break;
                case var word when word.StartsWith("--data=", StringComparison.Ordinal):
                    data = word["--data=".Length..];
                    break;
                case var word when ForTheHost.Any(o => word.StartsWith(o, StringComparison.Ordinal)):
                    rest.Add(word);
                    break;
                default:
                    Console.Error.WriteLine($"altrin: '{args[i]}' is no option. There are --port NUMBER, --data DIR and --empty.");
                    return null;
            }
        }
        return new(port, data, empty, [.. rest]);
    }
}
