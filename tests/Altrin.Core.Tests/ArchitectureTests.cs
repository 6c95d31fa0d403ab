using System.Reflection;
using System.Text.RegularExpressions;
using Altrin.Core.Findings;
using Altrin.Core.Packets;
using Altrin.Core.Sites;
using NetArchTest.Rules;

namespace Altrin.Core.Tests;

public sealed class ArchitectureTests
{
    /// <summary>The rooms of the core, in the order of the table in CONTRIBUTING.md; each uses only rooms before it.</summary>
    private static readonly string[] Rooms =
    [
        .. File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "CONTRIBUTING.md"))
            .SkipWhile(l => !l.StartsWith("| room |", StringComparison.Ordinal))
            .Skip(2)
            .TakeWhile(l => l.StartsWith('|'))
            .Select(l => l.Split('`')[1]),
    ];

    public static TheoryData<string> All => [.. Rooms];

    [Theory]
    [MemberData(nameof(All))]
    public void A_room_uses_only_rooms_before_it(string room)
    {
        var later = Rooms.Skip(Array.IndexOf(Rooms, room) + 1).Select(r => $"Altrin.Core.{r}").ToArray();
        var result = Types
            .InAssembly(typeof(Design).Assembly)
            .That()
            .ResideInNamespace($"Altrin.Core.{room}")
            .ShouldNot()
            .HaveDependencyOnAny(later)
            .GetResult();
        Assert.True(later.Length == 0 || result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }

    [Fact]
    public void Every_type_lives_in_a_room_and_every_room_has_one() =>
        Assert.Equal(
            Rooms.Order(StringComparer.Ordinal),
            typeof(Design)
                .Assembly.GetTypes()
                .Select(t => t.Namespace)
                .OfType<string>()
                .Where(n => n.StartsWith("Altrin", StringComparison.Ordinal))
                .Select(n => n.Split('.')[2])
                .Distinct()
                .Order(StringComparer.Ordinal)
        );

    [Fact]
    public void The_core_uses_the_base_class_library_only() =>
        Assert.All(typeof(Design).Assembly.GetReferencedAssemblies(), a => Assert.StartsWith("System.", a.Name));

    /// <summary>Clock, dice and files are passed in or are none of the core's business.</summary>
    [Fact]
    public void The_core_reads_no_clock_rolls_no_dice_and_opens_no_file() =>
        Assert.True(
            Types
                .InAssembly(typeof(Design).Assembly)
                .ShouldNot()
                .HaveDependencyOnAny(
                    "System.IO.File",
                    "System.Random",
                    "System.DateTime",
                    "System.DateTimeOffset",
                    "System.TimeProvider",
                    "System.Net.Sockets",
                    "System.Diagnostics.Process"
                )
                .GetResult()
                .IsSuccessful
        );

    [Fact]
    public void Rules_have_codes_of_their_own_and_every_cause_has_its_rule()
    {
        Assert.Equal(Rule.All.Count, Rule.All.Select(r => r.Code).Distinct().Count());
        Assert.All(Rule.All, r => Assert.Matches(new Regex("^[a-z0-9]+(-[a-z0-9]+)*$"), r.Code));
        Assert.All(Mistake.All, m => Assert.True(m.Codes.Count > 0 != m.Otherwise is not null));
        var causes = typeof(CauseCodes).GetFields(BindingFlags.Public | BindingFlags.Static).Select(f => (string)f.GetRawConstantValue()!);
        // What is not let in, and who is apart, is said by the need that asks for it; the other two only between devices.
        Assert.Empty(
            causes
                .Where(c =>
                    c
                        is not (
                            CauseCodes.NotForwarded
                            or CauseCodes.Apart
                            or CauseCodes.NoAnswer
                            or CauseCodes.GuestsApart
                            or CauseCodes.NotQuick
                            or CauseCodes.NoGuestName
                            or CauseCodes.NameNotKept
                            or CauseCodes.NotMeasured
                            or CauseCodes.TooWeak
                            // The laptop is in no design.
                            or CauseCodes.TwoWays
                        )
                )
                .Except(Rule.All.Select(r => r.Code))
        );
    }
}
