using System.IO.Compression;
using Altrin.Core.Procedures;
using Altrin.Core.Sites;
using Altrin.Data;
using Altrin.Formats;
using Microsoft.AspNetCore.ResponseCompression;

namespace Altrin.Web;

/// <summary>What the server is made of.</summary>
internal static class Setup
{
    /// <summary>How many evenings that were typed are remembered as played.</summary>
    private const int MostPlays = 6;

    public static void AddAltrin(this IServiceCollection services)
    {
        services.AddSingleton(TimeProvider.System);
        services.AddSingleton<ReadHomes>();
        services.AddSingleton<WriteGate>();
        services.AddSingleton<Proofs>();
        services.AddScoped<Writing>();
        services.AddScoped<JobStore>();
        services.AddScoped<ShelfStore>();
        services.AddScoped<SecretStore>();
        services.AddScoped<ReadingStore>();
        services.AddScoped<SheetStore>();
        services.AddScoped<WaysStore>();
        services.AddScoped<PlanTasks>();
        services.AddSingleton(_ => new Recent<(long Revision, long Sheet), Play>(MostPlays));
        services.AddSingleton<RunSheets>();
        services.AddSingleton<PlanOptions>();
        services.AddSingleton<FrontEnd>();
        services.ConfigureHttpJsonOptions(o => AltrinJson.Apply(o.SerializerOptions));
        services.AddOpenApi(ApiDescription.Configure);
        services.AddProblemDetails(o => o.CustomizeProblemDetails = Problems.Complete);
        services.AddExceptionHandler<ProblemHandler>();
        services.AddResponseCompression();
        services.Configure<BrotliCompressionProviderOptions>(o => o.Level = CompressionLevel.Optimal);
        // A body that cannot be read is then explained by the exception handler instead of answered by a bare 400.
        services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
    }

    public static void UseAltrin(this WebApplication app)
    {
        Logging.UseRequests(app);
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseMiddleware<LocalOnly>();
        app.Use(Bodies.Check);
        app.UseMiddleware<Turns>();
        app.UseResponseCompression();
        app.UseMiddleware<Compressed>();
        app.UseStaticFiles(new StaticFileOptions { ContentTypeProvider = Compressed.Types, OnPrepareResponse = FrontEnd.Cache });
        app.MapOpenApi("/api/openapi/{documentName}.json");
        app.MapGet("/health", () => TypedResults.Ok(new Health("ok", Product.Version))).WithName("Health").ExcludeFromDescription();
        var jobs = app.MapGroup("/api/jobs").WithTags("Jobs").UpTo(Bodies.Edit);
        JobRoutes.Map(jobs);
        DesignRoutes.Map(jobs);
        HeadRoutes.Map(jobs);
        CompareRoutes.Map(jobs);
        ProofRoutes.Map(jobs);
        SurveyRoutes.Map(jobs);
        SecretRoutes.Map(jobs);
        ReadingRoutes.Map(jobs);
        SheetRoutes.Map(jobs);
        RunRoutes.Map(jobs);
        PlanRoutes.Map(jobs);
        app.MapGet("/api/countries", () => TypedResults.Ok(Country.Codes)).WithName("GetCountries").WithTags("Survey");
        app.MapGet("/api/settings", () => TypedResults.Ok(SettingView.All)).WithName("GetSettings").WithTags("Shelf");
        ShelfRoutes.Map(app.MapGroup("/api/shelf").WithTags("Shelf"));
        WaysRoutes.Map(app.MapGroup("/api/ways").WithTags("Ways").UpTo(Bodies.Edit), jobs);
        // Bodies of another kind lead here too, since the routes take none but JSON.
        app.Map("/api/{**rest}", (HttpRequest request) =>
                (request.ContentType is null ? null : Bodies.Wrong(request))
                ?? Problems.Of(
                    StatusCodes.Status404NotFound,
                    "not-found",
                    "There is no such address in the API.",
                    "See /api/openapi/v1.json for those there are."
                )
            )
            .ExcludeFromDescription();
        // A file that is missing is missing; every other address belongs to the page.
        app.MapFallback("{*path:nonfile}", FrontEnd.Serve);
    }

    private sealed record Health(string Status, string Version);
}

/// <summary>What this program is.</summary>
internal static class Product
{
    public static string Version { get; } = typeof(Product).Assembly.GetName().Version!.ToString(3);
}
