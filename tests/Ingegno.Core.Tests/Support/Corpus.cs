namespace Ingegno.Core.Tests.Support;

/// <summary>Lines written by hand as people write them, with what must come out (common practice).</summary>
internal static class Corpus
{
    /// <summary>Rows of a file of the corpus, taken apart at tabs; lines that start with # are remarks.</summary>
    public static IReadOnlyList<string[]> Rows(string file) => In("Programs", "Lines", "Corpus", file);

    /// <summary>Rows of any file of the tests.</summary>
    public static IReadOnlyList<string[]> In(params string[] path) =>
        [
            .. File.ReadLines(RepositoryFolder.Path(["tests", "Ingegno.Core.Tests", .. path]))
                .Where(l => l.Length > 0 && !l.StartsWith("# ", StringComparison.Ordinal))
                .Select(l => l.Split('\t')),
        ];
}
