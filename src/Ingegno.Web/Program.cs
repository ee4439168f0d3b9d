using Ingegno.Storage;
using Ingegno.Web;
using Ingegno.Web.Commands;
using Ingegno.Web.Demo;
using Ingegno.Web.Infrastructure;
using Microsoft.Extensions.Options;
using Serilog;

// Words before the options are commands for whoever runs the server; without one it serves.
if (Command.Named(args) is { } command)
{
    return command.Run(args[1..]);
}

DataFolder? folder = null;
try
{
    var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
    builder.AddIngegno();
    var app = builder.Build();

    // While the API description is written at build time the program runs without data.
    if (!Composition.IsDescribingApi)
    {
        folder = DataFolder.Take(app.Services.GetRequiredService<IOptions<IngegnoOptions>>().Value.Data);
        app.PrepareData();
        app.Lifetime.ApplicationStarted.Register(() => Greeting.Print(app));
    }

    app.UseIngegno();
    await app.RunAsync();
    return 0;
}
catch (StartException wrong)
{
    Console.Error.WriteLine(wrong.Message);
    return wrong.ExitCode;
}
catch (IOException taken) when (taken.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException)
{
    Console.Error.WriteLine($"{taken.Message} Choose another port with --port, or stop what listens there.");
    return StartException.PortTaken;
}
finally
{
    folder?.Dispose();
    await Log.CloseAndFlushAsync();
}
