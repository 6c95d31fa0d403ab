using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Surveys;

/// <summary>What is known of a box beside its kind and its label.</summary>
/// <param name="Name">What the installer calls it.</param>
/// <param name="Mac">MAC address of its LAN side; null where not read.</param>
/// <param name="WanMac">MAC address of its WAN side; null where not read.</param>
/// <param name="Holds">What lives in it beside the internet.</param>
/// <param name="Place">Where it lies while it is not in use; null where not noted.</param>
/// <param name="ToBuy">Whether it has yet to be bought; not so once a MAC address is noted.</param>
public sealed record BoxFacts(string Name, MacAddress? Mac, MacAddress? WanMac, IReadOnlyList<LineService> Holds, string? Place, bool ToBuy)
{
    /// <summary>What is known of a box.</summary>
    public static BoxFacts Of(Box box) => new(box.Name, box.Mac, box.WanMac, box.Holds, box.Place, box.ToBuy);
}
