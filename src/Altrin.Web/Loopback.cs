using System.Net;

namespace Altrin.Web;

/// <summary>Keeps the server on loopback, whatever the environment of the process asks for.</summary>
internal static class Loopback
{
    /// <summary>Listens on one port of loopback; end points named by environment or settings files are not looked at.</summary>
    public static void ListenOnlyThere(IWebHostBuilder web, int port)
    {
        web.UseUrls($"http://127.0.0.1:{port}");
        web.ConfigureKestrel(kestrel => kestrel.Configure(new ConfigurationBuilder().Build()));
    }

    /// <summary>The first address that other machines can reach; null where there is none.</summary>
    public static string? Beyond(IEnumerable<string> addresses) => addresses.FirstOrDefault(a => !Is(a));

    private static bool Is(string address) =>
        BindingAddress.Parse(address) is var at
        && (at.Host == "localhost" || (IPAddress.TryParse(at.Host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip)));
}
