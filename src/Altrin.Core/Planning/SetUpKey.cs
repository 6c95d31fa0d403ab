using System.Globalization;
using System.Text;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning;

/// <summary>Set-ups as texts: equal for two that are set alike.</summary>
internal static class SetUpKey
{
    /// <summary>A whole set-up.</summary>
    public static string Of(SetUp setUp)
    {
        var text = new StringBuilder();
        text.AppendJoin('\n', setUp.Boxes.OrderBy(b => b.Box, StringComparer.Ordinal).Select(Of)).Append('\n');
        text.AppendJoin('\n', setUp.Cables.Select(c => $"{c.A}={c.B}:{c.Known}").Order(StringComparer.Ordinal)).Append('\n');
        text.AppendJoin('\n', setUp.Devices.OrderBy(d => d.Device, StringComparer.Ordinal));
        return text.ToString();
    }

    /// <summary>One box.</summary>
    public static string Of(BoxSetting box)
    {
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"{box.Box}@{box.Place}/{box.Password}:{box.Mode}");
        if (box.Mode is RouterMode router)
        {
            // Lists are not written out by a record.
            text.Append(CultureInfo.InvariantCulture, $"{router.Server.On}{router.Server.Pool}");
            text.AppendJoin(';', router.Server.Reservations)
                .AppendJoin(';', router.Server.DnsServers)
                .AppendJoin(';', router.Forwards)
                .AppendJoin(';', router.Routes);
        }
        return text.AppendJoin(';', box.Mode.Radios).ToString();
    }
}
