using System.Security.Cryptography.X509Certificates;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Services;

/// <summary>What the application is made of; the same for the pages and for the command line of accounts.</summary>
internal static class AppServices
{
    /// <summary>The data, the accounts, and what is done with them.</summary>
    public static void AddCore(this WebApplicationBuilder builder, string connection)
    {
        var services = builder.Services;
        services.AddHttpContextAccessor();
        services.AddSingleton(TimeProvider.System);
        services.AddScoped<CurrentSpecialist>();
        services.AddScoped<ICurrentOwner>(s => s.GetRequiredService<CurrentSpecialist>());
        services.AddPencilData(Limits.WithPool(connection, Limits.Connections));
        var keys = services.AddDataProtection().SetApplicationName("yellow-pencil").PersistKeysToDbContext<PencilContext>();
        if (builder.Configuration["Keys:Certificate"] is { Length: > 0 } certificate)
            keys.ProtectKeysWithCertificate(X509CertificateLoader.LoadPkcs12FromFile(certificate, builder.Configuration["Keys:Password"]));
        services.AddIdentity<Specialist, IdentityRole<Guid>>(options =>
        {
            options.User.RequireUniqueEmail = true;
            options.User.AllowedUserNameCharacters = "";
            options.Password.RequiredLength = 12;
            options.Password.RequireNonAlphanumeric = options.Password.RequireUppercase = options.Password.RequireLowercase = options.Password.RequireDigit = false;
        }).AddEntityFrameworkStores<PencilContext>().AddDefaultTokenProviders().AddPasswordValidator<PasswordRules>();
        services.Configure<DataProtectionTokenProviderOptions>(options => options.TokenLifespan = TimeSpan.FromHours(builder.Configuration.GetValue("Invitations:Hours", 72.0)));
        services.AddScoped<AccountDesk>();
        services.AddScoped<SignInDesk>();
        services.AddScoped<KnownBrowser>();
        services.AddScoped<Retention>();
        services.AddSingleton<Measures>();
        services.AddSingleton<AttemptLimits>();
        services.AddScoped<RuleNaming>();
        services.AddScoped<SchoolTime>();
        services.AddScoped<Printing.PdfFiles>();
        services.AddScoped<StudentFiles>();
        services.AddScoped<StudentExport>();
        services.AddScoped<PageDesk>();
        services.AddScoped<PageTyping>();
        services.AddSingleton<ReadingCache>();
        services.AddScoped<ReadingDesk>();
        services.AddScoped<PlanDesk>();
        services.AddScoped<WeeksDesk>();
        services.AddScoped<CountedChecks>();
        services.AddScoped<FactDesk>();
        services.AddScoped<CalendarDesk>();
        services.AddScoped<Timetable>();
        services.AddScoped<WeekProposer>();
        services.AddMemoryCache(options => options.SizeLimit = 20_000);
        services.AddScoped<StudentIdeas>();
        services.AddScoped<ClassDesk>();
        services.AddScoped<ClassReader>();
        services.AddScoped<ClassWork>();
        services.AddJobs(Limits.WithPool(connection, Limits.ConnectionsOfQueue));
        services.AddScoped<Desk>();
        services.AddScoped<Removals>();
        services.AddScoped<DemoLoader>();
    }

    /// <summary>The pages, their cookies and forms, and what runs beside them.</summary>
    public static void AddPages(this IServiceCollection services, IConfiguration configuration)
    {
        services.ConfigureApplicationCookie(BrowserCookie.Configure);
        services.AddAntiforgery(options =>
        {
            options.HeaderName = "X-Antiforgery";
            options.Cookie.Name = "pencil-form";
            options.Cookie.SameSite = SameSiteMode.Strict;
            options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
        services.Configure<Microsoft.AspNetCore.Mvc.CookieTempDataProviderOptions>(options =>
        {
            options.Cookie.Name = "pencil-once";
            options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
        services.AddLimits(configuration);
        services.AddTelemetry(configuration);
        services.AddScoped<OnceFilter>();
        services.AddScoped<LookFilter>();
        services.AddRazorPages(options =>
        {
            options.Conventions.AuthorizeFolder("/");
            options.Conventions.AllowAnonymousToPage("/SignIn");
            options.Conventions.AllowAnonymousToPage("/Invitation");
            options.Conventions.AllowAnonymousToPage("/Status");
            options.Conventions.AddPageRoute("/Classes/Edit", Addresses.AddClass);
        }).AddMvcOptions(options =>
        {
            // A look is kept also where what was sent is taken back: it stands outside the transaction of the request.
            options.Filters.AddService<LookFilter>();
            options.Filters.AddService<OnceFilter>();
            options.Filters.Add<UnreadableFilter>();
        });
        services.AddSingleton<ReadingAhead>();
        if (configuration.GetValue("WarmUp", true)) services.AddHostedService<EngineWarmUp>();
        services.AddHostedService<Eraser>();
        services.AddJobServer();
    }
}
