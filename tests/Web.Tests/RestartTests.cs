using Shouldly;
using Xunit;

namespace YellowPencil.Web.Tests;

/// <summary>What ends under a running ./start is started again in the same place, with everything that was acknowledged.</summary>
public sealed class RestartTests : StartedTests
{
    [Fact]
    public async Task PostgreSQL_and_the_application_are_started_again_under_a_running_start()
    {
        var codes = new List<string>();
        var one = await StartAsync();
        one.IsReady.ShouldBeTrue(one.Output);

        await AddAsync(one, codes);
        Kill(Postmaster);
        await EventuallyAsync(async () => (await CodesAsync(one)).SequenceEqual(codes));

        await AddAsync(one, codes);
        Kill(one.Application);
        await EventuallyAsync(async () => one.Output.Contains("The application has ended; starting it again") && (await CodesAsync(one)).SequenceEqual(codes));
    }
}
