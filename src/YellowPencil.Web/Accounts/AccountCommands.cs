using System.CommandLine;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;

namespace YellowPencil.Web.Accounts;

/// <summary>The command line for accounts: <c>accounts add | invite | list | lock | unlock</c>, over the application's own database and keys.</summary>
internal static class AccountCommands
{
    /// <summary>Whether the arguments call for the command line instead of the application.</summary>
    public static bool AreMeant(string[] args) => args is ["accounts", ..];

    /// <summary>Runs a command.</summary>
    /// <param name="args">The arguments, the word accounts first.</param>
    /// <param name="services">The application.</param>
    /// <param name="output">Takes links and lists.</param>
    /// <param name="errors">Takes messages.</param>
    /// <returns>0 when it was done, 2 when it could not be.</returns>
    public static Task<int> RunAsync(string[] args, IServiceProvider services, TextWriter output, TextWriter errors)
    {
        var email = new Argument<string>("EMAIL") { Description = "the e-mail address of the account" };
        var name = new Option<string>("--name") { Description = "the name that stands beside decisions", DefaultValueFactory = _ => "" };
        var address = new Option<string>("--address")
        {
            Description = "where the application is reached, for the link",
            DefaultValueFactory = _ => services.GetRequiredService<IConfiguration>()["PublicAddress"] ?? "http://127.0.0.1:5000",
        };
        var add = new Command("add", "makes an account and prints the link by which its owner sets a password") { email, name, address };
        var invite = new Command("invite", "prints a new link, also for a forgotten password") { email, address };
        var close = new Command("lock", "signs an account out everywhere and lets nobody in") { email };
        var open = new Command("unlock", "lets a locked account in again") { email };
        var list = new Command("list", "lists the accounts");
        add.SetAction((call, _) => Do(async desk =>
        {
            var faults = await desk.AddAsync(call.GetValue(email)!, call.GetValue(name)!);
            return faults.Count > 0 ? Refuse(faults) : await Invite(desk, call.GetValue(email)!, call.GetValue(address)!);
        }));
        invite.SetAction((call, _) => Do(desk => Invite(desk, call.GetValue(email)!, call.GetValue(address)!)));
        close.SetAction((call, _) => Do(desk => Lock(desk, call.GetValue(email)!, true)));
        open.SetAction((call, _) => Do(desk => Lock(desk, call.GetValue(email)!, false)));
        list.SetAction((_, _) => Do(async desk =>
        {
            foreach (var line in await desk.ListAsync()) output.WriteLine($"{line.Email}\t{line.Name}\t{line.State}");
            return 0;
        }));
        return new RootCommand("Yellow Pencil’s accounts") { new Command("accounts", "makes, invites, locks and lists accounts") { add, invite, close, open, list } }
            .Parse(args).InvokeAsync(new InvocationConfiguration { Output = output, Error = errors });

        async Task<int> Do(Func<AccountDesk, Task<int>> act)
        {
            await using var scope = services.CreateAsyncScope();
            return await act(scope.ServiceProvider.GetRequiredService<AccountDesk>());
        }

        async Task<int> Invite(AccountDesk desk, string to, string at)
        {
            if (await desk.InviteAsync(to) is not { } path) return Refuse([$"There is no account {to}, or it is locked."]);
            var lifespan = services.GetRequiredService<IOptions<DataProtectionTokenProviderOptions>>().Value.TokenLifespan;
            output.WriteLine($"{at.TrimEnd('/')}{path}");
            errors.WriteLine($"Give this link to {to} by a safe way. It works once, within {lifespan.TotalHours:0} hours.");
            return 0;
        }

        async Task<int> Lock(AccountDesk desk, string whose, bool isLocked)
        {
            if (!await desk.LockAsync(whose, isLocked)) return Refuse([$"There is no account {whose}."]);
            errors.WriteLine(isLocked ? $"{whose} is locked and signed out." : $"{whose} is unlocked.");
            return 0;
        }

        int Refuse(IEnumerable<string> faults)
        {
            foreach (var fault in faults) errors.WriteLine($"! {fault}");
            return 2;
        }
    }
}
