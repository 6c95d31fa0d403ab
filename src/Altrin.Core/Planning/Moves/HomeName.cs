using Altrin.Core.Radio;
using Altrin.Core.Sites;

namespace Altrin.Core.Planning.Moves;

/// <summary>The name, protection and password by which the home's Wi-Fi is known.</summary>
/// <param name="Name">The name.</param>
/// <param name="Security">How it is protected.</param>
/// <param name="Password">Reference to its password; null where open or not noted.</param>
internal sealed record HomeName(string Name, WifiSecurity Security, string? Password)
{
    /// <summary>
    /// The one that has to stay; else the one that most devices remember, one that is sent before one that is not; else the one that the
    /// first box sends. Null where no name is known.
    /// </summary>
    public static HomeName? Of(Design found)
    {
        if (found.Site.Needs.OfType<KeepsNameAndPassword>().OrderBy(n => n.Id, StringComparer.Ordinal).FirstOrDefault() is { } keeps)
        {
            return new(keeps.Name, keeps.Security, keeps.Password);
        }
        var sent = Air.Of(found).Where(a => !a.Guest).ToList();
        var known = found
            .SetUp.Devices.Select(d => d.Wifi)
            .OfType<WifiJoin>()
            .GroupBy(w => (w.Name, w.Password))
            .OrderByDescending(g => sent.Any(a => a.Setting.Name == g.Key.Name))
            .ThenByDescending(g => g.Count())
            .ThenBy(g => g.Key.Name, StringComparer.Ordinal)
            .FirstOrDefault();
        if (known is null)
        {
            return sent.Select(a => new HomeName(a.Setting.Name, a.Setting.Security, a.Setting.Password)).FirstOrDefault();
        }
        var security = sent.Where(a => a.Setting.Name == known.Key.Name).Select(a => a.Setting.Security).DefaultIfEmpty(WifiSecurity.Wpa2);
        return new(known.Key.Name, security.Min(), known.Key.Password);
    }

    /// <summary>The radios of a mode, sending it; each as a school of naming has it.</summary>
    /// <param name="box">The box.</param>
    /// <param name="mode">What it is set to.</param>
    /// <param name="school">How names are given.</param>
    /// <param name="first">Whether no other box sends the name as it is: then it does.</param>
    public BoxMode On(Box box, BoxMode mode, NamingSchool school, bool first) =>
        mode.WithRadios([
            .. mode.Radios.Select(r =>
                box.Profile.Radios.FirstOrDefault(o => o.Id == r.Radio) is not { } radio
                    ? r
                    : r with
                    {
                        On = true,
                        Name = school switch
                        {
                            NamingSchool.OnePerBox when !first => Short($"{Name} {box.Name}"),
                            NamingSchool.OnePerBand when radio.Band != RadioBand.Ghz2 => Short(
                                $"{Name} {(radio.Band == RadioBand.Ghz5 ? 5 : 6)}"
                            ),
                            _ => Name,
                        },
                        Security = radio.Nearest(Security),
                        Password = Security == WifiSecurity.Open ? null : Password,
                    }
            ),
        ]);

    private static string Short(string name) => name.Length <= Limits.WifiName ? name : name[..Limits.WifiName];
}
