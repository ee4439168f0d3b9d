using System.Reflection;
using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;

namespace Ingegno.Core.Tests.Architecture;

public class PatternTests
{
    [Fact]
    public void Every_pattern_is_matched_without_going_back_or_gives_up_in_time()
    {
        var patterns = typeof(Ingegno.Core.Foundation.Text.Patterns)
            .Assembly.GetTypes()
            .SelectMany(t => t.GetMembers(BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic | BindingFlags.DeclaredOnly))
            .SelectMany(m => m.GetCustomAttributes<GeneratedRegexAttribute>().Select(a => (Where: $"{m.DeclaringType!.Name}.{m.Name}", a)))
            .ToList();

        patterns.Count.ShouldBeGreaterThan(10);
        patterns
            .Where(p => p.a.MatchTimeoutMilliseconds is <= 0 or > Ingegno.Core.Foundation.Text.Patterns.TimeoutMs)
            .Select(p => p.Where)
            .ShouldBeEmpty();
    }

    [Fact]
    public void No_pattern_is_made_elsewhere_without_a_bound()
    {
        var sources = Directory
            .EnumerateFiles(Path.Combine(Root(), "src"), "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal))
            .Select(f => (File: f, Text: File.ReadAllText(f)))
            .Where(f => Regex.IsMatch(f.Text, @"new Regex\(|Regex\.(IsMatch|Match|Matches|Replace|Split)\(|: Regex |Regex \w+ = new\("))
            .Where(f => !f.Text.Contains("RegexOptions.NonBacktracking", StringComparison.Ordinal))
            .Where(f => !f.Text.Contains("Patterns.TimeoutMs", StringComparison.Ordinal))
            .Select(f => f.File);

        sources.ShouldBeEmpty();
    }

    private static string Root([CallerFilePath] string here = "") =>
        Path.GetFullPath(Path.Combine(Path.GetDirectoryName(here)!, "../../.."));
}
