using System.Text;
using Altrin.Core.Readings;
using Snapshooter.Xunit3;

namespace Altrin.Core.Tests.Readings;

/// <summary>Everything that is read of every stand-in text, as approved.</summary>
public sealed class ReadingSnapshotTests
{
    [Fact]
    public void What_is_read_is_as_approved()
    {
        var text = new StringBuilder();
        foreach (var file in Directory.EnumerateFiles(SampleReadings.Folder, "*.txt").Order(StringComparer.Ordinal))
        {
            var read = ReadingText.Read(File.ReadAllText(file));
            text.Append($"\n# {Path.GetFileName(file)}\n{(read.Ok ? Plain.Of(read.Value) : read.Error)}\n");
        }
        Snapshot.Match(text.ToString(), "Readings");
    }
}
