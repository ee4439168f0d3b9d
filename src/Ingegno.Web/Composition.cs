using System.Reflection;
using System.Text.Json.Serialization;
using FluentValidation;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Exchange;
using Ingegno.Language;
using Ingegno.Storage;
using Ingegno.Web.Demo;
using Ingegno.Web.Devices;
using Ingegno.Web.Features;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;
using Serilog;

namespace Ingegno.Web;

/// <summary>Puts the application together.</summary>
public static class Composition
{
    /// <summary>True while the build writes the API description.</summary>
    public static bool IsDescribingApi => Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

    public static void AddIngegno(this WebApplicationBuilder builder)
    {
        ArgumentNullException.ThrowIfNull(builder);
        var services = builder.Services;
        services.Configure<IngegnoOptions>(builder.Configuration);
        builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = Limits.RequestBytes);
        services.AddSerilog(log =>
            log.ReadFrom.Configuration(builder.Configuration)
                // It warns of every call that asks for a token, of headers that we set as it does.
                .MinimumLevel.Override("Microsoft.AspNetCore.Antiforgery", Serilog.Events.LogEventLevel.Error)
                .WriteTo.Console(
                    standardErrorFromLevel: Serilog.Events.LogEventLevel.Verbose,
                    formatProvider: System.Globalization.CultureInfo.InvariantCulture
                )
        );

        services.AddTelemetry(builder.Configuration);
        services.AddSingleton(TimeProvider.System);

        // Every request works with the domain rules of the signed-in practice: what ships, and its own exercises.
        services.AddHttpContextAccessor();
        services
            .AddSingleton<OwnExerciseStore>()
            .AddSingleton<OwnApproachStore>()
            .AddSingleton<TaughtNameStore>()
            .AddSingleton<PracticeRules>();
        services.AddScoped(s =>
            s.GetRequiredService<IHttpContextAccessor>().HttpContext?.User.PracticeId() is { } practice
                ? s.GetRequiredService<PracticeRules>().Of(practice)
                : DomainRules.Shipped
        );
        // Whatever reads or computes for a request stops with it.
        services.AddScoped<RequestDeadline>();
        services
            .AddScoped(s => new RebuildEngine(s.GetRequiredService<DomainRules>(), Stop(s)))
            .AddScoped(s => new ShorthandParser(s.GetRequiredService<DomainRules>().Names, Stop(s)))
            .AddScoped(s => new ProgramRows(s.GetRequiredService<DomainRules>().Names, Stop(s)))
            .AddScoped(s => new ProgramReader(s.GetRequiredService<DomainRules>().Names, Stop(s)))
            .AddScoped(s => new LogReader(s.GetRequiredService<DomainRules>().Names, Stop(s)))
            .AddScoped<NextSession>()
            .AddScoped<Replacements>()
            .AddScoped<RoadMap>()
            .AddScoped<ClientLog>()
            .AddScoped<BlockPlanner>()
            .AddScoped<PlanBlocks>()
            .AddScoped<LadderBuilder>()
            .AddScoped<Trends>()
            .AddScoped<KitValue>()
            .AddScoped<ReachableSetups>();
        services.AddScoped(s => new BuyNext(s.GetRequiredService<RebuildEngine>(), s.GetRequiredService<DomainRules>().Match.Week));
        services.AddSingleton(_ => new KitShorthand(DomainRules.Shipped.KitKinds, DomainRules.Shipped.ReadyItems));
        services.AddSingleton<IHangingScales, SimulatedHangingScales>();
        services.AddSingleton(s => new Database(s.GetRequiredService<IOptions<IngegnoOptions>>().Value.DatabaseFile));
        services.AddSingleton(s => new Backups(
            s.GetRequiredService<Database>(),
            s.GetRequiredService<IOptions<IngegnoOptions>>().Value.BackupFolder,
            s.GetRequiredService<TimeProvider>()
        ));
        services.AddSingleton<IMailCarrier>(s =>
            s.GetRequiredService<IOptions<IngegnoOptions>>().Value.SmtpHost is { Length: > 0 }
                ? ActivatorUtilities.CreateInstance<SmtpMailCarrier>(s)
                : new SimulatedMailCarrier()
        );
        // No work in the background takes the server along: what fails is logged, and tried again by its own rules.
        services.Configure<HostOptions>(host => host.BackgroundServiceExceptionBehavior = BackgroundServiceExceptionBehavior.Ignore);
        services.AddHostedService(s => s.GetRequiredService<MailWorker>());
        services.AddHostedService(s => s.GetRequiredService<PasswordResetMails>());
        services.AddHostedService(s => s.GetRequiredService<ActivityRenewal>());
        services.AddHostedService<NightlyBackup>();
        services.AddSingleton<WarmUp>().AddHostedService(s => s.GetRequiredService<WarmUp>());
        services.AddSingleton<ClientTransfer>().AddSingleton<ClientFiles>();
        services
            .AddSingleton<AuditStore>()
            .AddSingleton<SecondFactorStore>()
            .AddSingleton<SecondFactors>()
            .AddSingleton<SetupCode>()
            .AddSingleton<SignInGuard>();
        services.AddSingleton<CoachStore>().AddSingleton<SignedInStore>().AddSingleton<ClientStore>().AddSingleton<PlaceStore>();
        services
            .AddSingleton<GymWeekStore>()
            .AddSingleton<PlanStore>()
            .AddSingleton<LogStore>()
            .AddSingleton<ActivityStore>()
            .AddSingleton<BlockStore>()
            .AddSingleton<PriceStore>();
        services
            .AddSingleton<ClientLinkStore>()
            .AddSingleton<ReleaseStore>()
            .AddSingleton<ClientAppStore>()
            .AddSingleton<AlertStore>()
            .AddSingleton(_ => new RedHearing(DomainRules.Shipped.Red))
            .AddSingleton<SafetyWatch>()
            .AddScoped<ClientAppSafety>()
            .AddSingleton<ClientLinks>()
            .AddSingleton<LinkPace>()
            .AddSingleton<SentPlans>()
            .AddSingleton<ClientAppReading>()
            .AddSingleton<ClientAppOverview>()
            .AddSingleton<CalendarStore>()
            .AddSingleton<ClientCalendars>()
            .AddSingleton<OutboxStore>()
            .AddSingleton<PasswordResetStore>()
            .AddSingleton<MailWorker>()
            .AddSingleton<PasswordResetMails>()
            .AddSingleton<ActivityRenewal>()
            .AddScoped<ReleaseWriter>();
        services.AddSingleton<IPasswordHasher<Coach>, PasswordHasher<Coach>>();
        services.AddSingleton<DemoSeeder>();
        services.AddValidatorsFromAssemblyContaining<IngegnoOptions>(ServiceLifetime.Singleton);

