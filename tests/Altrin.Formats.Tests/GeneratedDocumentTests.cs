namespace Altrin.Formats.Tests;

/// <summary>Documents that are made from the code say what the code says.</summary>
public sealed class GeneratedDocumentTests
{
    [Fact]
    public void The_list_of_acts_is_current() => Assert.Equal(PlayGuide.Text, Samples.Document("acts.md"));

    [Fact]
    public void The_list_of_findings_is_current() => Assert.Equal(FindingsDocument.Text, Samples.Document("findings.md"));
}
