using Altrin.Core.Addressing;
using Altrin.Core.Sites;

namespace Altrin.Core.Changes;

/// <summary>Sets members of what a router tells the line.</summary>
public sealed record SetLine(string Box, Partial<LineSetting> Line) : Change
{
    /// <summary>What makes one setting into another.</summary>
    public static SetLine Between(string box, LineSetting from, LineSetting to) => new(box, Partial<LineSetting>.Between(from, to));

    /// <inheritdoc/>
    public override Parsed<SetUp> ApplyTo(Design design) =>
        Edit.Mode<RouterMode>(design, Box, "line", router =>
            Edit.Unless<BoxMode>(PageChecks.WrongTag(Line.On(router.Line).Tag), router with { Line = Line.On(router.Line) })
        );

    /// <inheritdoc/>
    public override string Describe(Design design)
    {
        var line = Line.On((design.Mode(Box) as RouterMode)?.Line ?? LineSetting.None);
        return line == LineSetting.None
            ? $"{design.NameOf(Box)} tells the line nothing"
            : $"{design.NameOf(Box)} tells the line {string.Join(", ", new[] { line.Login ? "the login" : null, line.Tag is { } tag ? $"tag {tag}" : null, line.Mac is { } shown ? $"{shown} as its own" : null }.OfType<string>())}";
    }

    /// <inheritdoc/>
    public override IReadOnlyList<string> Subjects() => [Box];

    /// <inheritdoc/>
    public override IReadOnlyList<Touch> Touches(Design design) => [.. Line.Given.Select(m => new Touch(Setting.Line, Box, m))];
}
