using System.Net;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Xunit;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Tests;

/// <summary>Accounts: made from the command line, invited, locked; sessions that end when they are ended.</summary>
public sealed class AccountTests(PencilApp app) : IClassFixture<PencilApp>
{
    private const string Password = "rope over the harbour wall";

    private static async Task<(int Status, string Output, string Errors)> CommandAsync(PencilApp on, params string[] words)
    {
        on.StartServer();
        using var output = new StringWriter();
        using var errors = new StringWriter();
        var status = await AccountCommands.RunAsync(["accounts", .. words], on.Services, output, errors);
        return (status, output.ToString().Trim(), errors.ToString().Trim());
    }

    private static async Task<string> InvitedAsync(PencilApp on, string email)
    {
        var (status, link, _) = await CommandAsync(on, "add", email, "--name", "Somebody", "--address", "http://here");
        status.ShouldBe(0);
        link.ShouldStartWith("http://here/invitation/");
        return link["http://here".Length..];
    }

    private static (string, string)[] NewPassword(string link, string password = Password) =>
        [("token", Uri.UnescapeDataString(link.Split("token=")[1])), ("password", password), ("again", password)];

    [Fact]
    public async Task The_first_account_is_made_from_the_command_line_and_its_owner_sets_the_password_once()
    {
        var link = await InvitedAsync(app, "first@kite-workshop.example");
        using var visitor = new Visitor(app);
        (await visitor.GetAsync(link)).QuerySelector("main")!.TextContent.ShouldContain("first@kite-workshop.example");
        (await visitor.PostAsync(link.Split('?')[0], NewPassword(link, "short"))).QuerySelector(".fault")!.TextContent.ShouldContain("12 characters");
        (await visitor.PostAsync(link.Split('?')[0], NewPassword(link))).QuerySelector("h1")!.TextContent.ShouldBe("Your desk");
        using var later = new Visitor(app);
        (await later.GetAsync(link)).QuerySelector("h1")!.TextContent.ShouldBe("This invitation is over");
        await later.SignInAsync("first@kite-workshop.example", Password);
        later.Address.ShouldBe("/");
    }

    [Fact]
    public async Task An_invitation_expires()
    {
        await using var brief = new PencilApp(("Invitations:Hours", "0.0001"));
        var link = await InvitedAsync(brief, "late@kite-workshop.example");
        await Task.Delay(1000);
        using var visitor = new Visitor(brief);
        (await visitor.GetAsync(link)).QuerySelector("h1")!.TextContent.ShouldBe("This invitation is over");
        (await visitor.PostAsync(link.Split('?')[0], NewPassword(link))).QuerySelector("h1")!.TextContent.ShouldNotBe("Your desk");
    }

    [Fact]
    public async Task A_locked_account_is_signed_out_at_once_and_let_in_again_when_it_is_unlocked()
    {
        var link = await InvitedAsync(app, "locked@kite-workshop.example");
        using var visitor = new Visitor(app);
        await visitor.GetAsync(link);
        await visitor.PostAsync(link.Split('?')[0], NewPassword(link));
        visitor.Address.ShouldBe("/");
        (await CommandAsync(app, "lock", "locked@kite-workshop.example")).Status.ShouldBe(0);
        await visitor.GetAsync("/");
        visitor.Address.ShouldStartWith("/sign-in");
        var told = await visitor.SignInAsync("locked@kite-workshop.example", Password);
        (await told.GetAsync("/")).QuerySelector("h1")!.TextContent.ShouldBe("Sign in");
        (await CommandAsync(app, "list")).Output.ShouldContain("locked@kite-workshop.example\tSomebody\tlocked");
        await CommandAsync(app, "unlock", "locked@kite-workshop.example");
        await visitor.SignInAsync("locked@kite-workshop.example", Password);
        visitor.Address.ShouldBe("/");
    }

    [Fact]
    public async Task An_invitation_given_before_is_over_when_the_account_is_locked_or_a_newer_one_is_given()
    {
        const string Email = "older@kite-workshop.example";
        var older = await InvitedAsync(app, Email);
        var newer = (await CommandAsync(app, "invite", Email, "--address", "http://here")).Output["http://here".Length..];
        using var visitor = new Visitor(app);
        (await visitor.GetAsync(older)).QuerySelector("h1")!.TextContent.ShouldBe("This invitation is over");
        (await CommandAsync(app, "lock", Email)).Status.ShouldBe(0);
        (await visitor.GetAsync(newer)).QuerySelector("h1")!.TextContent.ShouldBe("This invitation is over");
        (await visitor.PostAsync(newer.Split('?')[0], NewPassword(newer))).QuerySelector("h1")!.TextContent.ShouldNotBe("Your desk");
        (await CommandAsync(app, "invite", Email)).Status.ShouldBe(2);
        await CommandAsync(app, "unlock", Email);
        (await visitor.GetAsync(newer)).QuerySelector("h1")!.TextContent.ShouldBe("This invitation is over");
        var last = (await CommandAsync(app, "invite", Email, "--address", "http://here")).Output["http://here".Length..];
        await visitor.GetAsync(last);
        await visitor.PostAsync(last.Split('?')[0], NewPassword(last));
        visitor.Address.ShouldBe("/");
        await CommandAsync(app, "invite", Email);
        await visitor.GetAsync("/");
        visitor.Address.ShouldStartWith("/sign-in");
    }

