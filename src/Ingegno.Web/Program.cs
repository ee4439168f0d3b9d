using Ingegno.Web;
using Ingegno.Web.Demo;
using Serilog;

var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
builder.AddIngegno();
var app = builder.Build();
app.UseIngegno();

// While the API description is written at build time the program runs without data.
if (!Composition.IsDescribingApi)
{
    if (!app.PrepareData())
    {
        return 1;
    }

    app.Lifetime.ApplicationStarted.Register(() =>
    {
        if (app.Services.GetRequiredService<DemoSeeder>().Welcome() is { } welcome)
        {
            Console.WriteLine(welcome);
        }

        Console.WriteLine($"Ingegno is running at {app.Urls.First()}");
    });
}

try
{
    await app.RunAsync();
    return 0;
}
catch (IOException taken) when (taken.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
{
    Console.Error.WriteLine($"{string.Join(", ", app.Urls)} is taken by another program; choose another port with --port.");
    return 1;
}
finally
{
    await Log.CloseAndFlushAsync();
}
