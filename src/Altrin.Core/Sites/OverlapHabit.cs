namespace Altrin.Core.Sites;

/// <summary>What a router does when its WAN side is handed a subnet that overlaps one of its own.</summary>
public enum OverlapHabit
{
    /// <summary>Not found out.</summary>
    Unknown,

    /// <summary>It takes the address and routes as best it can: which side wins depends on the one set first.</summary>
    CarriesOn,

    /// <summary>It leaves its WAN side without an address.</summary>
    Refuses,

    /// <summary>It moves its own LAN to another subnet.</summary>
    Renumbers,
}
