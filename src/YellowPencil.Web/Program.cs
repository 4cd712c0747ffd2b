using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Serilog;
using YellowPencil.Data;
using YellowPencil.Web.Services;

var builder = WebApplication.CreateBuilder(args);
builder.Host.UseSerilog((context, log) => log.ReadFrom.Configuration(context.Configuration).Enrich.FromLogContext());
var connection = builder.Configuration.GetConnectionString("Pencil")
    ?? throw new InvalidOperationException("the connection string ConnectionStrings:Pencil is not set; see docs/operating.md");

builder.Services.AddHttpContextAccessor();
builder.Services.AddScoped<ICurrentOwner, SignedInOwner>();
builder.Services.AddPencilData(connection);
builder.Services.AddDataProtection().SetApplicationName("yellow-pencil").PersistKeysToDbContext<PencilContext>();
builder.Services.AddIdentity<Specialist, IdentityRole<Guid>>(options =>
{
    options.User.RequireUniqueEmail = true;
    options.Password.RequiredLength = 12;
    options.Password.RequireNonAlphanumeric = options.Password.RequireUppercase = options.Password.RequireDigit = false;
    options.Lockout.MaxFailedAccessAttempts = 8;
}).AddEntityFrameworkStores<PencilContext>().AddDefaultTokenProviders();
builder.Services.ConfigureApplicationCookie(cookie =>
{
    cookie.Cookie.Name = "pencil";
    cookie.Cookie.HttpOnly = true;
    cookie.Cookie.SameSite = SameSiteMode.Lax;
    cookie.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
    cookie.ExpireTimeSpan = TimeSpan.FromHours(10);
    cookie.SlidingExpiration = true;
    cookie.LoginPath = "/sign-in";
    cookie.AccessDeniedPath = "/sign-in";
    cookie.Events.OnRedirectToLogin = context =>
    {
        // A request of a script gets a status, not a page.
        if (context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal)) context.Response.StatusCode = StatusCodes.Status401Unauthorized;
        else context.Response.Redirect(context.RedirectUri);
        return Task.CompletedTask;
    };
});
builder.Services.AddAntiforgery(options =>
{
    options.HeaderName = "X-Antiforgery";
    options.Cookie.Name = "pencil-form";
    options.Cookie.SameSite = SameSiteMode.Strict;
    options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
});
builder.Services.Configure<Microsoft.AspNetCore.Mvc.CookieTempDataProviderOptions>(options =>
{
    options.Cookie.Name = "pencil-once";
    options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
});
builder.Services.AddRazorPages(options =>
{
    options.Conventions.AuthorizeFolder("/");
    options.Conventions.AllowAnonymousToPage("/SignIn");
    options.Conventions.AllowAnonymousToPage("/Status");
});
builder.Services.AddRouting(options => options.LowercaseUrls = true);
builder.Services.AddScoped<PageDesk>();
builder.Services.AddScoped<PageTyping>();
builder.Services.AddScoped<Desk>();
builder.Services.AddScoped<PlanDesk>();
builder.Services.AddScoped<StudentFiles>();
builder.Services.AddScoped<DemoLoader>();
builder.Services.AddHostedService<EngineWarmUp>();
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.Configure<ForwardedHeadersOptions>(options => options.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto);

var app = builder.Build();
app.UseForwardedHeaders();
app.Use(SecurityHeaders.Add);
app.UseExceptionHandler("/status/500");
app.UseStatusCodePagesWithReExecute("/status/{0}");
if (!app.Environment.IsDevelopment() && app.Configuration.GetValue<bool>("Https")) app.UseHsts();
app.UseStaticFiles();
app.UseSerilogRequestLogging();
app.UseRouting();
app.UseAuthentication();
app.UseAuthorization();
app.MapRazorPages();
TypingApi.Map(app);

await using (var scope = app.Services.CreateAsyncScope())
{
    if (app.Configuration.GetValue<bool>("Migrate")) await scope.ServiceProvider.GetRequiredService<PencilContext>().Database.MigrateAsync();
    if (app.Configuration.GetValue<bool>("Demo")) await scope.ServiceProvider.GetRequiredService<DemoLoader>().LoadIfEmptyAsync();
}

await app.RunAsync();

/// <summary>The application; named for the tests that host it.</summary>
public partial class Program;
