using System.Diagnostics;
using System.Xml.Linq;

namespace Ingegno.Core.Tests.Architecture;

/// <summary>"Passed before, unchanged since" must not be said of code that changed: every project is watched.</summary>
public sealed class FingerprintTests : IDisposable
{
    private readonly string _copy = Directory.CreateTempSubdirectory("ingegno-fingerprint-").FullName;

    public static TheoryData<string> Projects() => [.. Paths()];

    [Theory]
    [MemberData(nameof(Projects))]
    public void A_project_that_breaks_is_noticed_by_the_test_command(string project)
    {
        Skeleton();
        var (server, all) = (Print("server_sources"), Print("dotnet_sources"));
        File.WriteAllText(Path.Combine(_copy, Path.GetDirectoryName(project)!, "Broken.cs"), "no C# at all");

        Print("dotnet_sources").ShouldNotBe(all);
        (Print("server_sources") != server).ShouldBe(project.StartsWith("src/", StringComparison.Ordinal));
    }

    public void Dispose() => Directory.Delete(_copy, true);

    /// <summary>The solution with its scripts and empty projects.</summary>
    private void Skeleton()
    {
        foreach (var file in Directory.GetFiles(RepositoryFolder.Path("scripts")).Append(RepositoryFolder.Path("Ingegno.slnx")))
        {
            var to = Path.Combine(_copy, Path.GetRelativePath(RepositoryFolder.Path(), file));
            Directory.CreateDirectory(Path.GetDirectoryName(to)!);
            File.Copy(file, to);
        }

        foreach (var folder in Paths().Select(p => Path.GetDirectoryName(p)!).Concat(["src/web/api", "data", "docs"]))
        {
            Directory.CreateDirectory(Path.Combine(_copy, folder));
        }

        foreach (var file in new[] { "Directory.Build.props", "Directory.Packages.props", "global.json", ".editorconfig" })
        {
            File.WriteAllText(Path.Combine(_copy, file), string.Empty);
        }
    }

    private static IEnumerable<string> Paths() =>
        XDocument.Load(RepositoryFolder.Path("Ingegno.slnx")).Descendants("Project").Select(p => p.Attribute("Path")!.Value);

    private string Print(string function)
    {
        using var bash = Process.Start(
            new ProcessStartInfo("bash", ["-c", $"set -euo pipefail; root=$PWD; source scripts/common.sh; {function}"])
            {
                WorkingDirectory = _copy,
                RedirectStandardOutput = true,
            }
        )!;
        var print = bash.StandardOutput.ReadToEnd();
        bash.WaitForExit();
        bash.ExitCode.ShouldBe(0);
        return print;
    }
}
