using Altrin.Core.Sites;

namespace Altrin.Kernel.Tests;

/// <summary>What all comparisons share: the differences are the message.</summary>
public abstract class KernelTests
{
    internal static async Task AsAltrinSays(string name, Design design, Choosing? choosing = null)
    {
        Machine.Need();
        var compared = await Comparison.Of(design, choosing);
        var left = Report.Unexplained(name, compared);
        Report.Say($"{name}: {compared.Certain} facts compared, {compared.Open} left to luck or not known");
        Assert.True(left.Count == 0, string.Join("\n", left));
    }
}

public sealed class TechniqueTests : KernelTests
{
    [Theory]
    [MemberData(nameof(Names))]
    public Task A_home_that_is_meant_to_work_is_as_Altrin_says(string name) => AsAltrinSays(name, FixedDesigns.Techniques[name]);

    public static TheoryData<string> Names => [.. FixedDesigns.Techniques.Keys];
}

public sealed class TrapTests : KernelTests
{
    [Theory]
    [MemberData(nameof(Names))]
    public Task A_home_with_a_fault_is_as_Altrin_says(string name) => AsAltrinSays(name, FixedDesigns.Traps[name]);

    public static TheoryData<string> Names => [.. FixedDesigns.Traps.Keys];
}

public sealed class RadioTests : KernelTests
{
    [Theory]
    [MemberData(nameof(Names))]
    public Task A_home_joined_by_radio_passed_on_or_tagged_is_as_Altrin_says(string name) => AsAltrinSays(name, RadioDesigns.All[name]);

    public static TheoryData<string> Names => [.. RadioDesigns.All.Keys];
}