    [Theory]
    [InlineData("123456789012", "counts")]
    [InlineData("abcdefghijkl", "counts")]
    [InlineData("qwertyuiop12345", "counts")]
    [InlineData("aaaaaaaaaaaa", "different characters")]
    [InlineData("abababababab", "different characters")]
    [InlineData("password1234", "common word")]
    [InlineData("Passw0rd!!2024", "common word")]
    [InlineData("iloveyouforever", "common word")]
    [InlineData("weak@kite-workshop.example", "e-mail")]
    [InlineData("rope over the harbour wall", null)]
    [InlineData("password of the heron", null)]
    [InlineData("7 tails, 3 spars", null)]
    public async Task A_password_that_is_guessed_first_is_refused(string password, string? fault)
    {
        await using var scope = app.Services.CreateAsyncScope();
        var users = scope.ServiceProvider.GetRequiredService<UserManager<Specialist>>();
        var result = await new PasswordRules().ValidateAsync(users, new Specialist { Email = "weak@kite-workshop.example" }, password);
        if (fault is null) result.Succeeded.ShouldBeTrue();
        else result.Errors.Single().Description.ShouldContain(fault);
    }

    [Theory]
    [InlineData("summer")]
    [InlineData("qwertyuiop")]
    [InlineData("rope over the wall ")]
    public async Task A_password_of_a_million_characters_is_refused_at_once(string repeated)
    {
        await using var scope = app.Services.CreateAsyncScope();
        var users = scope.ServiceProvider.GetRequiredService<UserManager<Specialist>>();
        var result = await new PasswordRules().ValidateAsync(users, new Specialist { Email = "long@kite-workshop.example" }, string.Concat(Enumerable.Repeat(repeated, 1_000_000 / repeated.Length)));
        result.Errors.Single().Description.ShouldContain("more than 200 characters");
    }

    [Fact]
    public async Task Attempts_at_once_are_counted_before_they_are_compared()
    {
        var comparisons = new System.Collections.Concurrent.ConcurrentBag<string>();
        await using var open = new PencilApp { More = services => services.AddScoped<IPasswordHasher<Specialist>>(_ => new WatchedHasher(comparisons)) };
        var told = await Task.WhenAll(Enumerable.Range(0, 40).Select(async _ =>
        {
            using var visitor = new Visitor(open);
            await visitor.GetAsync("/sign-in");
            return (await visitor.PostAsync("/sign-in", ("email", "demo@kite-workshop.example"), ("password", "wrong"))).QuerySelector(".fault")!.TextContent;
        }));
        comparisons.Count.ShouldBe(8);
        told.Count(t => t.Contains("Too many tries")).ShouldBe(32);

        // Another instance counts on from there, and another account behind the same address gets in.
        await using var scope = open.Services.CreateAsyncScope();
        var limits = scope.ServiceProvider.GetRequiredService<AttemptLimits>();
        (await limits.SignInAsync(IPAddress.Parse("127.0.0.1"), "demo@kite-workshop.example", null)).ShouldBeNull();
        (await limits.SignInAsync(IPAddress.Parse("127.0.0.1"), "other@kite-workshop.example", null)).ShouldNotBeNull();
    }

    [Fact]
    public async Task The_password_now_cannot_be_guessed_at_leisure()
    {
        var link = await InvitedAsync(app, "leisure@kite-workshop.example");
        using var visitor = new Visitor(app);
        await visitor.GetAsync(link);
        await visitor.PostAsync(link.Split('?')[0], NewPassword(link));
        for (var i = 0; i < 8; i++)
        {
            await visitor.GetAsync("/account");
            (await visitor.PostAsync("/account?handler=Password", ("now", $"wrong {i}"), ("then", "another long one here"))).QuerySelector(".fault")!.TextContent.ShouldContain("is another one");
        }

        await visitor.GetAsync("/account");
        (await visitor.PostAsync("/account?handler=Password", ("now", Password), ("then", "another long one here"))).QuerySelector(".fault")!.TextContent.ShouldContain("too often");
    }

