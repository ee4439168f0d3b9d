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
    var ready = app.PrepareData();
    if (!ready)
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

await app.RunAsync();
await Log.CloseAndFlushAsync();
return 0;
