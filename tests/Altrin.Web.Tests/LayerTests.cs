using NetArchTest.Rules;

namespace Altrin.Web.Tests;

/// <summary>An arrow of the architecture is a project reference; nothing points the other way.</summary>
public sealed class LayerTests
{
    private static readonly string[] Layers = ["Altrin.Core", "Altrin.Formats", "Altrin.Data", "Altrin.Web"];

    public static TheoryData<string> All => [.. Layers];

    [Theory]
    [MemberData(nameof(All))]
    public void A_layer_knows_only_those_below_it(string layer)
    {
        var above = Layers.Skip(Array.IndexOf(Layers, layer) + 1).ToArray();
        var result = Types.InAssembly(System.Reflection.Assembly.Load(layer)).ShouldNot().HaveDependencyOnAny(above).GetResult();
        Assert.True(above.Length == 0 || result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }

    [Theory]
    [InlineData("Altrin.Core", "Microsoft.EntityFrameworkCore", "Microsoft.AspNetCore", "NJsonSchema")]
    [InlineData("Altrin.Formats", "Microsoft.EntityFrameworkCore", "Microsoft.AspNetCore")]
    [InlineData(
        "Altrin.Data",
        "Microsoft.AspNetCore.Http",
        "Microsoft.AspNetCore.Builder",
        "Microsoft.AspNetCore.Routing",
        "Microsoft.AspNetCore.Mvc"
    )]
    public void Libraries_stay_in_their_layer(string layer, params string[] libraries) =>
        Assert.True(
            Types.InAssembly(System.Reflection.Assembly.Load(layer)).ShouldNot().HaveDependencyOnAny(libraries).GetResult().IsSuccessful
        );
}