    [Theory]
    [InlineData("203.0.113.9", "203.0.113.9")]
    [InlineData("::ffff:203.0.113.9", "203.0.113.9")]
    [InlineData("2001:db8:1:2:3:4:5:6", "2001:db8:1:2::/64")]
    [InlineData("2001:db8:1:2:ffff::1", "2001:db8:1:2::/64")]
    public void Addresses_of_one_network_are_one(string address, string network) => AttemptLimits.Network(IPAddress.Parse(address)).ShouldBe(network);

    [Theory]
    [InlineData("lock", "nobody@kite-workshop.example")]
    [InlineData("invite", "nobody@kite-workshop.example")]
    [InlineData("add", "not-an-address")]
    [InlineData("add", "demo@kite-workshop.example")]
    public async Task What_cannot_be_done_is_said_with_status_2(string command, string email)
    {
        var (status, output, errors) = await CommandAsync(app, command, email);
        status.ShouldBe(2);
        output.ShouldBeEmpty();
        errors.ShouldStartWith("! ");
    }

    [Fact]
    public async Task Changing_the_password_signs_other_browsers_out()
    {
        var link = await InvitedAsync(app, "changing@kite-workshop.example");
        using var here = new Visitor(app);
        await here.GetAsync(link);
        await here.PostAsync(link.Split('?')[0], NewPassword(link));
        using var elsewhere = await new Visitor(app).SignInAsync("changing@kite-workshop.example", Password);
        await here.GetAsync("/account");
        (await here.PostAsync("/account?handler=Password", ("now", "wrong"), ("then", "another long one here"))).QuerySelector(".fault")!.TextContent.ShouldContain("is another one");
        (await here.PostAsync("/account?handler=Password", ("now", Password), ("then", "another long one here"))).QuerySelector(".note")!.TextContent.ShouldContain("other browsers are signed out");
        await elsewhere.GetAsync("/");
        elsewhere.Address.ShouldStartWith("/sign-in");
        (await here.GetAsync("/")).QuerySelector("h1")!.TextContent.ShouldBe("Your desk");
    }

