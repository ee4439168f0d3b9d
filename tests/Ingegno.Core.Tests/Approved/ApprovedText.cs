namespace Ingegno.Core.Tests.Approved;

/// <summary>
/// A text that somebody read and approved. What a change of a rule does to it stands in the difference between two commits, where a
/// coach can read it; renew it with INGEGNO_WRITE=1 in the environment of the test.
/// </summary>
internal static class ApprovedText
{
    public static async Task ShouldBeApproved(this string text, params string[] path)
    {
        var file = RepositoryFolder.Path(path);
        if (Environment.GetEnvironmentVariable("INGEGNO_WRITE") == "1")
        {
            await File.WriteAllTextAsync(file, text);
        }

        var approved = await File.ReadAllTextAsync(file);
        if (approved != text)
        {
            var (was, now) = approved.Split('\n').Zip(text.Split('\n')).FirstOrDefault(l => l.First != l.Second);
            Assert.Fail($"{string.Join('/', path)} is not what comes out now (INGEGNO_WRITE=1 renews it).\nwas: {was}\nnow: {now}");
        }
    }
}
