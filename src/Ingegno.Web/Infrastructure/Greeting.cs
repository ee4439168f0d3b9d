using Ingegno.Storage;
using Ingegno.Web.Demo;

namespace Ingegno.Web.Infrastructure;

/// <summary>What the server prints once it runs.</summary>
public static class Greeting
{
    public static void Print(WebApplication app)
    {
        ArgumentNullException.ThrowIfNull(app);
        if (app.Services.GetRequiredService<DemoSeeder>().Welcome() is { } welcome)
        {
            Console.WriteLine(welcome);
        }

        if (app.Services.GetRequiredService<CoachStore>().IsEmpty())
        {
            Console.WriteLine(
                $"There is no coach yet. The page asks for this setup code: {app.Services.GetRequiredService<SetupCode>().Text}"
            );
        }

        Console.WriteLine($"Ingegno is running at {app.Urls.FirstOrDefault() ?? "an address of its host"}");
    }
}
