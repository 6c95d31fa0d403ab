using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Words for how a host comes by its address.</summary>
internal static class AddressWords
{
    public static string Gets(HostAddress address) => address is Fixed typed ? $"is fixed at {typed.Address}" : "asks for its address";
}
