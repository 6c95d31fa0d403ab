namespace Altrin.Core.Sites;

/// <summary>Words for what can be forwarded.</summary>
public static class ProtocolWords
{
    /// <summary>"TCP" or "UDP".</summary>
    public static string Of(Protocol protocol) => protocol == Protocol.Udp ? "UDP" : "TCP";
}
