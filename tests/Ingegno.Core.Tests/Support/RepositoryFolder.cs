namespace Ingegno.Core.Tests;

/// <summary>Finds files of the repository from wherever the tests run.</summary>
internal static class RepositoryFolder
{
    public static string Path(params string[] parts)
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (folder is not null && !File.Exists(System.IO.Path.Combine(folder.FullName, "Ingegno.slnx")))
        {
            folder = folder.Parent;
        }

        return System.IO.Path.Combine([folder!.FullName, .. parts]);
    }
}