    [Fact]
    public async Task A_cookie_that_was_copied_before_signing_out_is_worth_nothing_afterwards()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        var cookie = visitor.Cookie("pencil");
        using var thief = new Visitor(app);
        thief.SetCookie("pencil", cookie);
        (await thief.GetAsync("/")).QuerySelector("h1")!.TextContent.ShouldBe("Your desk");
        await visitor.GetAsync("/");
        await visitor.PostAsync("/sign-out");
        thief.SetCookie("pencil", cookie);
        await thief.GetAsync("/");
        thief.Address.ShouldStartWith("/sign-in");
    }

    [Fact]
    public async Task Failing_tells_nothing_of_which_addresses_exist_in_words_or_in_time()
    {
        // Comparing a password is what takes its time; whether it was compared cannot be told from outside where each attempt compares one of the same cost.
        var comparisons = new System.Collections.Concurrent.ConcurrentBag<string>();
        await using var open = new PencilApp { More = services => services.AddScoped<IPasswordHasher<Specialist>>(_ => new WatchedHasher(comparisons)) };
        var texts = new HashSet<string>();
        foreach (var email in new[] { "demo@kite-workshop.example", "nobody@kite-workshop.example", "demo@kite-workshop.example" })
        {
            using var visitor = new Visitor(open);
            await visitor.GetAsync("/sign-in");
            texts.Add((await visitor.PostAsync("/sign-in", ("email", email), ("password", "wrong"))).QuerySelector(".fault")!.TextContent);
        }

        texts.Count.ShouldBe(1);
        comparisons.Count.ShouldBe(3);
        comparisons.Distinct().Count().ShouldBe(1);
    }

    [Fact]
    public async Task Attempts_are_limited_by_where_they_come_from_and_lock_nobody_else_out()
    {
        await using var strict = new PencilApp(("SignIn:FailuresForOneEmail", "3"));
        foreach (var email in new[] { "demo@kite-workshop.example", "nobody@kite-workshop.example" })
        {
            using var stranger = new Visitor(strict);
            for (var i = 0; i < 3; i++) await stranger.SignInAsync(email, "wrong");
            await stranger.GetAsync("/sign-in");
            (await stranger.PostAsync("/sign-in", ("email", email.ToUpperInvariant()), ("password", "against the wind"))).QuerySelector(".fault")!.TextContent.ShouldContain("Too many tries from here");
        }

        // The account itself is as open as before: whoever comes from elsewhere gets in.
        await using var scope = strict.Services.CreateAsyncScope();
        (await scope.ServiceProvider.GetRequiredService<AttemptLimits>().SignInAsync(IPAddress.Parse("10.0.0.7"), "demo@kite-workshop.example", null)).ShouldNotBeNull();
        (await scope.ServiceProvider.GetRequiredService<UserManager<Specialist>>().FindByEmailAsync("demo@kite-workshop.example"))!.LockoutEnd.ShouldBeNull();
    }

    [Fact]
    public async Task Another_host_than_the_configured_ones_is_refused()
    {
        using var client = new HttpClient { BaseAddress = app.ClientOptions.BaseAddress };
        app.StartServer();
        client.BaseAddress = app.ClientOptions.BaseAddress;
        var request = new HttpRequestMessage(HttpMethod.Get, "/sign-in");
        request.Headers.Host = "elsewhere.example";
        (await client.SendAsync(request)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task An_empty_desk_shows_three_steps_and_a_sample_page_that_is_read_at_once()
    {
        var link = await InvitedAsync(app, "beginning@kite-workshop.example");
        using var visitor = new Visitor(app);
        await visitor.GetAsync(link);
        await visitor.PostAsync(link.Split('?')[0], NewPassword(link));
        var desk = await visitor.GetAsync("/");
        desk.QuerySelectorAll(".firststeps li").Length.ShouldBe(3);
        desk.QuerySelectorAll(".pile").ShouldBeEmpty();
        var reading = await visitor.PostAsync("/?handler=Sample");
        reading.QuerySelector("p.shortname")!.TextContent.ShouldBe("Zeros are skipped");
        reading.QuerySelector(".explanations .sentence")!.TextContent.ShouldContain("4 of 4 items");
        var after = await visitor.GetAsync("/");
        after.QuerySelectorAll(".firststeps").ShouldBeEmpty();
        after.QuerySelectorAll(".pile li").Single().TextContent.ShouldContain("SAMPLE");
    }

    [Fact]
    public async Task Name_zone_direction_and_name_line_are_kept_and_used()
    {
        var link = await InvitedAsync(app, "settings@kite-workshop.example");
        using var visitor = new Visitor(app);
        await visitor.GetAsync(link);
        await visitor.PostAsync(link.Split('?')[0], NewPassword(link));
        await visitor.GetAsync("/account");
        (await visitor.PostAsync("/account", ("name", ""), ("zone", "Pacific/Auckland"), ("direction", "FromLeft"))).QuerySelector(".fault")!.TextContent.ShouldContain("1 to 100");
        (await visitor.PostAsync("/account", ("name", "Ms Tern"), ("zone", "Nowhere"), ("direction", "FromLeft"))).QuerySelector(".fault")!.TextContent.ShouldStartWith("No time zone is called “Nowhere”");
        await visitor.PostAsync("/account", ("name", "Ms Tern"), ("zone", " pacific/auckland"), ("direction", "FromLeft"), ("nameLine", "true"));
        var account = await visitor.GetAsync("/account");
        account.QuerySelector("#zone")!.GetAttribute("value").ShouldBe("Pacific/Auckland");
        account.QuerySelector(".who")!.TextContent.ShouldBe("Ms Tern");

        // Noon UTC on 30 June is already 1 July, shortly after midnight, in Auckland.
        await using var scope = app.Services.CreateAsyncScope();
        var data = scope.ServiceProvider.GetRequiredService<PencilContext>();
        var specialist = await data.Users.AsNoTracking().FirstAsync(u => u.Email == "settings@kite-workshop.example");
        var accessor = new Microsoft.AspNetCore.Http.HttpContextAccessor { HttpContext = new Microsoft.AspNetCore.Http.DefaultHttpContext() };
        CurrentSpecialist.Remember(accessor.HttpContext, specialist);
        var time = new YellowPencil.Web.Services.SchoolTime(new CurrentSpecialist(accessor), TimeProvider.System);
        time.Moment(new DateTimeOffset(2026, 6, 30, 12, 5, 0, TimeSpan.Zero)).ShouldBe("1 Jul 2026, 00:05");
        specialist.TimeZone = "";
        time.Moment(new DateTimeOffset(2026, 6, 30, 12, 5, 0, TimeSpan.Zero)).ShouldBe("30 Jun 2026, 12:05 UTC");
    }

    /// <summary>The framework's hasher, which notes the kind and cost of each hash it compares with: the bytes before the salt.</summary>
    private sealed class WatchedHasher(System.Collections.Concurrent.ConcurrentBag<string> comparisons) : PasswordHasher<Specialist>
    {
        public override PasswordVerificationResult VerifyHashedPassword(Specialist user, string hashedPassword, string providedPassword)
        {
            comparisons.Add(Convert.ToHexString(Convert.FromBase64String(hashedPassword)[..13]));
            return base.VerifyHashedPassword(user, hashedPassword, providedPassword);
        }
    }
}
