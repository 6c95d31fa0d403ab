namespace Altrin.Core.Sites;

/// <summary>What a box is set to. No mode carries a setting that it lacks.</summary>
public abstract record BoxMode
{
    /// <summary>Which of the modes it is.</summary>
    public abstract ModeKind Kind { get; }

    /// <summary>Its radios; empty in modes without Wi-Fi.</summary>
    public virtual IReadOnlyList<RadioSetting> Radios => [];

    /// <summary>The same mode with other settings of its radios; unchanged in modes without Wi-Fi.</summary>
    public virtual BoxMode WithRadios(IReadOnlyList<RadioSetting> radios) => this;

    /// <summary>The radio link by which it joins another box; null where it has none. A satellite's is its kit's affair.</summary>
    public virtual Uplink? Joins => null;
}
