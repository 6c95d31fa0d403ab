using Altrin.Core.Sites;

namespace Altrin.Core.Comparisons;

/// <summary>What stands between the two ends of a run and carries the least.</summary>
/// <param name="Mbps">What it carries, in Mb/s.</param>
/// <param name="Which">What it is, in words.</param>
/// <param name="Arrives">What of that arrives as data, in Mb/s.</param>
/// <param name="From">From which rate on a run shows that it is this which stops it, in Mb/s.</param>
public sealed record SpeedLimit(int Mbps, string Which, double Arrives, double From)
{
    /// <summary>A wire, of which a part is spent on what carries the data.</summary>
    /// <param name="mbps">Its rate, in Mb/s.</param>
    /// <param name="which">What it is, in words.</param>
    /// <param name="net">Whether that rate is what arrives already.</param>
    public static SpeedLimit OfWire(int mbps, string which, bool net = false)
    {
        var arrives = net ? mbps : mbps * MediumRates.Payload;
        return new(mbps, which, arrives, arrives * Baseline.Capped);
    }
}