        services.AddSignIn(IsDescribingApi);
        services.AddNamedProxies();
        services.AddSingleton(Phrasebook.English);
        services.ConfigureHttpJsonOptions(json =>
        {
            RulesJson.Apply(json.SerializerOptions);

            // A mistyped member would be dropped in silence, and a hurt knee planned for.
            json.SerializerOptions.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
            json.SerializerOptions.Converters.Add(new SpokenReasons(Phrasebook.English));
        });
        services.Configure<RouteHandlerOptions>(routes => routes.ThrowOnBadRequest = true);
        services.AddCompression();
        services.AddProblemDetails();
        services.AddExceptionHandler<ProblemHandler>();
        services.AddOpenApi(openApi =>
        {
            var required = new RequiredInAnswers();
            openApi.AddSchemaTransformer(required).AddSchemaTransformer<WrittenTypes>().AddDocumentTransformer(required);
        });
    }

    public static void UseIngegno(this WebApplication app)
    {
        ArgumentNullException.ThrowIfNull(app);
        app.UseForwardedHeaders();
        app.UseExceptionHandler();
        app.UseHsts(); // Says nothing on plain HTTP, nor on this machine.
        app.UseSecurityHeaders();
        app.UseCompression();
        if (!IsDescribingApi)
        {
            app.UseDefaultFiles();
            app.UseStaticFiles(new StaticFileOptions { OnPrepareResponse = StaticCaching.Say });
        }

        app.UseRouting();
        app.UseReadableContent();
        app.UseAuthentication();
        app.UseRateLimiter();
        app.UseAuthorization();
        app.UsePageOwner();
        app.UseAntiforgeryCheck();

        app.MapHealth();

        var api = app.MapGroup("/api/v1").RequireRateLimiting(FairShare.Policy);
        api.MapSession();
        api.MapSecondFactor();
        api.MapPasswordReset();
        api.MapCatalogue();
        api.MapBeliefs();
        api.MapFigures();
        api.MapOwnExercises();
        api.MapOwnApproaches();
        api.MapTaughtNames();
        api.MapClients();
        api.MapPlaces();
        api.MapKitTools();
        api.MapLoadBuilder();
        api.MapBandBench();
        api.MapScale();
        api.MapGymWeeks();
        api.MapPrograms();
        api.MapRebuild();
        api.MapDecisions();
        api.MapPlanCheck();
        api.MapBuyNext();
        api.MapPlans();
        api.MapLogs();
        api.MapBlocks();
        api.MapProgress();
        api.MapSending();
        api.MapTraining();
        api.MapAlerts();
        api.MapOutbox();
        app.MapCalendars(api);
        app.Map(
                "/api/{**rest}",
                () =>
                    Problems.Make(
                        StatusCodes.Status404NotFound,
                        "no-such-endpoint",
                        "There is no such address",
                        "See docs/rebuild-api.md for what there is."
                    )
            )
            .ExcludeFromDescription();
        if (!IsDescribingApi)
        {
            // Whatever somebody makes of the address of the session application, it opens and asks for the link.
            app.MapFallbackToFile("/s/{*path:nonfile}", "s/index.html", new StaticFileOptions { OnPrepareResponse = StaticCaching.Say })
                .AllowAnonymous()
                .ExcludeFromDescription();
            app.MapFallbackToFile("index.html", new StaticFileOptions { OnPrepareResponse = StaticCaching.Say })
                .AllowAnonymous()
                .ExcludeFromDescription();
        }
    }

    private static CancellationToken Stop(IServiceProvider services) => services.GetRequiredService<RequestDeadline>().Token;

    /// <summary>Migrates and, for the demo, fills the database.</summary>
    /// <exception cref="StartException">It cannot be; the line for the operator is in it.</exception>
    public static void PrepareData(this WebApplication app)
    {
        ArgumentNullException.ThrowIfNull(app);
        var backups = app.Services.GetRequiredService<Backups>();
        app.Services.GetRequiredService<Database>().Migrate(() => backups.MakeBefore("migration"));
        backups.ForgetOld();
        try
        {
            app.Services.GetRequiredService<DemoSeeder>().SeedIfAsked();
        }
        catch (Microsoft.Data.Sqlite.SqliteException full) when (full.SqliteErrorCode is 10 or 13) // sqlite.org: failing or full.
        {
            var file = app.Services.GetRequiredService<Database>().File;
            throw new StartException(
                StartException.DiskFull,
                $"The disk is full or failing: the demo in {file} is half filled. Make room, delete that file and start again.",
                full
            );
        }
    }
}
